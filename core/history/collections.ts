/** A whole show as plain lists, or in columns, as it is kept: reading one back checks everything. */
import { z } from 'zod'
import { KINDS, schemaOf, type EntityOf, type Kind } from '../show/kinds'
import { issueInWords } from '../show/faults'
import { unstorableIn } from '../show/storable'
import { emptyShow, type Collections, type Show } from '../show/show'
import { faultsIn, type Fault } from '../show/soundness'
import type { ShowId } from '../show/ids'
import { compactCollections, expanded, type CompactKind } from './compact'

/** Entities by kind, each with its id. */
export type PlainCollections = { readonly [K in Kind]?: readonly (readonly [string, unknown])[] }

const entityId = z.string().regex(/^[^/\s]{1,600}$/, 'not an id')
const collections = z.partialRecord(z.enum(KINDS), z.array(z.tuple([entityId, z.unknown()])))

export function plainCollections(show: Show): PlainCollections {
  return Object.fromEntries(KINDS.map((kind) => [kind, [...show.all[kind]]]))
}

export type ReadCollections =
  { readonly ok: true; readonly all: Collections } | { readonly ok: false; readonly message: string }

/** Things of one kind, at most. */
const MOST_OF_A_KIND = 1_000_000

type Rows = readonly (readonly [string, unknown])[]
/** The things of a kind as they were kept once, as they are kept now. */
export type AsNow = (kind: Kind, rows: Rows) => Rows

/** Reads a show for the id `show`, kept as things were when it was written; the first thing that is wrong with it is told in words. */
export function readCollections(plain: unknown, show: ShowId, asNow: AsNow = (_, rows) => rows): ReadCollections {
  const unkeepable = unstorableIn(plain, MOST_OF_A_KIND)
  if (unkeepable) return { ok: false, message: `Its contents cannot be kept: ${unkeepable.path} ${unkeepable.why}.` }
  const columns = compactCollections.safeParse(plain)
  const records = collections.safeParse(columns.success ? {} : plain)
  if (!records.success) return { ok: false, message: 'Its contents are not those of a show.' }
  let all: Collections = emptyShow(show).all
  for (const kind of KINDS) {
    const entities = columns.success
      ? readColumns(kind, columns.data.columns[kind], asNow)
      : readKind(kind, asNow(kind, records.data[kind] ?? []))
    if (typeof entities === 'string') return { ok: false, message: entities }
    all = { ...all, [kind]: entities }
  }
  const [record, ...others] = all.show.values()
  if (!record || others.length > 0) return { ok: false, message: 'It does not hold one show.' }
  all = { ...all, show: new Map([[show, record]]) }
  const fault = faultsIn({ id: show, all })[0]
  return fault ? { ok: false, message: faultInIt(fault) } : { ok: true, all }
}

function readColumns<K extends Kind>(
  kind: K,
  columns: CompactKind | undefined,
  asNow: AsNow,
): Map<string, EntityOf[K]> | string {
  if (!columns) return new Map()
  try {
    const entities = expanded(kind, columns)
    return entities.size === columns.count
      ? readKind(kind, asNow(kind, [...entities]))
      : `Two of the kind ${kind} in it have the same id.`
  } catch {
    return `What it holds of the kind ${kind} does not go together.`
  }
}

function faultInIt(fault: Fault): string {
  switch (fault.code) {
    case 'missing':
      return `A ${fault.kind} in it leans on a ${fault.to} that is not there.`
    case 'clash':
      return `Two of the kind ${fault.clash.kind} in it have the ${fault.clash.field} ${fault.clash.value}.`
    case 'loop':
      return 'Palettes in it are made of each other.'
    case 'too deep':
      return 'Palettes in it are linked through more palettes than can be followed.'
    case 'other mode':
      return 'A fixture in it has a mode of another type.'
    case 'other list':
      return 'A list in it stands in a cue of another list.'
    case 'not hung':
      return 'A fixture in it is on a hang that is not up in its venue.'
    case 'other id':
    case 'misfit':
      return `A ${fault.kind} in it is not what its id says.`
  }
}

function readKind<K extends Kind>(
  kind: K,
  rows: readonly (readonly [string, unknown])[],
): Map<string, EntityOf[K]> | string {
  const entities = new Map<string, EntityOf[K]>()
  for (const [id, entity] of rows) {
    const read = schemaOf(kind).safeParse(entity)
    if (!read.success) {
      const issue = read.error.issues[0]
      const where = issue?.path.join('.') ?? ''
      return `A ${kind} in it is not sound: ${where ? `${where}: ` : ''}${issue ? issueInWords(issue) : 'not understood'}.`
    }
    entities.set(id, read.data)
  }
  return entities
}
