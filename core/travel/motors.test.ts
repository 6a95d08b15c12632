import fc from 'fast-check'
import { beforeEach, describe, expect, it } from 'vitest'
import { rounds } from '../../tests/support/rounds'
import { Desk } from '../../tests/support/smallShow'
import { fadedTo, lineBetween } from '../cues/fade'
import { subtract, vec3, type Vec3 } from '../geometry/vector'
import { axisTime, moveTime } from '../kinematics/motorTime'
import { surfacesOf } from '../venue/surfaces'
import type { CueId } from '../show/ids'
import { faultsIn } from './check'
import { chased, type AxisMotion } from '../kinematics/lag'
import { demandOn, pathOf } from './path'
import { isSurelySlow } from './slow'

let desk: Desk
const MARK = vec3(0, 2, 0)
const within = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const place = fc.record({ x: within(-5, 5), y: within(-1, 8), z: within(0, 2.5) })
/** Two cues: 11 lit at one place, then at another. */
function twoCues(from: Vec3, to: Vec3, move: number, travel: 'straight' | 'angle'): void {
  desk = new Desk()
  desk.do('setTake', { family: 'intensity', take: true })
  desk.aim('11', 'Mark', subtract(from, MARK))
  desk.level('11', 'intensity', 1)
  desk.cue(1)
  desk.aim('11', 'Mark', subtract(to, MARK))
  desk.cue(2)
  desk.do('changeCues', { cues: [desk.choose.cue(1, 2)], move, travel })
}
const second = () => desk.choose.cue(1, 2)
const tooFastIn = (cue: CueId) => faultsIn(desk.show, cue).flatMap(({ tooFast }) => tooFast ?? [])
const found = () => tooFastIn(second())

beforeEach(() => twoCues(vec3(-3, 1, 0), vec3(3, 6, 0), 5, 'angle'))

describe('moves that are too fast', () => {
  it('are told by axis, with what is needed and possible, and how far the light is behind', () => {
    expect(found()).toEqual([])
    desk.do('changeCues', { cues: [second()], move: 0.3 })
    const [fault] = found()
    expect(fault).toMatchObject({ what: 'speed', isLit: true })
    expect(fault?.possible).toBe(desk.seen(11).rigged.mount.head[fault?.axis ?? 'pan'].speed)
    expect(fault?.needed).toBeGreaterThan(fault?.possible ?? Infinity)
    expect(fault?.lagMetres).toBeGreaterThan(1)
    desk.do('changeCues', { cues: [second()], move: 0 })
    expect(found()[0]).toMatchObject({ what: 'time', possible: 0 })
  })

  it('are as fast as they can be in their shortest time, whatever the way', () => {
    let late = 0
    fc.assert(
      fc.property(place, place, within(0.1, 2), fc.constantFrom('straight', 'angle'), (a, b, move, travel) => {
        twoCues(a, b, move, travel)
        const [fault] = found()
        if (!fault) return
        late += 1
        if (fault.shortestSeconds === null) {
          desk.do('changeCues', { cues: [second()], move: fault.byAngleSeconds, travel: 'angle' })
          return expect(found()).toEqual([])
        }
        expect(fault.shortestSeconds).toBeGreaterThan(move)
        desk.do('changeCues', { cues: [second()], move: fault.shortestSeconds * 1.001 })
        expect(found()).toEqual([])
        desk.do('changeCues', { cues: [second()], move: fault.shortestSeconds * 0.98 })
        expect(found()).toHaveLength(1)
      }),
      rounds(40),
    )
    expect(late).toBeGreaterThan(5)
  })

  it('are those of the cue only, and none where it takes up what was there', () => {
    expect(tooFastIn(desk.choose.cue(1, 1))).toEqual([])
    twoCues(MARK, MARK, 0, 'straight')
    expect(found()).toEqual([])
  })
})

describe('what a path asks', () => {
  it('has no peak that a look a hundred thousand times as often would find, close by under the head too', () => {
    fc.assert(
      fc.property(within(-0.2, 0.2), within(1, 4), (beside, far) => {
        // From one side to the other, nearly through the place straight below the head.
        const below = vec3(-3, 0, 0)
        twoCues(vec3(below.x + beside, -far, 0), vec3(below.x + beside, far, 0), 4, 'straight')
        desk.go(1)
        const from = desk.seen(11)
        desk.go(2)
        const to = desk.seen(11)
        if (from.position.side !== to.position.side) return
        const poseAt = (t: number) => fadedTo(from, to, () => t, surfacesOf(desk.show), 'straight').position.pose
        const path = pathOf(poseAt)
        const many = 100_000
        let [peak, before] = [0, poseAt(0).pan]
        for (let i = 1; i <= many; i++) {
          const { pan } = poseAt(i / many)
          peak = Math.max(peak, (Math.abs(pan - before) * many) / 4)
          before = pan
        }
        expect(demandOn('pan', path, 4).speed).toBeGreaterThan(peak * 0.97)
        expect(demandOn('pan', path, 4).speed).toBeLessThan(peak * 1.03)
      }),
      rounds(4),
    )
  })
})

describe('a move that is surely slow', () => {
  it('asks nothing of any axis that it cannot, however it is followed', () => {
    let slow = 0
    fc.assert(
      fc.property(place, place, within(0.3, 12), (a, b, move) => {
        twoCues(a, b, move, 'straight')
        desk.go(1)
        const from = desk.seen(11)
        desk.go(2)
        const to = desk.seen(11)
        const line = lineBetween(from, to)
        const { mount } = to.rigged
        if (!line || !isSurelySlow(mount, line, move, [from.position.pose, to.position.pose])) return
        slow += 1
        const poseAt = (t: number) => fadedTo(from, to, () => t, surfacesOf(desk.show), 'straight').position.pose
        const path = pathOf(poseAt)
        for (const axis of ['pan', 'tilt'] as const) {
          const { speed, acceleration } = demandOn(axis, path, move)
          expect(speed).toBeLessThanOrEqual((mount.head[axis].speed ?? Infinity) * 1.001)
          expect(acceleration).toBeLessThanOrEqual((mount.head[axis].acceleration ?? Infinity) * 1.001)
        }
      }),
      rounds(80),
    )
    expect(slow).toBeGreaterThan(20)
  })
})

describe('a motor', () => {
  it('gets to a place in its own time, within its limits and without running past', () => {
    const axis = { min: -270, max: 270, speed: 120, acceleration: 260 }
    for (const far of [2, 30, 180]) {
      const dt = 0.0005
      let motion: AxisMotion = { at: 0, speed: 0 }
      let [time, furthest] = [0, 0]
      while (Math.abs(motion.at - far) > 0.05 && time < 10) {
        const next = chased(motion, { at: far, speed: 0 }, axis, dt)
        expect(Math.abs(next.speed)).toBeLessThanOrEqual(axis.speed + 1e-9)
        expect(Math.abs(next.speed - motion.speed)).toBeLessThanOrEqual(axis.acceleration * dt + 1e-9)
        motion = next
        furthest = Math.max(furthest, motion.at)
        time += dt
      }
      expect(time).toBeGreaterThan(axisTime(axis, far) * 0.88)
      expect(time).toBeLessThan(axisTime(axis, far) * 1.07)
      expect(furthest).toBeLessThan(far + 0.2)
    }
  })

  it('of a head needs as long as its slower axis', () => {
    desk.do('changeCues', { cues: [second()], move: 0 })
    const [fault] = found()
    const { head } = desk.seen(11).rigged.mount
    desk.go(1)
    const from = desk.seen(11).position.pose
    desk.go(2)
    expect(fault?.shortestSeconds).toBeCloseTo(moveTime(head, from, desk.seen(11).position.pose), 9)
  })
})
