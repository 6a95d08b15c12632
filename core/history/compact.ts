/**
 * The things of a show in columns: every value stands once, and each field is a row of numbers that
 * say which. A show of a thousand cues is a thirtieth of what it is as records, and is read as fast.
 */
import { z } from 'zod'
import { fieldSchemas, fieldsOf, idMadeOf, KINDS, type EntityOf, type Kind } from '../show/kinds'
import type { ShowId } from '../show/ids'
import { emptyShow, type Collections } from '../show/show'

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

/** Values by the place they got, each once, with its JSON. */
class Values {
  readonly texts: string[] = []
  readonly #places = new Map<unknown, number>()

  placeOf(value: unknown): number {
    const known = this.#places.get(value)
    if (known !== undefined) return known
    const text = JSON.stringify(value)
    if (typeof value !== 'object' || value === null) return this.#add(value, text)
    // Alike but not the same: found by how it reads. No text is written like this.
    const written = `\0${text}`
    const alike = this.#places.get(written) ?? this.#add(written, text)
    this.#places.set(value, alike)
    return alike
  }

  #add(key: unknown, text: string): number {
    this.#places.set(key, this.texts.length)
    return this.texts.push(text) - 1
  }
}

/** Rows worked on, or values written, between two pieces: some milliseconds of work. */
const AT_ONCE = 5000
/** Values that nothing uses any more are put away when they are more than those that are used. */
const SPARE = 1000

/**
 * Writes the things of one kind in columns, again and again as they change: how a value reads is
 * worked out once. One writing at a time.
 */
export class ColumnWriter<K extends Kind> {
  readonly #kind: K
  #values = new Values()

  constructor(kind: K) {
    this.#kind = kind
  }

  /** The JSON of a `CompactKind` in pieces, each a short piece of work. */
  *pieces(entities: ReadonlyMap<string, EntityOf[K]>): Generator<string, void> {
    const values = this.#values
    const rows = [...entities.values()]
    const used = new Set<number>()
    yield `{"count":${rows.length},"columns":{`
    for (const [i, field] of fieldsOf(this.#kind).entries()) {
      yield `${i > 0 ? ',' : ''}${JSON.stringify(field)}:[`
      yield* placesOf(values, rows, (row) => Reflect.get(row, field), used)
      yield ']'
    }
    yield '},"ids":'
    if (yield* this.#areIdsMade(entities)) yield 'null'
    else {
      yield '['
      yield* placesOf(values, [...entities.keys()], (id) => id, used)
      yield ']'
    }
    yield ',"values":['
    yield* inPieces(values.texts, (text) => text)
    yield ']}'
    if (values.texts.length > 2 * used.size + SPARE) this.#values = new Values()
  }

  *#areIdsMade(entities: ReadonlyMap<string, EntityOf[K]>): Generator<string, boolean> {
    let done = 0
    for (const [id, entity] of entities) {
      if (idMadeOf(this.#kind, entity) !== id) return false
      if (++done % AT_ONCE === 0) yield ''
    }
    return true
  }
}

function* placesOf<T>(
  values: Values,
  rows: readonly T[],
  valueOf: (row: T) => unknown,
  used: Set<number>,
): Generator<string, void> {
  /** Things stand by their ids: in many columns long runs are the same. */
  let last: unknown = rows
  let place = 0
  yield* inPieces(rows, (row) => {
    const value = valueOf(row)
    if (value === last) return place
    last = value
    place = values.placeOf(value)
    used.add(place)
    return place
  })
}

function* inPieces<T>(all: readonly T[], write: (one: T) => string | number): Generator<string, void> {
  for (let i = 0; i < all.length; i += AT_ONCE) {
    const piece = all
      .slice(i, i + AT_ONCE)
      .map(write)
      .join(',')
    yield i > 0 ? `,${piece}` : piece
  }
}

/**
 * Checks columns against what a kind wants of each of its fields, every value once; throws ZodError,
 * or RangeError for columns that do not go together. What fields want of each other is not checked.
 */
export function checkColumns(kind: Kind, { count, values, ids, columns }: CompactKind): void {
  const wanted = Object.entries(fieldSchemas(kind))
  if (Object.keys(columns).length !== wanted.length) throw new RangeError(`${kind} has other fields`)
  for (const [field, schema] of wanted) {
    const column = columns[field]
    if (column?.length !== count) throw new RangeError(`${kind}/${field} has not ${count} rows`)
    for (const place of new Set(column)) z.parse(schema, values[place])
  }
  if (ids && (ids.length !== count || ids.some((place) => typeof values[place] !== 'string')))
    throw new RangeError(`${kind} has not ${count} ids`)
}

/** The things of one kind out of columns that were checked, by id. */
export function expanded<K extends Kind>(kind: K, compact: CompactKind): Map<string, EntityOf[K]> {
  const { count, values, ids, columns } = compact
  const fields = Object.entries(columns)
  const hasAll = fieldsOf(kind).every((field) => field in columns)
  /** Each value was checked for its field: with every field there, it is a thing of its kind. */
  const isWhole = (thing: object | null): thing is EntityOf[K] => hasAll && thing !== null
  if (fields.some(([, column]) => column.length !== count) || (ids && ids.length !== count))
    throw new RangeError(`the columns of ${kind} have not ${count} rows each`)
  const things = new Map<string, EntityOf[K]>()
  // Copies of one that has every field are made several times quicker than those that get one after the other.
  const blank: Record<string, unknown> = Object.fromEntries(fields.map(([field]) => [field, null]))
  for (let row = 0; row < count; row++) {
    const thing = { ...blank }
    for (const [field, column] of fields) thing[field] = values[column[row] ?? -1]
    if (!isWhole(thing)) throw new RangeError(`a ${kind} lacks a field`)
    things.set(ids ? String(values[ids[row] ?? -1]) : (idMadeOf(kind, thing) ?? ''), thing)
  }
  return things
}

/** All things of a show out of columns that were checked, by kind and id. */
export function expandedAll({ columns }: CompactCollections, show: ShowId): Collections {
  let all: Collections = emptyShow(show).all
  for (const kind of KINDS) {
    const compact = columns[kind]
    if (compact) all = { ...all, [kind]: expanded(kind, compact) }
  }
  return all
}
