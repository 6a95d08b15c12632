import { beforeEach, describe, expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { placeOfCue } from '../cues/tracking'
import { distance, pointBetween, subtract, vec3 } from '../geometry/vector'
import { rigOf } from '../show/rig'
import { surfacesOf } from '../venue/surfaces'
import { stepAt, type Step } from './course'
import { endOfStep, poolPath, seenAt, speedsOf } from './onTheWay'

const MARK = vec3(0, 2, 0)
const [BEGIN, END] = [vec3(-3, 1, 0), vec3(3, 6, 1)]
let desk: Desk
let step: Step

beforeEach(() => {
  desk = new Desk()
  desk.do('setTake', { family: 'intensity', take: true })
  desk.aim('11', 'Mark', subtract(BEGIN, MARK))
  desk.level('11', 'intensity', 1)
  desk.cue(1)
  desk.aim('11', 'Mark', subtract(END, MARK))
  desk.cue(2)
  const cue = desk.choose.cue(1, 2)
  desk.do('changeCues', { cues: [cue], move: 4.5, delay: 1, travel: 'straight' })
  const place = placeOfCue(desk.show, cue)
  const rigged = rigOf(desk.show).get(desk.fixture(11))
  const found = place && rigged && stepAt(desk.show, place.list, rigged, place.at)
  if (!found) throw new Error('no step')
  step = found
})

describe('a step on its way', () => {
  it('has its pool on the line, with a tick a second, and on an arc by angle', () => {
    const surfaces = surfacesOf(desk.show)
    const straight = poolPath(step, 'straight', surfaces)
    expect(straight?.ticks).toHaveLength(4)
    straight?.ticks.forEach((tick, i) =>
      expect(distance(tick, pointBetween(BEGIN, END, (i + 1) / 4.5))).toBeLessThan(1e-6),
    )
    const arc = poolPath(step, 'angle', surfaces)
    const middle = arc?.points[24] ?? BEGIN
    expect(distance(middle, pointBetween(BEGIN, END, 0.5))).toBeGreaterThan(0.3)
  })

  it('is seen where it is at an instant, delays and all', () => {
    expect(endOfStep(step)).toBe(5.5)
    for (const [instant, part] of [
      [0.5, 0],
      [1 + 4.5 / 3, 1 / 3],
      [9, 1],
    ] as const)
      expect(
        distance(seenAt(desk.show, step, instant).position.point ?? MARK, pointBetween(BEGIN, END, part)),
      ).toBeLessThan(1e-6)
  })

  it('turns as far in all as it has to', () => {
    for (const axis of ['pan', 'tilt'] as const) {
      const speeds = speedsOf(step, surfacesOf(desk.show))[axis]
      const turned = speeds.reduce((sum, { seconds, speed }, i) => {
        const before = speeds[i - 1]
        return before ? sum + ((speed + before.speed) / 2) * (seconds - before.seconds) : sum
      }, 0)
      const wanted = Math.abs(step.to.position.pose[axis] - step.from.position.pose[axis])
      expect(turned).toBeGreaterThan(wanted * 0.9)
    }
  })
})
