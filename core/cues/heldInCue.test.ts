import { expect, it } from 'vitest'
import { richDesk } from '../../tests/support/richShow'
import { LISTED_ATTRIBUTES } from '../attributes/attribute'
import { asFixtureId } from '../show/ids'
import { heldInCue } from './heldInCue'
import { listsInOrder, stateAt } from './tracking'

it('tells what a fixture has in a cue, from which cue, and up to which the same value stands', () => {
  const { show } = richDesk()
  let told = 0
  for (const list of listsInOrder(show))
    for (const [at, { id: cue }] of list.cues.entries())
      for (const fixture of show.all.fixture.keys()) {
        const held = heldInCue(show, cue, asFixtureId(fixture))
        const state = LISTED_ATTRIBUTES.flatMap(
          (attribute) => stateAt(show, list, cue).get(`${fixture} ${attribute}`) ?? [],
        )
        expect(held.map(({ stored }) => stored)).toEqual(state)
        for (const { attribute, stored, from, last } of held) {
          told += 1
          expect(from ?? cue).toBe(stored.cue)
          const alike = list.cues.map(({ id }) => stateAt(show, list, id).get(`${fixture} ${attribute}`) === stored)
          const ends = alike.indexOf(false, at)
          expect(last).toBe(list.cues[(ends < 0 ? list.cues.length : ends) - 1]?.id)
        }
      }
  expect(told).toBeGreaterThan(20)
})
