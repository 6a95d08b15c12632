import { describe, expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { listsInOrder } from '../cues/tracking'
import { cueValueId } from '../show/compositeIds'
import { membersOf } from '../show/rig'
import { readTables, rowsTogether } from './tables'

const table = (text: string) =>
  text
    .trim()
    .split('\n')
    .map((line) => line.split('|').map((cell) => cell.trim()))

const SET = table(`
set piece|x|y|z|width|depth|height
Pulpit|2|4|0|1|1|1.2`)
const PLACES = table(`
target|x|y|z|on
Reader|0|0|1.7|pulpit
Aisle|0|-2|0|`)
const GROUPS = table(`
group|number|fixtures
Bar heads|7|11-14
Ends||11, 14`)
const PALETTES = table(`
palette|number|target|level|pool|fixtures|note
Reader|40|Reader|||Bar heads|close in
Aisle wide||Aisle||2.5||
Half|50||50 %||11-14|`)
const CUES = table(`
cue|name|time|fixtures|palettes|level
1|House|3|Bar heads|Aisle wide|80
2|Reading|4,5|11-12|40|100
2||||Half|`)

/** The tables in the worst order. */
const ALL = [CUES, PALETTES, GROUPS, PLACES, SET]

const setIn = (desk: Desk, cue: number, fixture: number, attribute: string) =>
  desk.show.all.cueValue.get(cueValueId(desk.choose.cue(1, cue), desk.fixture(fixture), attribute))?.value

function imported(desk: Desk, tables = ALL) {
  const readings = readTables(desk.show, tables)
  for (const reading of readings) expect(reading.kind === 'unknown' ? reading.message : reading.problems).toEqual([])
  return desk.do('importTables', rowsTogether(readings))
}

describe('tables made elsewhere', () => {
  it('come in together, whatever their order, and speak of each other', () => {
    const desk = new Desk()
    expect(imported(desk)).toBe('import 2 targets, 1 set piece, 2 groups, 3 palettes, 2 cues')
    const { all } = desk.show
    const groups = [...all.group].map(([id, { number, name }]) => [number, name, membersOf(desk.show).get(id)?.length])
    expect(groups).toEqual(
      expect.arrayContaining([
        [7, 'Bar heads', 4],
        [8, 'Ends', 2],
      ]),
    )
    const palettes = [...all.palette.values()].map(({ number, name, shelf, note }) => [number, name, shelf, note])
    expect(palettes).toEqual(
      expect.arrayContaining([
        [40, 'Reader', 'position', 'close in'],
        [51, 'Aisle wide', 'focus', ''],
        [50, 'Half', 'intensity', ''],
      ]),
    )
    const [list] = listsInOrder(desk.show)
    expect(list?.cues.map(({ cue }) => [cue.number, cue.name, cue.rise, cue.fall])).toEqual([
      [1, 'House', 3, 3],
      [2, 'Reading', 4.5, 4.5],
    ])
    // A later row of a cue takes the place of what an earlier one set; the rest is recalled by link.
    expect(setIn(desk, 2, 11, 'intensity')).toMatchObject({ kind: 'link' })
    expect(setIn(desk, 2, 14, 'position')).toBeUndefined()
    expect(setIn(desk, 1, 13, 'intensity')).toEqual({ kind: 'number', number: 0.8 })
    expect(setIn(desk, 1, 13, 'zoom')).toMatchObject({ kind: 'link' })
  })

  it('carry through a moved set piece once they are in', () => {
    const desk = new Desk()
    imported(desk)
    desk.go(2)
    const before = desk.seen(11).position.point
    desk.do('moveSetPiece', { setPiece: desk.choose.setPiece('Pulpit'), position: { x: 3, y: 4, z: 0 }, yaw: 0 })
    const after = desk.seen(11).position.point
    expect(after && before && after.x - before.x).toBeCloseTo(1, 6)
  })

  it('are there already when they are read again', () => {
    const desk = new Desk()
    imported(desk)
    const again = readTables(desk.show, ALL)
    expect(rowsTogether(again)).toMatchObject({ targets: [], setPieces: [], groups: [], cues: [] })
    for (const reading of again) expect(reading).toMatchObject({ problems: [], rows: [] })
  })

  it.each([
    ['target|x|y|z|on\nDoor|0|0|0|Sofa', 'on', 'no set piece called “Sofa”'],
    ['group|fixtures\nNone|99', 'fixtures', 'There is no fixture 99'],
    ['palette|target\nMoon|Moon', 'target', 'no target called “Moon”'],
    ['palette|shelf\nMoon|sky', 'shelf', 'no shelf “sky”'],
    ['palette|level\nMoon|120', 'level', '0 to 100 per cent'],
    ['palette|zoom|pool\nMoon|20|2', 'pool', 'not both'],
    ['palette\nMoon', 'target', 'holds a target'],
    ['cue|palettes\n1|Moon', 'palettes', 'no palette “Moon”'],
    ['cue|level\n1|50', 'fixtures', 'needs fixtures or palettes'],
    ['cue|name\nfirst|x', 'cue', 'is not a number'],
    ['set piece|x|y|width|depth|height\nBox|0|0|0|1|1', 'width', ''],
  ])('say what is wrong with %j', (text, column, words) => {
    const [reading] = readTables(new Desk().show, [table(text)])
    expect(reading).toMatchObject({
      rows: [],
      problems: [{ line: 2, column, message: expect.stringContaining(words), severity: 'refused' }],
    })
  })
})
