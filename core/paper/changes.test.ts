import { expect, test } from 'vitest'
import { vec3 } from '../geometry/vector'
import type { Show } from '../show/show'
import { Desk } from '../../tests/support/smallShow'
import { richDesk } from '../../tests/support/richShow'
import { changesSince, linesAfter } from './changes'
import { composeAll } from './compose'
import type { Leaf } from './leaf'
import { isPrintedAlike } from './printedAlike'

const charts = (show: Show): readonly Leaf[] =>
  composeAll(show, { size: 'A4', papers: [{ paper: 'palette-charts', numbers: '' }] }).flatMap(({ leaves }) => leaves)
const leafNamed = (show: Show, name: string): Leaf => {
  const found = charts(show).find(({ title }) => title.endsWith(name))
  if (!found) throw new Error(`no chart of ${name}`)
  return found
}

/** Two palettes: three fixtures at the bow, which goes with the dory, one at the mark. */
function printedDesk(): Desk {
  const desk = new Desk()
  desk.aim('11-13', 'Bow')
  desk.record(1, 'Bow')
  desk.do('clearHand', { fixtures: desk.fixtures('11-14,41'), families: ['position'] })
  desk.aim('14', 'Mark')
  desk.record(2, 'Mark')
  return desk
}

test('printed again unchanged nothing is marked; a moved piece marks the lines that follow it, and no others', () => {
  const desk = printedDesk()
  const before = { lines: linesAfter(null, charts(desk.show)) }
  for (const leaf of charts(desk.show))
    expect(changesSince(leaf, before)).toEqual({ marks: new Map(), isHeadOther: false, gone: 0 })
  desk.do('moveSetPiece', { setPiece: desk.choose.setPiece('Dory'), position: vec3(-2.5, 3, 0), yaw: 90 })
  const bow = changesSince(leafNamed(desk.show, 'Bow'), before)
  expect([...bow.marks.values()]).toEqual(['changed', 'changed', 'changed'])
  expect(bow.isHeadOther).toBe(true)
  const mark = changesSince(leafNamed(desk.show, 'Mark'), before)
  expect([mark.marks.size, mark.gone]).toEqual([0, 0])
})

test('fixtures that came or went are told; what was not printed this time is known as it was', () => {
  const desk = printedDesk()
  const first = { lines: linesAfter(null, charts(desk.show)) }
  desk.do('deleteFixtures', { fixtures: desk.fixtures('12') })
  const bow = changesSince(leafNamed(desk.show, 'Bow'), first)
  expect([bow.marks.size, bow.gone]).toEqual([0, 1])
  const second = { lines: linesAfter(first, [leafNamed(desk.show, 'Bow')]) }
  expect(changesSince(leafNamed(desk.show, 'Bow'), second)).toMatchObject({ isHeadOther: false, gone: 0 })
  expect(changesSince(leafNamed(desk.show, 'Mark'), second).marks.size).toBe(0)
  const fresh = changesSince(leafNamed(desk.show, 'Mark'), { lines: linesAfter(null, [leafNamed(desk.show, 'Bow')]) })
  expect([...fresh.marks.values()]).toEqual(['new', 'new'])
})

test('what is in hand or goes on stage makes no print old; what is printed does', () => {
  const desk = printedDesk()
  const before = desk.show
  desk.aim('14', 'Bow')
  desk.do('notePrint', { papers: [{ paper: 'patch', lines: '' }] })
  expect(isPrintedAlike(before, desk.show)).toBe(true)
  desk.do('moveSetPiece', { setPiece: desk.choose.setPiece('Dory'), position: vec3(-2.5, 3, 0), yaw: 90 })
  expect(isPrintedAlike(before, desk.show)).toBe(false)
})

test('noting a print counts its version up; lines that are none are refused', () => {
  const desk = printedDesk()
  const lines = linesAfter(null, charts(desk.show))
  desk.do('notePrint', { papers: [{ paper: 'palette-charts', lines }] })
  desk.do('notePrint', { papers: [{ paper: 'palette-charts', lines }] })
  expect(desk.show.all.print.get('palette-charts')).toMatchObject({ version: 2, lines })
  expect(desk.attempt('notePrint', { papers: [{ paper: 'patch', lines: '12' }] }).ok).toBe(false)
})

test('every paper of a show with everything in it is composed, each of its keys once', () => {
  const { show } = richDesk()
  const papers = composeAll(show, {
    size: 'A3',
    papers: [
      { paper: 'palette-charts', numbers: '' },
      { paper: 'fixture-charts', numbers: '' },
      { paper: 'hang-plot', scale: 20 },
      { paper: 'patch' },
      { paper: 'hook-up' },
      { paper: 'cue-lists', numbers: '' },
      { paper: 'carry-sheet', numbers: '', family: 'position' },
      { paper: 'magic-sheet' },
      { paper: 'differences', there: null },
      { paper: 'work-list' },
      { paper: 'travel' },
    ],
  })
  expect(papers.map(({ name }) => name)).toEqual([
    ...['palette-charts', 'fixture-charts', 'hang-plot', 'patch', 'hook-up', 'cue-lists'],
    ...['carry-sheet', 'magic-sheet', 'differences', 'work-list', 'travel'],
  ])
  for (const { leaves } of papers) {
    const keys = leaves.flatMap(({ key, blocks }) => [
      key,
      ...blocks.flatMap((block) => (block.kind === 'table' ? block.rows.map((row) => row.key) : [])),
    ])
    expect(keys.filter((key, i) => keys.indexOf(key) !== i)).toEqual([])
    for (const { blocks } of leaves)
      for (const block of blocks)
        if (block.kind === 'table') for (const { cells } of block.rows) expect(cells).toHaveLength(block.columns.length)
  }
})
