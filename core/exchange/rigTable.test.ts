import { describe, expect, it } from 'vitest'
import { readFixtures, readHangs, readTargets, type KnownNames } from './rigTable'
import { headerName } from './rowReader'
import { headed } from './tableKind'

const known: KnownNames = {
  hangs: ['Bar A', 'Bar B'],
  types: [
    { name: 'Tern 700', modes: [{ name: 'Full', channels: 40 }] },
    { name: 'Dunlin 400', modes: [{ name: 'Full', channels: 24 }] },
  ],
  numbers: new Set([7]),
  targets: [],
  setPieces: [],
}
function readRigTable(cells: readonly (readonly string[])[], names: KnownNames) {
  const table = headed(cells)
  if (table.kind === 'fixtures') return { kind: table.kind, ...readFixtures(table.reader, names) }
  if (table.kind === 'hangs') return { kind: table.kind, ...readHangs(table.reader, names) }
  if (table.kind === 'targets') return { kind: table.kind, ...readTargets(table.reader, names) }
  if (table.kind === 'unknown') return table
  throw new Error(`${table.kind} were not meant`)
}
const table = (text: string) => text.split('\n').map((line) => line.split(';'))
const header = 'Number;name;TYPE;hang;Along (m);out;yaw [°];universe;address'
const read = (...rows: string[]) => {
  const reading = readRigTable(table([header, ...rows].join('\n')), known)
  if (reading.kind !== 'fixtures') throw new Error(reading.kind)
  return reading
}
const problems = (...rows: string[]) => read(...rows).problems.map((p) => [p.line, p.column, p.severity])

describe('a rig from a table', () => {
  it('knows headers whatever their case, spaces, unit and byte-order mark', () => {
    expect(['\uFEFFNumber', ' Along (m) ', 'PIVOT_DROP [m]'].map(headerName)).toEqual(['number', 'along', 'pivotdrop'])
  })

  it('reads rows with empty cells as zero or none, and decimal commas', () => {
    const { rows } = read('12;Left;tern  700;bar a;-1,25;;;;')
    expect(rows).toMatchObject([
      { number: 12, hang: 'bar a', along: -1.25, out: 0, yaw: 0, universe: null, address: null },
    ])
  })

  it('keeps the good rows and names line, column and reason of the bad', () => {
    const reading = read(
      '1;;Tern 700;Bar A;0;0;0;1;1',
      '2;;Tern 700;Bar Q;0;0;0;1;41',
      '3;;Tern 700;Bar A;0;0;east;1;81',
    )
    expect(reading.rows.map((r) => r.number)).toEqual([1])
    expect(reading.problems).toMatchObject([
      { line: 3, column: 'hang', message: 'there is no hang called “Bar Q”' },
      { line: 4, column: 'yaw', message: '“east” is not a number' },
    ])
  })

  it('finds repeated numbers, values out of range, missing cells and rows too long', () => {
    expect(problems('1;;Tern 700;Bar A;0;0;0;70000;1')).toEqual([[2, 'universe', 'refused']])
    expect(problems('1;;Tern 700;Bar A;0;0;0;;', '1;;Tern 700;Bar B;0;0;0;;')).toEqual([[3, 'number', 'refused']])
    expect(problems(';;Tern 700;Bar A;;0;0;;')).toEqual([
      [2, 'number', 'refused'],
      [2, 'along', 'refused'],
    ])
    expect(problems('1;;Tern 700;Bar A;0;0;0;1;1;9')).toEqual([[2, null, 'refused']])
  })

  it('takes rows whose addresses overlap but asks for a look', () => {
    const reading = read(
      '1;;Tern 700;Bar A;0;0;0;3;121',
      '2;;Dunlin 400;Bar A;1;0;0;3;160',
      '3;;Tern 700;Bar A;2;0;0;3;480',
    )
    expect(reading.rows).toHaveLength(3)
    expect(reading.problems.map((p) => [p.line, p.severity])).toEqual([
      [3, 'look'],
      [4, 'look'],
    ])
  })

  it('counts what the show has already and leaves it alone', () => {
    expect(read('7;;Tern 700;Bar A;0;0;0;;', '8;;Tern 700;Bar A;0;0;0;;')).toMatchObject({ alreadyThere: 1, total: 2 })
  })

  it('says what is wrong with a header it cannot use', () => {
    expect(readRigTable([['colour', 'x']], known)).toMatchObject({ kind: 'unknown' })
    expect(readRigTable([['hang', 'x', 'y']], known)).toMatchObject({
      kind: 'unknown',
      message: expect.stringContaining('“z”'),
    })
    expect(readRigTable([['']], known)).toMatchObject({ kind: 'unknown', message: expect.stringContaining('empty') })
  })

  it('reads hangs and targets, and tells a boom and a floor row from a bar', () => {
    const hangs = readRigTable(table('hang;x;y;z;yaw;rise;length\nTower;5;2;2,4;90;90;3.6\nDeck;0;7;0;0;0;8'), known)
    expect(hangs).toMatchObject({ kind: 'hangs', rows: [{ form: 'boom', rise: 90 }, { form: 'floor' }] })
    const targets = readRigTable(table('target;x;y;z\nCello;1,85;2.4;0.9'), known)
    expect(targets).toMatchObject({ kind: 'targets', rows: [{ name: 'Cello', position: { x: 1.85 } }] })
  })
})
