import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { RING } from '../../tests/support/movements'
import { cross, length, normalise, subtract, add, vec3, type Vec3 } from '../geometry/vector'
import { beamAt } from '../kinematics/forward'
import { mountHead, type Head } from '../kinematics/head'
import { solveAim } from '../kinematics/inverse'
import { rotation } from '../geometry/rotation'
import { aimedBy, largestTrue, poseMoved, quickestTrue, strayed, TRUE_TO_PATH, type MovedHead } from './driven'
import { displacement } from './lying'
import type { Movement } from './movement'
import { FIRST_BEAT } from './tempo'

const HEAD: Head = {
  pan: { min: -270, max: 270, speed: 180, acceleration: 400 },
  tilt: { min: -130, max: 130, speed: 150, acceleration: 400 },
  pivotDrop: 0.3,
  lens: { across: 0.02, normal: 0.01, forward: 0.15 },
}
const SWAY: Movement = { ...RING, along: 2, tempo: { by: 'minute', rounds: 20 } }

function headAt(origin: Vec3, place: Vec3, yaw = 0, head = HEAD): MovedHead {
  const mount = mountHead(head, { origin, rotation: rotation(yaw, 0, 0) })
  return { mount, place, still: solveAim(mount, place), target: null }
}
const BEFORE = headAt(vec3(0, -4, 7), vec3(1, 3, 0))
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const hung = fc
  .record({
    x: number(-6, 6),
    y: number(-6, 6),
    z: number(5, 9),
    px: number(-5, 5),
    py: number(-5, 5),
    yaw: number(-180, 180),
  })
  .map(({ x, y, z, px, py, yaw }) => headAt(vec3(x, y, z), vec3(px, py, 0), yaw))

describe('a head that is moved', () => {
  it('puts its light where the path is, on the side it took to the place', () => {
    fc.assert(
      fc.property(hung, number(0, 1), number(0.1, 3), (head, round, size) => {
        const movement = { ...SWAY, along: size, across: size }
        const moved = displacement(movement, round, aimedBy(head))
        const wanted = add(head.place, moved.offset)
        const pose = poseMoved(head, moved)
        const { lens, direction } = beamAt(head.mount, pose)
        const way = subtract(wanted, lens)
        const miss = length(cross(normalise(way), direction)) * length(way)
        if (pose.missMetres === 0) expect(miss).toBeLessThan(1e-4)
        else expect(Math.abs(miss - pose.missMetres)).toBeLessThan(1e-6)
        expect(pose.side).toBe(head.still.side)
        expect(Math.abs(pose.pan - head.still.pan)).toBeLessThanOrEqual(180)
        for (const axis of ['pan', 'tilt'] as const) {
          expect(pose[axis]).toBeGreaterThanOrEqual(HEAD[axis].min)
          expect(pose[axis]).toBeLessThanOrEqual(HEAD[axis].max)
        }
      }),
    )
  })

  it('never jumps on a path that does not pass under it', () => {
    const aimed = aimedBy(BEFORE)
    const poses = Array.from({ length: 2401 }, (_, i) => poseMoved(BEFORE, displacement(SWAY, i / 2400, aimed)))
    for (const [i, pose] of poses.entries()) {
      const before = poses[i - 1] ?? pose
      expect(Math.hypot(pose.pan - before.pan, pose.tilt - before.tilt)).toBeLessThan(0.05)
    }
  })

  it('stands at a stop that it is led to, and never turns the other way round', () => {
    const pan = { ...HEAD.pan, min: -40, max: 40 }
    const stopped = headAt(vec3(0, -4, 7), vec3(1, 3, 0), 0, { ...HEAD, pan })
    const aimed = aimedBy(stopped)
    const wide = { ...SWAY, along: 40, across: 1 }
    const poses = Array.from({ length: 2401 }, (_, i) => poseMoved(stopped, displacement(wide, i / 2400, aimed)))
    expect(poses.some(({ shortDegrees, missMetres }) => shortDegrees > 5 && missMetres > 0.5)).toBe(true)
    for (const [i, pose] of poses.entries()) {
      const before = poses[i - 1] ?? pose
      expect(Math.hypot(pose.pan - before.pan, pose.tilt - before.tilt)).toBeLessThan(0.6)
      expect(Math.abs(pose.pan)).toBeLessThanOrEqual(40)
    }
  })

  it('in angles swings about its pose, and stops at its stops', () => {
    const angles = { ...SWAY, lies: 'angles' as const, along: 30, across: 0 }
    const still = poseMoved(BEFORE, displacement({ ...angles, along: 0 }, 0, aimedBy(BEFORE)))
    expect(poseMoved(BEFORE, displacement(angles, 0, aimedBy(BEFORE)))).toEqual({ ...still, pan: still.pan + 15 })
    expect(poseMoved(BEFORE, { offset: vec3(0, 0, 0), pan: 1000, tilt: -1000 })).toMatchObject({ pan: 270, tilt: -130 })
  })
})

describe('what motors make of a path', () => {
  it('is the path itself where it is slow, or nobody knows the motors; else they cut its bends', () => {
    expect(strayed(BEFORE, SWAY, 10)).toBeLessThan(1e-3)
    const free = { min: -270, max: 270 }
    const unknown = headAt(vec3(0, -4, 7), vec3(1, 3, 0), 0, { ...HEAD, pan: free, tilt: { min: -130, max: 130 } })
    expect(strayed(unknown, SWAY, 0.2)).toBe(0)
    const hurried = [2, 1, 0.5].map((seconds) => strayed(BEFORE, { ...SWAY, along: 6, across: 6 }, seconds))
    expect(Math.min(...hurried)).toBeGreaterThan(TRUE_TO_PATH)
    // A line that is turned back on at once cannot be run to its ends; one that is eased can.
    const line = { ...SWAY, path: { form: 'line' as const }, along: 6 }
    expect(strayed(BEFORE, { ...line, ease: 1 }, 4)).toBeLessThan(strayed(BEFORE, line, 4) + 1e-9)
  })

  it('says the quickest tempo and the largest size that are true, and no more than was asked', () => {
    const rushed = { ...SWAY, along: 6, across: 6, tempo: { by: 'minute' as const, rounds: 90 } }
    const quickest = quickestTrue(BEFORE, rushed, FIRST_BEAT)
    expect(quickest).toBeGreaterThan(5)
    expect(quickest).toBeLessThan(90)
    expect(strayed(BEFORE, rushed, 60 / quickest)).toBeLessThanOrEqual(TRUE_TO_PATH)
    expect(strayed(BEFORE, rushed, 60 / (quickest * 1.02))).toBeGreaterThan(TRUE_TO_PATH)
    const part = largestTrue(BEFORE, rushed, FIRST_BEAT)
    expect(strayed(BEFORE, { ...rushed, along: 6 * part, across: 6 * part }, 60 / 90)).toBeLessThanOrEqual(TRUE_TO_PATH)
    expect(strayed(BEFORE, { ...rushed, along: 6.3 * part, across: 6.3 * part }, 60 / 90)).toBeGreaterThan(TRUE_TO_PATH)
    expect([quickestTrue(BEFORE, SWAY, FIRST_BEAT), largestTrue(BEFORE, SWAY, FIRST_BEAT)]).toEqual([20, 1])
  })
})
