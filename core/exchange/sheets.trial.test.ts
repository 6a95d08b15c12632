/** Sheets that are good but for some cells: each line is read or told of, and what is read can be asked for. */
import { expect, it } from 'vitest'
import { mutatedCells } from '../../tests/support/mutations'
import { randomFrom } from '../../tests/support/randomCommands'
import { richDesk } from '../../tests/support/richShow'
import { seeds, Tally } from '../../tests/support/rounds'
import { faultsIn } from '../show/soundness'
import { PALETTE_COLUMNS, paletteRows, readPaletteCells } from './paletteCells'
import { knownPalettes, portablePalettes } from './paletteSheet'
import { readTables, rowsTogether } from './tables'

const tally = new Tally('Sheets with odd cells')
const { show } = richDesk()

const RIG = [
  ['number', 'type', 'hang', 'along', 'universe', 'address'],
  ...Array.from({ length: 8 }, (_, i) => [String(900 + i), 'Tern 700', 'Bar', String(i / 2), '7', String(1 + 40 * i)]),
]
const TARGETS = [
  ['target', 'x', 'y', 'z'],
  ...Array.from({ length: 5 }, (_, i) => [`Post ${i}`, String(i), '2', '0.5']),
]
const GROUPS = [
  ['group', 'number', 'fixtures'],
  ...Array.from({ length: 5 }, (_, i) => [`Team ${i}`, String(700 + i), `${11 + i}, 41`]),
]
const PLACES = [
  ['palette', 'number', 'shelf', 'target', 'level', 'zoom', 'fixtures'],
  ...Array.from({ length: 5 }, (_, i) => [`Spot ${i}`, String(800 + i), 'combined', 'Mark', '50', '20', '11-14']),
]
const CUES = [
  ['cue', 'name', 'time', 'fixtures', 'palettes', 'level'],
  ...Array.from({ length: 5 }, (_, i) => [String(900 + i), `Cue ${i}`, '2', '11-14', '1', '80']),
]
const TABLES = [RIG, RIG, TARGETS, GROUPS, PLACES, CUES]
const PALETTES = [[...PALETTE_COLUMNS], ...paletteRows(portablePalettes(show)).map((row) => row.map(String))]

it('what a show is made of, from them are taken as read, or refused by line', () => {
  for (const seed of seeds(60)) {
    const random = randomFrom(seed)
    const cells = mutatedCells(TABLES[Math.floor(random() * TABLES.length)] ?? RIG, random)
    const [reading] = readTables(show, [cells])
    if (reading === undefined || reading.kind === 'unknown') {
      expect(reading?.message).toMatch(/\.$/)
      tally.count('tables refused')
      continue
    }
    for (const { line, message } of reading.problems)
      expect([seed, line >= 1, message !== '']).toEqual([seed, true, true])
    const desk = richDesk()
    const isDone = desk.ask('importTables', rowsTogether([reading]))
    expect([seed, faultsIn(desk.show)]).toEqual([seed, []])
    tally.count(isDone ? 'tables taken' : 'tables with nothing to take')
    tally.count('lines told of', reading.problems.length)
  }
})

it('palettes from them are taken as read, or refused by line', () => {
  for (const seed of seeds(40)) {
    const reading = readPaletteCells(mutatedCells(PALETTES, randomFrom(seed)))
    const { palettes } = knownPalettes(show, reading.palettes)
    const desk = richDesk()
    const isDone = desk.ask('importPalettes', { palettes, taken: 'replace' })
    expect([seed, faultsIn(desk.show)]).toEqual([seed, []])
    tally.count(reading.trouble ? 'sheets refused' : isDone ? 'sheets taken' : 'sheets not taken')
  }
})
