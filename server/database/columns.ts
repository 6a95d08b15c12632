/** How the fields of an entity become columns and back. */

export type Row = Record<string, unknown>

/** One field's way into columns and out of them. */
export interface Column {
  /** The columns it takes. */
  readonly names: readonly string[]
  readonly write: (value: unknown) => Row
  readonly read: (row: Row) => unknown
}

/** Text, numbers and arrays, stored as they are. */
export function plain(name: string): Column {
  return { names: [name], write: (value) => ({ [name]: value }), read: (row) => row[name] }
}

/** An exact decimal: PostgreSQL hands these out as text where it is not asked for JSON. */
export function decimal(name: string): Column {
  return { names: [name], write: (value) => ({ [name]: value }), read: (row) => Number(row[name]) }
}

/** A whole number too large for PostgreSQL's integer; it hands these out as text as well. */
export function whole(name: string): Column {
  return {
    names: [name],
    write: (value) => ({ [name]: value }),
    read: (row) => (row[name] === null ? null : Number(row[name])),
  }
}

/** A value that goes into a JSON column: as text by itself, as it is inside other JSON. */
class JsonValue {
  constructor(readonly value: unknown) {}

  /** Asked for by the driver. */
  toPostgres(): string {
    return JSON.stringify(this.value)
  }

  toJSON(): unknown {
    return this.value
  }
}

/** A true value: an aim, a shape. */
export function json(name: string): Column {
  return {
    names: [name],
    write: (value) => ({ [name]: value === null ? null : new JsonValue(value) }),
    read: (row) => row[name],
  }
}

/** A small record of numbers, one column each, under a common prefix. */
export function parts(prefix: string, names: readonly string[]): Column {
  const columns = names.map((name) => [name, `${prefix}_${name}`] as const)
  return {
    names: columns.map(([, column]) => column),
    write: (value) => Object.fromEntries(columns.map(([name, column]) => [column, Reflect.get(Object(value), name)])),
    read: (row) => Object.fromEntries(columns.map(([name, column]) => [name, row[column]])),
  }
}

/** A record that may be missing: then all its columns are null. */
export function optional(fields: Readonly<Record<string, Column>>): Column {
  const columns = Object.entries(fields)
  return {
    names: columns.flatMap(([, column]) => column.names),
    write: (value) =>
      Object.assign(
        {},
        ...columns.map(([field, column]) => column.write(value === null ? null : Reflect.get(Object(value), field))),
      ),
    read: (row) => {
      const read = columns.map(([field, column]) => [field, column.read(row)] as const)
      return read.every(([, value]) => value === null) ? null : Object.fromEntries(read)
    },
  }
}

/** A point in metres. */
export function point(prefix: string): Column {
  return parts(prefix, ['x', 'y', 'z'])
}
