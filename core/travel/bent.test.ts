import { expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { placeOfCue } from '../cues/tracking'
import { subtract, vec3, type Vec3 } from '../geometry/vector'
import { rigOf } from '../show/rig'
import { bentIn } from './bent'
import { stepAt, type Step } from './course'

const MARK = vec3(0, 2, 0)
/** A move that is to go straight, of a head that ends as it began or the other way round. */
function moveTo(to: Vec3, endsRound: boolean): Step {
  const desk = new Desk()
  const aim = (at: Vec3) => desk.aim('11', 'Mark', subtract(at, MARK))
  aim(vec3(-3, 3, 0))
  desk.cue(1)
  aim(to)
  if (endsRound) desk.do('turnOtherSide', { fixtures: desk.fixtures('11'), how: 'other' })
  desk.cue(2)
  const cue = desk.choose.cue(1, 2)
  desk.do('changeCues', { cues: [cue], move: 4, delay: 1, travel: 'straight' })
  const place = placeOfCue(desk.show, cue)
  const rigged = rigOf(desk.show).get(desk.fixture(11))
  const step = place && rigged && stepAt(desk.show, place.list, rigged, place.at)
  if (!step) throw new Error('no step')
  return step
}

it('a head that ends as it began goes straight; one that ends the other way round says until when it could', () => {
  expect(bentIn(moveTo(vec3(2, 4, 0), false))).toBeNull()
  const bent = bentIn(moveTo(vec3(2, 4, 0), true))
  expect(bent?.why).toBe('ends the other way round')
  expect(bent?.seconds).toBeGreaterThan(1)
  expect(bent?.seconds).toBeLessThanOrEqual(5)
})
