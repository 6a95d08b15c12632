import { describe, expect, it } from 'vitest'
import { asFixtureId } from '../show/ids'
import { parseLevelEntry } from './levelEntry'
import { completionsOf, parseEntry, type EntryWorld, type NamedSet } from './entry'

const id = (n: number | string) => asFixtureId(`f${n}`)
const set = (kind: NamedSet['kind'], name: string, members: number[], number: number | null = null): NamedSet => ({
  kind,
  name,
  number,
  members: members.map(id),
})
const world: EntryWorld = {
  numbered: [11, 12, 13, 15, 21, 22, 31, 32].flatMap((n) => [
    { id: id(n), number: n, cell: null },
    ...(n > 30 ? [1, 2, 3, 10].map((cell) => ({ id: id(`${n}.${cell}`), number: n, cell })) : []),
  ]),
  named: [
    set('hang', 'Bar 1', [11, 12, 13, 15]),
    set('hang', 'Bar 2', [21, 22]),
    set('group', 'Mid pairs', [13, 12], 3),
    set('group', 'Front, lit', [22], 4),
    set('type', 'Empty wash', []),
  ],
  lit: new Set([id(12), id(21)]),
  selected: [id(15), id(12)],
}
const numbers = (text: string) => {
  const result = parseEntry(text, world)
  if (!result.ok) return result.message
  return result.fixtures.map((fixture) => (fixture > 'f3' ? fixture.slice(1) : Number(fixture.slice(1))))
}

describe('a typed selection', () => {
  it.each([
    ['12', [12]],
    ['11-13', [11, 12, 13]],
    ['11 to 13', [11, 12, 13]],
    ['15-11', [15, 13, 12, 11]],
    ['12-15, 21', [12, 13, 15, 21]],
    ['21, 11-13, 12', [21, 11, 12, 13]],
    [' 11 - 12 ,', [11, 12]],
    ['', []],
    ['11-22 every 2', [11, 13, 21]],
    ['11-22 every 2 from 2', [12, 15, 22]],
    ['bar 1', [11, 12, 13, 15]],
    ['bar 1, -12', [11, 13, 15]],
    ['Bar 1 every 3, not 15, 22', [11, 22]],
    ['mid', [13, 12]],
    ['pairs', [13, 12]],
    ['group 3', [13, 12]],
    ['"Front, lit"', [22]],
    ['+21', [15, 12, 21]],
    ['and bar 2', [15, 12, 21, 22]],
    ['-12', [15]],
    ['without bar 1', []],
    ['lit', [12, 21]],
    ['bar 1 lit', [12]],
    ['bar 2 dark', [22]],
    ['all every 5', [11, 22]],
    ['11-32 every 7', [11, '32', '32.1', '32.2', '32.3', '32.10']],
    ['31', ['31', '31.1', '31.2', '31.3', '31.10']],
    ['31.2', ['31.2']],
    ['31.10', ['31.10']],
    ['31.2-10', ['31.2', '31.3', '31.10']],
    ['31.3-1', ['31.3', '31.2', '31.1']],
    ['31-32.1', ['31.1', '32.1']],
    ['32-31.1-2', ['32.1', '32.2', '31.1', '31.2']],
    ['31.3-32.1', ['31.3', '31.10', '32.1']],
    ['32.1 to 31.10', ['32.1', '31.10']],
    ['31.1-10 every 2', ['31.1', '31.3']],
    ['31, -31.2-10', ['31', '31.1']],
    ['selected, 11', [15, 12, 11]],
  ])('%s', (text, expected) => expect(numbers(text)).toEqual(expected))

  it.each([
    ['12, bow', '“bow” is no number'],
    ['14', 'There is no fixture 14.'],
    ['40-50', 'No fixture from 40 to 50.'],
    ['31.4', 'There is no cell 31.4.'],
    ['11.1', 'There is no cell 11.1.'],
    ['9.1', 'There is no fixture 9.'],
    ['32.11-33.2', 'There is no cell from 32.11 to 33.2.'],
    ['bar', '“bar” could be Bar 1, Bar 2.'],
    ['group 9', 'There is no group 9.'],
    ['empty wash', 'Empty wash has no fixtures.'],
    ['11-12 every 2 from 3', 'can begin from 1 to 2'],
    ['11-12 every 0', 'can begin from 1 to 1'],
    ['11 lit', 'Nothing of 11 is lit.'],
  ])('says what is wrong with %s', (text, message) => expect(numbers(text)).toContain(message))

  it('tells the part it stumbles over', () => {
    expect(parseEntry('12, bow, 13', world)).toMatchObject({ part: 'bow' })
  })
})

describe('completing', () => {
  const entries = (text: string) => completionsOf(text, world).map(({ entry }) => entry)

  it('offers names that begin so, keeping what was typed before', () => {
    expect(entries('11, -b')).toEqual(['11, -Bar 1', '11, -Bar 2'])
    expect(entries('pa')).toEqual(['Mid pairs'])
  })
  it('quotes a name with a comma, so that it is understood', () => {
    const [first] = entries('front')
    expect(first).toBe('"Front, lit"')
    expect(numbers(first ?? '')).toEqual([22])
  })
  it('offers words that go on from what is there', () => {
    expect(entries('bar 1 ev')).toEqual(['bar 1 every 2'])
    expect(entries('12')).toEqual([])
  })
})

describe('an entry with a level', () => {
  it.each([
    ['11-22 lit out', [12, 21], 0],
    ['Bar 1 at 30', [11, 12, 13, 15], 0.3],
    ['11 at 62,5 %', [11], 0.625],
    ['Bar 2 full', [21, 22], 1],
    ['out', [15, 12], 0],
    ['11-13', [11, 12, 13], null],
  ] as const)('%s', (text, fixtures, level) => {
    const named = { ...world, named: [...world.named, set('group', 'Way out', [11])] }
    const read = parseLevelEntry(text, named)
    if (read.selection.ok) expect(read.selection.fixtures.map((fixture) => Number(fixture.slice(1)))).toEqual(fixtures)
    expect(read.level).toBe(level)
    expect(parseLevelEntry('Way out', named)).toMatchObject({ selection: { ok: true }, level: null })
  })

  it('goes to 100 % and says so', () => {
    expect(parseLevelEntry('11 at 130', world)).toMatchObject({
      selection: { ok: false, message: 'A level goes to 100 %.' },
    })
  })
})
