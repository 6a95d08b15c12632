/** Which columns the fields of each kind are kept in. */
import { declarationOf, fieldsOf, KINDS, schemaOf, type EntityOf, type Kind } from '#core/show/kinds'
import { decimal, json, optional, parts, plain, point, whole, type Column, type Row } from './columns'

const AXIS = ['min', 'max', 'speed', 'acceleration', 'reversed']

/** The fields that are not one column of their own name. */
const SPECIAL: { readonly [K in Kind]?: { readonly [F in keyof EntityOf[K]]?: Column } } = {
  person: { usual: optional({ take: plain('usual_take'), heldBack: plain('usual_held_back') }) },
  fixtureType: {
    pan: parts('pan', AXIS),
    tilt: parts('tilt', AXIS),
    lens: parts('lens', ['across', 'normal', 'forward']),
    optics: json('optics'),
    wheels: json('wheels'),
    ranges: json('ranges'),
    mixing: json('mixing'),
    cells: json('cells'),
  },
  fixtureMode: { channels: json('channels') },
  venue: {
    outline: json('outline'),
    opening: parts('opening', ['width', 'height', 'depth']),
    keepClear: json('keep_clear'),
    levels: json('levels'),
  },
  hangPlace: { origin: point('origin') },
  setPiece: { solids: json('solids') },
  setPiecePlace: { position: point('position') },
  target: { form: json('form'), local: json('local') },
  targetPlace: { position: point('position') },
  group: { number: decimal('number'), pattern: json('pattern') },
  palette: { number: decimal('number') },
  paletteValue: { value: json('value') },
  touchUp: { offset: point('offset'), at: whole('at') },
  pass: { startedAt: whole('started_at') },
  passCheck: { at: whole('at') },
  cueNote: { at: whole('at') },
  tracking: { origin: point('origin') },
  print: { at: whole('at') },
  rigFile: { at: whole('at'), shift: point('shift') },
  sighting: { place: point('place'), at: whole('at') },
  cueList: { number: decimal('number'), pausedAt: whole('paused_at') },
  cue: { number: decimal('number') },
  cueValue: { value: json('value') },
  cueRun: { startedAt: whole('started_at') },
  handValue: {
    value: json('value'),
    arrival: optional({
      startedAt: whole('arrival_started_at'),
      seconds: plain('arrival_seconds'),
      from: json('arrival_from'),
    }),
  },
}

/** The name of a column: as the database writes a field's. */
export function columnName(field: string): string {
  return field.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`)
}

function columnsOf(kind: Kind): (readonly [string, Column])[] {
  const special: Readonly<Record<string, Column | undefined>> = SPECIAL[kind] ?? {}
  return fieldsOf(kind).map((field) => [field, special[field] ?? plain(columnName(field))])
}

const COLUMNS: ReadonlyMap<Kind, readonly (readonly [string, Column])[]> = new Map(
  KINDS.map((kind) => [kind, columnsOf(kind)]),
)

export function tableName(kind: Kind): string {
  return declarationOf(kind).table
}

/** An entity as a row, without its keys. */
export function toRow<K extends Kind>(kind: K, entity: EntityOf[K]): Row {
  const row: Row = {}
  for (const [field, column] of COLUMNS.get(kind) ?? []) Object.assign(row, column.write(Reflect.get(entity, field)))
  return row
}

/** The columns of a kind besides its keys. */
export function columnNames(kind: Kind): string[] {
  return (COLUMNS.get(kind) ?? []).flatMap(([, { names }]) => names)
}

/** Reads rows of a kind as entities; throws ZodError when the database holds what the show cannot. */
export function rowReader<K extends Kind>(kind: K): (row: Row) => EntityOf[K] {
  const fields = COLUMNS.get(kind) ?? []
  const schema = schemaOf(kind)
  return (row) => {
    const entity: Row = {}
    for (const [field, column] of fields) entity[field] = column.read(row)
    return schema.parse(entity)
  }
}
