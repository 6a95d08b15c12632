/** Rig files and fixture types as zip files: what is in them, and how they are put together. */
import { NATURAL, readType, type TypeOptions } from '#core/exchange/gdtf/readType'
import { writeType } from '#core/exchange/gdtf/writeType'
import type { TypeWithModes } from '#core/commands/shared/typeWithModes'
import { readRig } from '#core/exchange/mvr/readRig'
import type { ReadTypeFile, RigReading } from '#core/exchange/mvr/rigReading'
import { writeRig } from '#core/exchange/mvr/writeRig'
import { NotReadable } from '#core/exchange/xml/xml'
import type { Vec3 } from '#core/geometry/vector'
import type { Show } from '#core/show/show'
import { glbOf, partsOfGlb } from './glb'
import { readZip, writeZip } from './zip'

const SCENE = 'GeneralSceneDescription.xml'
const TYPE = 'description.xml'

/** Reads a rig file, or a fixture type by itself; throws NotReadable with the reason. `name` is that of the file. */
export async function readRigFile(bytes: Uint8Array, name: string, options = NATURAL): Promise<RigReading> {
  const files = await readZip(bytes, (file) => /\.(xml|gdtf|glb)$/i.test(file))
  const scene = files.get(SCENE)
  if (!scene) {
    if (!files.has(TYPE)) throw new NotReadable(`it holds neither a scene (${SCENE}) nor a fixture type (${TYPE})`)
    const types = [readTypeIn(files, name, options)]
    return { provider: '', drawing: null, hangs: [], fixtures: [], targets: [], pieces: [], types, notes: [] }
  }
  const notes: RigReading['notes'] = []
  const types = await typesIn(files, notes, options)
  const models = await modelsIn(files, notes)
  const reading = readRig(textOf(scene), { types, models })
  return { ...reading, notes: [...notes, ...reading.notes] }
}

const textOf = (bytes: Uint8Array) => new TextDecoder('utf-8').decode(bytes)

function readTypeIn(files: ReadonlyMap<string, Uint8Array>, spec: string, options: TypeOptions): ReadTypeFile {
  const description = files.get(TYPE)
  if (!description) throw new NotReadable(`it holds no ${TYPE}`)
  const { types, id, notes } = readType(textOf(description), options)
  return {
    spec: spec.slice(0, 200),
    id,
    notes: [...notes],
    types: types.map(({ type, breaks }) => ({
      type,
      breaks: Object.fromEntries([...breaks].map(([mode, all]) => [mode, [...all]])),
    })),
  }
}

/** A type or model that cannot be read is told of, and what uses it does without. */
async function typesIn(
  files: ReadonlyMap<string, Uint8Array>,
  notes: RigReading['notes'],
  options: TypeOptions,
): Promise<ReadTypeFile[]> {
  const types: ReadTypeFile[] = []
  for (const [file, bytes] of files) {
    if (!/\.gdtf$/i.test(file)) continue
    try {
      types.push(readTypeIn(await readZip(bytes, (inside) => inside === TYPE), file, options))
    } catch (error) {
      notes.push({ about: file, message: `cannot be read: ${reasonOf(error)}`, severity: 'lost' })
    }
  }
  return types
}

async function modelsIn(
  files: ReadonlyMap<string, Uint8Array>,
  notes: RigReading['notes'],
): Promise<Map<string, (readonly Vec3[])[]>> {
  const models = new Map<string, (readonly Vec3[])[]>()
  for (const [file, bytes] of files) {
    if (!/\.glb$/i.test(file)) continue
    try {
      models.set(file, await partsOfGlb(bytes))
    } catch {
      notes.push({ about: file, message: 'is no whole GLB model', severity: 'lost' })
    }
  }
  return models
}

/** What a reader says of what it cannot read; anything else is a fault of ours and goes on. */
export function reasonOf(error: unknown): string {
  if (error instanceof NotReadable) return error.message
  throw error
}

export async function writeTypeFile(type: TypeWithModes, id: string): Promise<Uint8Array> {
  return writeZip(new Map([[TYPE, new TextEncoder().encode(writeType(type, id))]]))
}

/** The rig of the venue in play as one file. */
export async function writeRigFile(show: Show): Promise<Uint8Array> {
  const { scene, types, models } = writeRig(show)
  const files = new Map<string, Uint8Array>([[SCENE, new TextEncoder().encode(scene)]])
  for (const [file, { type, id }] of types) files.set(file, await writeTypeFile(type, id))
  for (const [file, parts] of models) files.set(file, await glbOf(parts))
  return writeZip(files)
}
