import Papa from 'papaparse'
import { beforeEach, expect, it } from 'vitest'
import { richDesk } from '../../tests/support/richShow'
import { Desk } from '../../tests/support/smallShow'
import { paletteDocument, knownPalettes, portablePalettes, type PortablePalette } from './paletteSheet'
import { PALETTE_COLUMNS, paletteRows, readPaletteCells } from './paletteCells'

let desk: Desk
let palettes: PortablePalette[]
beforeEach(() => {
  desk = new Desk()
  desk.aim('11, 12', 'Bow', { x: 0.25, y: -0.5, z: 0 })
  desk.do('setValue', { fixtures: desk.fixtures('11, 12'), attribute: 'zoom', value: { kind: 'pool', diameter: 1.8 } })
  desk.do('recordPalette', { number: 1, name: 'Bow, "tight"', shelf: 'focus', colour: 'rose', reach: 'usual' })
  desk.record(1.5, 'Look', 'combined')
  desk.do('turnHeads', {
    fixtures: desk.fixtures('13'),
    pan: { how: 'to', degrees: 12.5 },
    tilt: { how: 'to', degrees: -30 },
  })
  desk.record(3, 'Angles', 'position')
  palettes = portablePalettes(desk.show)
})

const contents = (of: Desk) => portablePalettes(of.show)
/** As a spreadsheet would hand it back. */
const asTable = () => {
  const text = Papa.unparse([[...PALETTE_COLUMNS], ...paletteRows(palettes)])
  return readPaletteCells(Papa.parse<string[]>(text).data)
}

it('comes back the same from a table and from a document', () => {
  expect(asTable()).toEqual({ palettes, faults: [], trouble: null })
  for (const version of [1, 3, 4]) {
    const document = { format: 'rhopander palettes', version, palettes }
    expect(paletteDocument.parse(JSON.parse(JSON.stringify(document))).palettes).toEqual(palettes)
  }
})

it('says of cells which they are, and finds them again', () => {
  const { show } = richDesk()
  const all = portablePalettes(show)
  expect(all.flatMap(({ values }) => values).filter(({ serves }) => serves !== 'any' && 'cell' in serves)).not.toEqual(
    [],
  )
  const text = Papa.unparse([[...PALETTE_COLUMNS], ...paletteRows(all)])
  const read = readPaletteCells(Papa.parse<string[]>(text).data)
  expect(read).toEqual({ palettes: all, faults: [], trouble: null })
  expect(knownPalettes(show, all).faults).toEqual([])
  expect(text).toMatch(/fixture 71 cell 3/)
})

it('is brought into another show, links and all; a second time in the way that was chosen', () => {
  const other = new Desk()
  const known = knownPalettes(other.show, palettes)
  expect(known.faults).toEqual([])
  other.do('importPalettes', { palettes: [...known.palettes], taken: 'replace' })
  expect(contents(other)).toEqual(palettes)
  expect(other.refused('importPalettes', { palettes: [...known.palettes], taken: 'leave out' })).toContain('already')
  other.do('importPalettes', { palettes: [...known.palettes], taken: 'renumber' })
  expect(contents(other).map(({ number }) => number)).toEqual([1, 1.5, 3, 4, 5, 6])
  const linked = contents(other)[4]?.values[0]?.value
  expect(linked).toEqual({ kind: 'link', palette: 4 })
})

it('tells line by line what the show has not, and reads the rest', () => {
  const [first] = palettes
  if (!first) throw new Error('no palette')
  const strange: PortablePalette = {
    ...first,
    number: 9,
    values: [
      { serves: { fixture: 99 }, attribute: 'zoom', value: { kind: 'number', number: 9 } },
      { serves: { type: 'Auk' }, attribute: 'zoom', value: { kind: 'number', number: 9 } },
      { serves: 'any', attribute: 'zoom', value: { kind: 'link', palette: 77 } },
      {
        serves: 'any',
        attribute: 'position',
        value: { kind: 'aim', target: 'Mark', at: null, offset: { x: 0, y: 0, z: 0 }, choice: null },
      },
    ],
  }
  const { palettes: known, faults } = knownPalettes(desk.show, [strange])
  expect(known[0]?.values).toHaveLength(1)
  expect(faults.map(({ what }) => what)).toEqual([
    'there is no fixture 99',
    'there is no type Auk',
    'there is no palette 77 to link to',
  ])
})

it('says what a table lacks, and which line makes no sense', () => {
  expect(readPaletteCells([['number', 'pan']]).trouble).toContain('no column palette')
  const header = ['palette', 'name', 'shelf', 'serves', 'attribute', 'kind', 'value']
  const { palettes: read, faults } = readPaletteCells([
    header,
    ['4', 'Tight', 'beam', 'any', 'zoom', 'number', '9'],
    ['4', 'Tight', 'attic', 'any', 'zoom', 'number', '9'],
    ['5', 'Odd', 'beam', 'any', 'zoom', 'number', 'wide'],
  ])
  expect(read.map(({ name, values }) => [name, values.length])).toEqual([['Tight', 1]])
  expect(faults.map(({ palette, what }) => [palette, what.split(':')[0]])).toEqual([
    [4, 'line 3'],
    [5, 'line 4'],
  ])
})
