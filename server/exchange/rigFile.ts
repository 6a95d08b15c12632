/** Rig files and fixture types as zip files, read. */
import { NATURAL, readType, type TypeOptions } from '#core/exchange/gdtf/readType'
import { readRig } from '#core/exchange/mvr/readRig'
import type { ReadTypeFile, RigReading } from '#core/exchange/mvr/rigReading'
import { NotReadable } from '#core/exchange/xml/xml'
import type { Vec3 } from '#core/geometry/vector'
import { partsOfGlb } from './glb'
import { readZip } from './zip'

export const SCENE = 'GeneralSceneDescription.xml'
export const TYPE = 'description.xml'

/** Reads a rig file, or a fixture type by itself; throws NotReadable with the reason. `name` is that of the file. */
export async function readRigFile(bytes: Uint8Array, name: string, options = NATURAL): Promise<RigReading> {
  const files = await readZip(bytes, (file) => /\.(xml|gdtf|glb)$/i.test(file))
  const scene = files.get(SCENE)
  if (!scene) {
    if (!files.has(TYPE)) throw new NotReadable(`it holds neither a scene (${SCENE}) nor a fixture type (${TYPE})`)
    const types = [readTypeIn(files, { spec: name, entry: '' }, options)]
    return {
      provider: '',
      drawing: null,
      hangs: [],
      fixtures: [],
      targets: [],
      pieces: [],
      underlay: null,
      types,
      notes: [],
    }
  }
  const notes: RigReading['notes'] = []
  const types = await typesIn(files, notes, options)
  const models = await modelsIn(files, notes)
  const reading = readRig(textOf(scene), { types, models })
  return { ...reading, notes: [...notes, ...reading.notes] }
}

export const textOf = (bytes: Uint8Array) => new TextDecoder('utf-8').decode(bytes)

function readTypeIn(
  files: ReadonlyMap<string, Uint8Array>,
  { spec, entry }: Pick<ReadTypeFile, 'spec' | 'entry'>,
  options: TypeOptions,
): ReadTypeFile {
  const description = files.get(TYPE)
  if (!description) throw new NotReadable(`it holds no ${TYPE}`)
  const { types, id, notes } = readType(textOf(description), options)
  return {
    spec: spec.slice(0, 200),
    entry: entry.slice(0, 200),
    id,
    notes: [...notes],
    types: types.map(({ type, breaks }) => ({
      type,
      breaks: Object.fromEntries([...breaks].map(([mode, all]) => [mode, [...all]])),
    })),
  }
}

/** A type or model that cannot be read is told of, and what uses it does without. */
export async function typesIn(
  files: ReadonlyMap<string, Uint8Array>,
  notes: RigReading['notes'],
  options: TypeOptions,
): Promise<ReadTypeFile[]> {
  const types: ReadTypeFile[] = []
  for (const [file, bytes] of files) {
    if (!/\.gdtf$/i.test(file)) continue
    try {
      types.push(readTypeIn(await readZip(bytes, (inside) => inside === TYPE), { spec: file, entry: file }, options))
    } catch (error) {
      notes.push({ about: file, message: `cannot be read: ${reasonOf(error)}`, severity: 'lost' })
    }
  }
  return types
}

export async function modelsIn(
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
