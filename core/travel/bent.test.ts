import fc from 'fast-check'
import { expect, it } from 'vitest'
import { rounds } from '../../tests/support/rounds'
import { Desk } from '../../tests/support/smallShow'
import { positionOnWay } from '../cues/fade'
import { placeOfCue } from '../cues/tracking'
import { distance, pointBetween, subtract, vec3, type Vec3 } from '../geometry/vector'
import { rigOf } from '../show/rig'
import { surfacesOf } from '../venue/surfaces'
import { bentIn } from './bent'
import { stepAt, type Step } from './course'

const MARK = vec3(0, 2, 0)
/** A move that is to go straight, of a head that ends as it began or the other way round. */
function moveTo(to: Vec3, endsRound: boolean, from = vec3(-3, 3, 0)): Step {
  const desk = new Desk()
  const aim = (at: Vec3) => desk.aim('11', 'Mark', subtract(at, MARK))
  aim(from)
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

it('one that passes below its own pan axis and ends the other way round goes straight all the same, at ease', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 359 }), fc.integer({ min: -4, max: 4 }), (bearing, millimetres) => {
      const head = rigOf(new Desk().show).values().next().value?.mount.pivot ?? raise()
      const [c, s] = [Math.cos((bearing * Math.PI) / 180), Math.sin((bearing * Math.PI) / 180)]
      const beside = millimetres / 1000
      const at = (far: number) => vec3(head.x + far * c - beside * s, head.y + far * s + beside * c, 0)
      const [begin, end] = [at(-2), at(3)]
      const step = [false, true]
        .map((round) => moveTo(end, round, begin))
        .find(({ from, to }) => from.position.side !== to.position.side)
      if (!step || Math.abs(step.from.position.pose.pan - step.to.position.pose.pan) > 90) return
      expect(bentIn(step)).toBeNull()
      let last = step.from.position.pose
      for (let i = 1; i <= 400; i++) {
        const { solved } = positionOnWay(step.from, step.to, i / 400, surfacesOf(new Desk().show), 'straight')
        expect(distance(solved.point ?? raise(), pointBetween(begin, end, i / 400))).toBeLessThan(0.01)
        expect(Math.abs(solved.pose.pan - last.pan)).toBeLessThan(1)
        expect(Math.abs(solved.pose.tilt - last.tilt)).toBeLessThan(1)
        last = solved.pose
      }
      passed += 1
    }),
    rounds(60),
  )
  expect(passed).toBeGreaterThan(10)
})
let passed = 0

function raise(): never {
  throw new Error('there is none')
}
