/**
 * The things of a show in columns: every value stands once, and each field is a row of numbers that
 * say which. A show of a thousand cues is a thirtieth of what it is as records, and is read as fast.
 */
import { z } from 'zod'
import { idMadeOf } from '../show/compositeIds'
import { ENTITY_SCHEMAS, KINDS, type EntityOf, type Kind } from '../show/entities'
import type { Show } from '../show/show'

/** Looked through in one pass: there are millions of them in a large show. */
const places = z.custom<readonly number[]>(
  (list) => Array.isArray(list) && list.every((place) => Number.isInteger(place) && place >= 0),
  'not places',
)
export const compactKind = z.strictObject({
  count: z.number().int().min(0).max(10_000_000),
  values: z.custom<readonly unknown[]>(Array.isArray, 'not values'),
  /** Null where each thing's parts make its id. */
  ids: places.nullable(),
  columns: z.record(z.string(), places),
})
export type CompactKind = z.infer<typeof compactKind>

export const compactCollections = z.strictObject({ columns: z.partialRecord(z.enum(KINDS), compactKind) })
export type CompactCollections = z.infer<typeof compactCollections>

/** Values by the place they got; each stands once. */
class Values {
  readonly all: unknown[] = []
  readonly #places = new Map<unknown, number>()

  placeOf(value: unknown): number {
    const known = this.#places.get(value)
    if (known !== undefined) return known
    if (typeof value !== 'object' || value === null) return this.#add(value, value)
    // Alike but not the same: found by how it reads. No text is written like this.
    const written = `\0${JSON.stringify(value)}`
    const alike = this.#places.get(written) ?? this.#add(written, value)
    this.#places.set(value, alike)
    return alike
  }

  #add(key: unknown, value: unknown): number {
    this.#places.set(key, this.all.length)
    return this.all.push(value) - 1
  }
}

/** The things of one kind in columns. */
export function compacted<K extends Kind>(kind: K, entities: ReadonlyMap<string, EntityOf[K]>): CompactKind {
  const values = new Values()
  const isMade = [...entities].every(([id, entity]) => idMadeOf(kind, entity) === id)
  const ids = isMade ? null : [...entities.keys()].map((id) => values.placeOf(id))
  const columns = Object.fromEntries(
    Object.keys(ENTITY_SCHEMAS[kind].shape).map((field) => [
      field,
      Array.from(entities.values(), (entity) => values.placeOf(Reflect.get(entity, field))),
    ]),
  )
  return { count: entities.size, values: values.all, ids, columns }
}

export function compactedShow(show: Show): CompactCollections {
  return { columns: Object.fromEntries(KINDS.map((kind) => [kind, compacted(kind, show.all[kind])])) }
}

/** The fields a kind wants, each with what it takes. */
function fieldsWanted(kind: Kind): (readonly [string, z.ZodType])[] {
  return Object.entries(ENTITY_SCHEMAS[kind].shape)
}

/**
 * Checks columns against what a kind wants of each of its fields, every value once; throws ZodError,
 * or RangeError for columns that do not go together. What fields want of each other is not checked.
 */
export function checkColumns(kind: Kind, { count, values, ids, columns }: CompactKind): void {
  const wanted = fieldsWanted(kind)
  if (Object.keys(columns).length !== wanted.length) throw new RangeError(`${kind} has other fields`)
  for (const [field, schema] of wanted) {
    const column = columns[field]
    if (column?.length !== count) throw new RangeError(`${kind}/${field} has not ${count} rows`)
    for (const place of new Set(column)) schema.parse(values[place])
  }
  if (ids && (ids.length !== count || ids.some((place) => typeof values[place] !== 'string')))
    throw new RangeError(`${kind} has not ${count} ids`)
}

/** The things of one kind out of columns that were checked, by id. */
export function expanded<K extends Kind>(kind: K, compact: CompactKind): Map<string, EntityOf[K]> {
  const { count, values, ids, columns } = compact
  const fields = Object.entries(columns)
  const hasAll = fieldsWanted(kind).every(([field]) => field in columns)
  /** Each value was checked for its field: with every field there, it is a thing of its kind. */
  const isWhole = (thing: object | null): thing is EntityOf[K] => hasAll && thing !== null
  const things = new Map<string, EntityOf[K]>()
  for (let row = 0; row < count; row++) {
    const thing: Record<string, unknown> = {}
    for (const [field, column] of fields) thing[field] = values[column[row] ?? -1]
    if (!isWhole(thing)) throw new RangeError(`a ${kind} lacks a field`)
    things.set(ids ? String(values[ids[row] ?? -1]) : (idMadeOf(kind, thing) ?? ''), thing)
  }
  return things
}
