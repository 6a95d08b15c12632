import { beforeEach, expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { distance, vec3, type Vec3 } from '../geometry/vector'
import type { TargetId } from '../show/ids'
import { Following } from './following'
import { intoTracking, ontoStage, trackingOf } from './tracked'

const FRAME = 25
/** Where the mark of the small show is. */
const MARK = vec3(0, 2, 0)

let desk: Desk
let mark: TargetId
let following: Following

beforeEach(() => {
  desk = new Desk()
  mark = desk.choose.target('Mark')
  desk.do('setTracking', { isOn: true, origin: vec3(1, -2, 0.3), turn: 35, depth: 'downstage' })
  desk.do('followTracker', { target: mark, tracker: 4, smoothing: 0, fastest: 30, within: 100, lostAfter: 0.5 })
  following = new Following()
})

const hear = (place: Vec3, at: number) =>
  following.hear([{ id: 4, place: intoTracking(trackingOf(desk.show), place) }], at)
const at = (now: number) => following.step(desk.show, now).get(mark)
/** The tracker is heard at a place, frame by frame, and followed. */
function stand(place: Vec3, from: number, to: number, frame = FRAME) {
  for (let now = from; now <= to; now += frame) {
    hear(place, now)
    at(now)
  }
}
const offOf = (place: Vec3, now: number) => distance(at(now)?.place ?? vec3(NaN, 0, 0), place)

it('a place lies the same way round on the stage and in the frame of the tracking system', () => {
  const frame = trackingOf(desk.show)
  // To the right of the system by one metre, two up, three into its depth, by hand.
  const [c, s] = [Math.cos((35 * Math.PI) / 180), Math.sin((35 * Math.PI) / 180)]
  const found = ontoStage(frame, vec3(1, 2, 3))
  expect(distance(found, vec3(1 + c + 3 * s, -2 + s - 3 * c, 2.3))).toBeLessThan(1e-12)
  expect(distance(intoTracking(frame, found), vec3(1, 2, 3))).toBeLessThan(1e-12)
})

it('a target is at its own place until its tracker is heard, and at the tracker from then on, so far above it', () => {
  expect(at(0)).toEqual({ place: MARK, state: 'not heard' })
  desk.do('followTracker', { target: mark, above: 1.2 })
  hear(vec3(2, 3, 0), 1000)
  // It goes there from its own place, as fast as it may.
  stand(vec3(2, 3, 0), 1000, 1400)
  expect(offOf(vec3(2, 3, 1.2), 1425)).toBeLessThan(1e-6)
  expect(at(1450)?.state).toBe('follows')
})

it('what trembles is evened out: after its time 63 % of the way is gone, whatever the frames', () => {
  for (const frame of [5, 25]) {
    following = new Following()
    desk.do('followTracker', { target: mark, smoothing: 0.2, fastest: 30 })
    hear(MARK, 0)
    at(0)
    stand(vec3(1, 2, 0), frame, 200, frame)
    expect(1 - offOf(vec3(1, 2, 0), 200)).toBeCloseTo(1 - Math.exp(-1), 6)
  }
})

it('it goes no faster and no further than it may', () => {
  desk.do('followTracker', { target: mark, fastest: 2, within: 3 })
  hear(MARK, 0)
  at(0)
  let before = MARK
  for (let now = FRAME; now <= 3000; now += FRAME) {
    hear(vec3(0, 12, 0), now)
    const place = at(now)?.place ?? MARK
    expect(distance(before, place)).toBeLessThanOrEqual((2 * FRAME) / 1000 + 1e-9)
    before = place
  }
  expect(distance(before, vec3(0, 5, 0))).toBeLessThan(1e-6)
  expect(at(3000)?.state).toBe('at its limit')
})

it('when the tracker falls silent it stays, or goes back to its own place; heard again, it follows again', () => {
  desk.do('followTracker', { target: mark, fastest: 4 })
  stand(vec3(2, 2, 0), 0, 1000)
  expect(offOf(vec3(2, 2, 0), 1450)).toBeLessThan(1e-6)
  expect(at(1600)).toMatchObject({ state: 'lost' })
  expect(offOf(vec3(2, 2, 0), 1600)).toBeLessThan(1e-6)
  expect(following.isAtRest).toBe(true)
  desk.do('followTracker', { target: mark, whenLost: 'goes back' })
  at(1625)
  expect(following.isAtRest).toBe(false)
  for (let now = 1650; now <= 2200; now += FRAME) at(now)
  expect(offOf(MARK, 2225)).toBeLessThan(1e-6)
  hear(vec3(2, 2, 0), 2300)
  for (let now = 2300; now <= 2700; now += FRAME) at(now)
  expect(offOf(vec3(2, 2, 0), 2725)).toBeLessThan(1e-6)
})

it('nothing follows while trackers are not listened to, nor in a venue that does not listen', () => {
  hear(vec3(2, 2, 0), 0)
  desk.do('setTracking', { isOn: false })
  expect(following.step(desk.show, 0).size).toBe(0)
})
