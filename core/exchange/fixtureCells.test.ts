import { describe, expect, it } from 'vitest'
import { rigOf } from '#core/show/rig'
import { Desk } from '../../tests/support/smallShow'
import { FIXTURE_COLUMNS, fixtureCell, readFixtureCell, readFixturePaste } from './fixtureCells'

function tableOf(desk: Desk, entry: string): string[][] {
  const rows = desk.fixtures(entry).map((id) => FIXTURE_COLUMNS.map((column) => fixtureCell(desk.show, id, column)))
  return [[...FIXTURE_COLUMNS], ...rows]
}

describe('a cell of the fixture table', () => {
  const desk = new Desk()
  const typed = (column: (typeof FIXTURE_COLUMNS)[number], text: string) =>
    readFixtureCell(desk.show, desk.fixture(11), column, text)

  it('reads numbers, names and empty patches, and changes nothing else', () => {
    expect(typed('along', ' 1,25 ')).toMatchObject({ ok: true, change: { along: 1.25 } })
    expect(typed('universe', '')).toMatchObject({ ok: true, change: { universe: null } })
    expect(typed('type', '')).toMatchObject({ ok: true, change: { type: null } })
    const wash = typed('type', 'dunlin 400')
    if (!wash.ok) throw new Error(wash.message)
    desk.do('changeFixtures', { changes: [wash.change] })
    expect(fixtureCell(desk.show, desk.fixture(11), 'type')).toBe('Dunlin 400')
  })

  it('says what does not fit', () => {
    expect(typed('along', 'left')).toEqual({ ok: false, message: '“left” is not a number.' })
    expect(typed('drop', '')).toEqual({ ok: false, message: 'A number is wanted here.' })
    expect(typed('address', '600')).toEqual({ ok: false, message: 'This must be at most 512.' })
    expect(typed('hang', 'Bar 9')).toEqual({ ok: false, message: 'There is no hang called “Bar 9”.' })
    expect(typed('mode', 'Tiny')).toMatchObject({ ok: false, message: 'Dunlin 400 has no mode called “Tiny”.' })
  })
})

describe('a paste into the fixture table', () => {
  const rows = (desk: Desk) => [...rigOf(desk.show).keys()]

  it('takes whole rows, known ones by their number and new ones besides', () => {
    const desk = new Desk()
    const table = tableOf(desk, '11, 12')
    const [header, first, second] = table
    if (!header || !first || !second) throw new Error('two rows were copied')
    const moved = first.map((cell, i) => (header[i] === 'along' ? '-3.5' : cell))
    const added = second.map((cell, i) => (header[i] === 'number' ? '99' : cell))
    const reading = readFixturePaste(desk.show, { cells: [header, moved, added], rows: [], columns: [] })
    if (reading.kind !== 'rows') throw new Error(`it was read as ${reading.kind}`)
    expect(desk.do('pasteFixtures', { rows: [...reading.rows] })).toBe('change 1 and add 1 fixtures from a paste')
    expect(fixtureCell(desk.show, desk.fixture(11), 'along')).toBe('-3.5')
    expect(fixtureCell(desk.show, desk.fixture(99), 'hang')).toBe('Bar')
  })

  it('changes nothing when what was copied comes back', () => {
    const desk = new Desk()
    const reading = readFixturePaste(desk.show, { cells: tableOf(desk, '11-14, 41'), rows: [], columns: [] })
    if (reading.kind !== 'rows') throw new Error(`it was read as ${reading.kind}`)
    const outcome = desk.attempt('pasteFixtures', { rows: [...reading.rows] })
    expect(outcome.ok && outcome.changes).toEqual([])
  })

  it('falls into the cells from the active one on', () => {
    const desk = new Desk()
    const block = { rows: rows(desk).slice(1), columns: ['along', 'out'] as const }
    const reading = readFixturePaste(desk.show, {
      cells: [
        ['-1.2', '0.1'],
        ['1.2', '0.2'],
      ],
      ...block,
    })
    expect(reading).toEqual({
      kind: 'cells',
      changes: [
        { fixture: desk.fixture(12), along: -1.2, out: 0.1 },
        { fixture: desk.fixture(13), along: 1.2, out: 0.2 },
      ],
    })
  })

  it('tells every fault by its line, and then nothing is to be changed', () => {
    const desk = new Desk()
    const block = { rows: rows(desk).slice(-1), columns: ['along'] as const }
    expect(readFixturePaste(desk.show, { cells: [['x'], ['1']], ...block })).toEqual({
      kind: 'faults',
      faults: ['Line 1, along: “x” is not a number.', 'Line 2 has no fixture to go to: the table ends before it.'],
    })
    const table = tableOf(desk, '11')
    table.push(['77', '', 'Tern 700', '', 'Nowhere', '0'])
    expect(readFixturePaste(desk.show, { cells: table, rows: [], columns: [] })).toMatchObject({
      kind: 'faults',
      faults: ['Line 3, hang: there is no hang called “Nowhere”.'],
    })
  })
})
