import { expect, test } from 'vitest'
import { carrySheet } from '../cues/carrySheet'
import { listsInOrder, stateAtPlace } from '../cues/tracking'
import { cueValueId } from '../show/compositeIds'
import { rigOf } from '../show/rig'
import { buildSaltLantern } from '#demo/saltLantern'
import { sheetTable } from './sheetWords'

test('the table says of every cue and fixture what is set there, in brackets what is carried, as tracking has it', () => {
  const show = buildSaltLantern('demo')
  const [main] = listsInOrder(show)
  if (!main) throw new Error('there is no list')
  const fixtures = [...rigOf(show).values()].filter(({ bar }) => bar === null).map(({ id }) => id)
  const cues = main.cues.map((cue, at) => ({ ...cue, at }))
  const [head, ...lines] = sheetTable(show, carrySheet(show, main.id, 'position'), cues, fixtures)
  expect(head?.slice(0, 6)).toEqual(['cue', 'name', 'rise', 'fall', '1', '2'])
  cues.forEach(({ id, at }, row) => {
    const state = stateAtPlace(show, main.id, at)
    fixtures.forEach((fixture, column) => {
      const cell = lines[row]?.[column + 4] ?? ''
      const isSet = show.all.cueValue.has(cueValueId(id, fixture, 'position'))
      const standing = [...state.values()].find((one) => one.fixture === fixture && one.attribute === 'position')
      expect([cell === '', cell.startsWith('(')]).toEqual([standing === undefined, standing !== undefined && !isSet])
      if (standing?.value.kind === 'link')
        expect(cell).toContain(show.all.palette.get(standing.value.palette)?.name ?? 'gone')
    })
  })
})
