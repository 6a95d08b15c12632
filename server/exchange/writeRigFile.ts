/** Rig files and fixture types as zip files, written with what was kept of those they came from. */
import { writeKeptType } from '#core/exchange/gdtf/keptType'
import { writeType } from '#core/exchange/gdtf/writeType'
import { typeIn } from '#core/exchange/mvr/planTypes'
import type { KeptRig } from '#core/exchange/mvr/keptScene'
import { writeRig } from '#core/exchange/mvr/writeRig'
import { uuidOf } from '#core/exchange/uuid'
import type { RigFile } from '#core/show/entities'
import type { FixtureTypeId } from '#core/show/ids'
import { rigFilesOf } from '#core/show/keptFiles'
import type { Show } from '#core/show/show'
import { digestOf, type StoredFiles } from '../database/fileRepository'
import { glbOf } from './glb'
import { modelsIn, SCENE, textOf, TYPE, typesIn } from './rigFile'
import { bytesOf, typesKept } from './keptBytes'
import { readZip, writeZip } from './zip'

type Files = ReadonlyMap<string, Uint8Array>

const everything = () => true

/** The rig of the venue in play as one file; `stored` are the files the show keeps. Throws NotReadable for a damaged one. */
export async function writeRigFile(show: Show, stored: StoredFiles): Promise<Uint8Array> {
  const kept = await Promise.all(rigFilesOf(show).map(([, file]) => rigKept(file, stored)))
  const types = await typesKept(show, stored)
  const known = new Map([...types].map(([id, { kept: type }]) => [id, type]))
  const rig = writeRig(show, { rigs: kept.map(({ rig: one }) => one), types: known })
  const files = new Map<string, Uint8Array>([[SCENE, new TextEncoder().encode(rig.scene)]])
  for (const [i, names] of [...rig.resources.entries()].reverse())
    for (const [name, as] of names) files.set(as, kept[i]?.files.get(name) ?? new Uint8Array())
  for (const [name, { type, description }] of rig.types)
    files.set(name, await typeFile(types.get(type)?.bytes, description))
  for (const [name, parts] of rig.models) files.set(name, await glbOf(parts))
  return writeZip(files)
}

/** A fixture type as a file; throws NotReadable for a damaged one that was kept. */
export async function writeTypeFile(show: Show, type: FixtureTypeId, stored: StoredFiles): Promise<Uint8Array> {
  const whole = typeIn(show, type)
  if (!whole) throw new RangeError('a type that is written is there')
  const kept = (await typesKept(show, stored, type)).get(type)
  const description = kept ? writeKeptType(kept.kept, whole, uuidOf(type)) : writeType(whole, uuidOf(type))
  return typeFile(kept?.bytes, description)
}

/** A new description among what else is in the file it came from; without one, that file. */
async function typeFile(bytes: Uint8Array | undefined, description: string | null): Promise<Uint8Array> {
  if (bytes && description === null) return bytes
  const files: Files = bytes ? await readZip(bytes, everything) : new Map()
  return writeZip(new Map([...files, [TYPE, new TextEncoder().encode(description ?? '')]]))
}

async function rigKept(file: RigFile, stored: StoredFiles): Promise<{ rig: KeptRig; files: Files }> {
  const all = await readZip(bytesOf(file, stored), everything)
  const files = new Map([...all].filter(([name]) => name !== SCENE))
  const notes: Parameters<typeof typesIn>[1] = []
  const { leftHanded, mirrored, turn, shift } = file
  const rig = {
    scene: textOf(all.get(SCENE) ?? new Uint8Array()),
    types: await typesIn(files, notes, { leftHanded }),
    models: await modelsIn(files, notes),
    placement: { mirrored, turn, shift },
    resources: new Map([...files].map(([name, bytes]) => [name, digestOf(bytes)])),
  }
  return { rig, files }
}
