/** Reads hangs, a rig, set pieces and targets from the rows of a table. */
import { fixtureRow, type FixtureRow } from '../commands/shared/fixtureRows'
import {
  hangRow,
  setPieceRow,
  targetRow,
  type HangRow,
  type SetPieceRow,
  type TargetRow,
} from '../commands/shared/tableRows'
import { normalisedName } from '../show/names'
import { numbersIn, repeats, type Placed, type Read, type RowReader } from './rowReader'

export interface KnownType {
  readonly name: string
  readonly modes: readonly { readonly name: string; readonly channels: number }[]
}

/** What the show already has, so that rows can be checked against it. Names as they are written. */
export interface KnownNames {
  readonly hangs: readonly string[]
  /** Each type's name and its modes in order, with the number of channels they take. */
  readonly types: readonly KnownType[]
  readonly numbers: ReadonlySet<number>
  readonly targets: readonly string[]
  readonly setPieces: readonly string[]
}

export function readHangs(reader: RowReader, known: KnownNames): Read<HangRow> {
  const rows: HangRow[] = []
  const there = new Set(known.hangs.map(normalisedName))
  const lines = new Map<string, number>()
  let alreadyThere = 0
  for (const placed of reader.rows) {
    const name = placed.row.get('hang') ?? ''
    if (repeats(reader, lines, placed.line, 'hang', name)) continue
    const n = numbersIn(reader, placed, ['x', 'y', 'z', 'yaw', 'rise', 'length'], ['x', 'y', 'z', 'length'])
    if (!n) continue
    const rise = n.get('rise') ?? 0
    const origin = { x: n.get('x'), y: n.get('y'), z: n.get('z') }
    const made = {
      name,
      form: formOf(name, rise, n.get('z') ?? 0),
      origin,
      yaw: n.get('yaw') ?? 0,
      rise,
      length: n.get('length'),
    }
    const row = reader.check(placed.line, hangRow, made, (path) => path.replace('origin.', '').replace('name', 'hang'))
    if (!row) continue
    if (there.has(normalisedName(name))) alreadyThere += 1
    else rows.push(row)
  }
  return { rows, problems: reader.sorted(), alreadyThere, total: reader.total }
}

function formOf(name: string, rise: number, height: number): HangRow['form'] {
  if (Math.abs(rise) >= 45) return 'boom'
  if (height < 0.5) return 'floor'
  return /bridge/i.test(name) ? 'bridge' : 'bar'
}

/** Points of the stage, or of the set piece in the column `on`. */
export function readTargets(reader: RowReader, known: KnownNames): Read<TargetRow> {
  const rows: TargetRow[] = []
  const there = new Set(known.targets.map(normalisedName))
  const pieces = new Set(known.setPieces.map(normalisedName))
  const lines = new Map<string, number>()
  let alreadyThere = 0
  for (const placed of reader.rows) {
    const name = placed.row.get('target') ?? ''
    const on = placed.row.get('on') || null
    if (repeats(reader, lines, placed.line, 'target', name)) continue
    if (on !== null && !pieces.has(normalisedName(on))) {
      reader.refuse(placed.line, 'on', `there is no set piece called “${on}”`)
      continue
    }
    const n = numbersIn(reader, placed, ['x', 'y', 'z'], ['x', 'y', 'z'])
    if (!n) continue
    const made = { name, position: { x: n.get('x'), y: n.get('y'), z: n.get('z') }, on }
    const row = reader.check(placed.line, targetRow, made, (path) =>
      path.replace('position.', '').replace('name', 'target'),
    )
    if (!row) continue
    if (there.has(normalisedName(name))) alreadyThere += 1
    else rows.push(row)
  }
  return { rows, problems: reader.sorted(), alreadyThere, total: reader.total }
}

const PIECE_NUMBERS = ['x', 'y', 'z', 'yaw', 'width', 'depth', 'height'] as const

/** Boxes: where the middle of the foot stands, and their sizes. */
export function readSetPieces(reader: RowReader, known: KnownNames): Read<SetPieceRow> {
  const rows: SetPieceRow[] = []
  const there = new Set(known.setPieces.map(normalisedName))
  const lines = new Map<string, number>()
  let alreadyThere = 0
  for (const placed of reader.rows) {
    const name = placed.row.get('setpiece') ?? ''
    if (repeats(reader, lines, placed.line, 'set piece', name)) continue
    const n = numbersIn(reader, placed, PIECE_NUMBERS, ['x', 'y', 'width', 'depth', 'height'])
    if (!n) continue
    const made = {
      name,
      position: { x: n.get('x'), y: n.get('y'), z: n.get('z') ?? 0 },
      yaw: n.get('yaw') ?? 0,
      width: n.get('width'),
      depth: n.get('depth'),
      height: n.get('height'),
    }
    const row = reader.check(placed.line, setPieceRow, made, (path) =>
      path.replace('position.', '').replace('name', 'set piece'),
    )
    if (!row) continue
    if (there.has(normalisedName(name))) alreadyThere += 1
    else rows.push(row)
  }
  return { rows, problems: reader.sorted(), alreadyThere, total: reader.total }
}

const FIXTURE_NUMBERS = ['number', 'along', 'out', 'drop', 'yaw', 'pitch', 'roll', 'universe', 'address'] as const

export function readFixtures(reader: RowReader, known: KnownNames): Read<FixtureRow> {
  const rows: FixtureRow[] = []
  const hangs = new Set(known.hangs.map(normalisedName))
  const types = new Map(known.types.map((type) => [normalisedName(type.name), type]))
  const lines = new Map<string, number>()
  const patched: { line: number; row: FixtureRow; last: number }[] = []
  let alreadyThere = 0
  for (const placed of reader.rows) {
    const row = fixtureIn(reader, placed, hangs, types, lines)
    if (!row) continue
    if (row.universe !== null && row.address !== null) {
      const last = row.address + channelsOf(types, row) - 1
      lookForClash(reader, patched, placed.line, row, last)
      patched.push({ line: placed.line, row, last })
    }
    if (known.numbers.has(row.number)) alreadyThere += 1
    else rows.push(row)
  }
  return { rows, problems: reader.sorted(), alreadyThere, total: reader.total }
}

function fixtureIn(
  reader: RowReader,
  placed: Placed<ReadonlyMap<string, string>>,
  hangs: ReadonlySet<string>,
  types: ReadonlyMap<string, KnownType>,
  lines: Map<string, number>,
): FixtureRow | null {
  const { line, row } = placed
  const text = (name: string) => row.get(name) ?? ''
  const before = reader.problems.length
  const n = numbersIn(reader, placed, FIXTURE_NUMBERS, ['number', 'along'])
  if (!hangs.has(normalisedName(text('hang')))) reader.refuse(line, 'hang', `there is no hang called “${text('hang')}”`)
  const type = types.get(normalisedName(text('type')))
  if (!type) reader.refuse(line, 'type', `there is no fixture type called “${text('type')}”`)
  else if (text('mode') && !type.modes.some((mode) => normalisedName(mode.name) === normalisedName(text('mode'))))
    reader.refuse(line, 'mode', `${type.name} has no mode called “${text('mode')}”`)
  const isRepeated = n !== null && repeats(reader, lines, line, 'number', text('number'))
  if (!n || isRepeated) return null
  const made = {
    number: n.get('number'),
    name: text('name'),
    type: text('type'),
    mode: text('mode') || null,
    hang: text('hang'),
    along: n.get('along'),
    out: n.get('out') ?? 0,
    drop: n.get('drop') ?? 0,
    yaw: n.get('yaw') ?? 0,
    pitch: n.get('pitch') ?? 0,
    roll: n.get('roll') ?? 0,
    universe: n.get('universe') ?? null,
    address: n.get('address') ?? null,
    note: text('note'),
  }
  const checked = reader.check(line, fixtureRow, made, (path) => path)
  return reader.problems.length > before ? null : checked
}

/** How many channels a row takes: by its mode, else by its type's first one. */
function channelsOf(types: ReadonlyMap<string, KnownType>, { type, mode }: FixtureRow): number {
  const modes = types.get(normalisedName(type))?.modes ?? []
  const taken = mode === null ? modes[0] : modes.find(({ name }) => normalisedName(name) === normalisedName(mode))
  return taken?.channels ?? 1
}

function lookForClash(
  reader: RowReader,
  patched: readonly { line: number; row: FixtureRow; last: number }[],
  line: number,
  row: FixtureRow,
  last: number,
): void {
  const address = row.address ?? 0
  if (last > 512)
    reader.look(line, 'address', `channels ${address} to ${last} run past the end of universe ${row.universe}`)
  const clash = patched.find(
    (p) => p.row.universe === row.universe && address <= p.last && (p.row.address ?? 0) <= last,
  )
  if (clash)
    reader.look(
      line,
      'address',
      `${row.universe}.${address} overlaps fixture ${clash.row.number} on line ${clash.line} (${clash.row.address} to ${clash.last})`,
    )
}
