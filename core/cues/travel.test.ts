import { beforeEach, expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { distance, subtract, length } from '../geometry/vector'
import { onTheMove } from './arrivals'
import { handOver, onItsWay } from './stageAt'
import { travelOf, type Travel } from './travel'

let desk: Desk
beforeEach(() => {
  desk = new Desk()
  desk.aim('11, 12', 'Mark')
  desk.cue(1)
  desk.aim('11, 12', 'Shore')
  desk.cue(2)
})

const SAYS: readonly (Travel | null)[] = [null, 'straight', 'angle']
/** What the show, the list, the cue and a fixture in it say. */
function say(show: Travel, list: Travel | null, cue: Travel | null, fixture: Travel | null): void {
  const cues = [desk.choose.cue(1, 2)]
  desk.do('changeShow', { travel: show })
  desk.do('changeCueList', { list: desk.choose.list(1), travel: list })
  desk.do('changeCues', { cues, travel: cue })
  const times = { fixtures: desk.fixtures('11'), family: 'position', seconds: null, delay: null } as const
  desk.do('setCueTimes', { cues, ...times, travel: fixture })
}

it('is as the narrowest says, whoever else says what', () => {
  for (const show of ['straight', 'angle'] as const)
    for (const list of SAYS)
      for (const cue of SAYS)
        for (const fixture of SAYS) {
          say(show, list, cue, fixture)
          const all = { fixture, cue, list, show }
          const said = (['fixture', 'cue', 'list', 'show'] as const).find((who) => all[who] !== null) ?? 'show'
          const id = desk.choose.cue(1, 2)
          expect(travelOf(desk.show, id, desk.fixture(11))).toEqual({ travel: all[said], said })
          const others = cue ?? list ?? show
          expect(travelOf(desk.show, id, desk.fixture(12)).travel).toBe(others)
          expect(travelOf(desk.show, id).travel).toBe(others)
        }
})

it('moves each fixture of a cue its own way', () => {
  say('angle', null, null, 'straight')
  desk.go(1)
  const from = [11, 12].map((number) => desk.seen(number).position.point)
  desk.do('goToCue', { list: desk.choose.list(1), cue: desk.choose.cue(1, 2), seconds: 8 })
  const to = [11, 12].map((number) => desk.seen(number).position.point)
  const [offStraight, offAngle] = [11, 12].map((number, i) => {
    const moving = onTheMove(desk.show, [], desk.now + 4000).find(({ id }) => id === desk.fixture(number))
    const at = moving && onItsWay(desk.show, moving, handOver(desk.show, desk.person), desk.now + 4000)?.position.point
    const [a, b] = [from[i], to[i]]
    if (!at || !a || !b) throw new Error('it lands')
    // Of a point on the line between two places, the ways to both add up to the way between them.
    return distance(a, at) + distance(at, b) - length(subtract(b, a))
  })
  expect(offStraight).toBeLessThan(1e-6)
  expect(offAngle).toBeGreaterThan(1e-4)
})

it('says of whom it is, and in which families', () => {
  const cues = [desk.choose.cue(1, 2)]
  const times = { cues, seconds: null, delay: null, travel: 'straight' } as const
  for (const whom of [
    { fixtures: null, family: 'position' },
    { fixtures: desk.fixtures('11'), family: 'colour' },
  ] as const)
    expect(desk.refused('setCueTimes', { ...times, ...whom, fixtures: whom.fixtures && [...whom.fixtures] })).toMatch(
      /of which fixtures/,
    )
})
