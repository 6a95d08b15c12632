import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fixtureFrame, hangDirection, mountingPoint } from './frame'
import { rotate, rotation, turnLevel, unrotate } from './rotation'
import { angleBetween, cross, distance, dot, length, vec3, type Vec3 } from './vector'

const near = (a: Vec3, b: Vec3) => expect(distance(a, b)).toBeLessThan(1e-12)
const angle = fc.integer({ min: -720, max: 720 })
const coordinate = fc.integer({ min: -50, max: 50 })
const anyVector = fc.record({ x: coordinate, y: coordinate, z: coordinate })

describe('rotations', () => {
  it('act roll first, then pitch, then yaw, each right-handed', () => {
    near(rotate(rotation(90, 0, 0), vec3(1, 0, 0)), vec3(0, 1, 0))
    near(rotate(rotation(0, 90, 0), vec3(0, 1, 0)), vec3(0, 0, 1))
    near(rotate(rotation(0, 0, 90), vec3(0, 0, 1)), vec3(1, 0, 0))
    const all = rotate(rotation(90, 90, 90), vec3(0, 0, 1))
    near(all, turnLevel(rotate(rotation(0, 90, 0), vec3(1, 0, 0)), 90))
  })

  it('keep lengths, angles and handedness, and can be undone', () => {
    fc.assert(
      fc.property(angle, angle, angle, anyVector, anyVector, (yaw, pitch, roll, a, b) => {
        const r = rotation(yaw, pitch, roll)
        near(unrotate(r, rotate(r, a)), a)
        expect(length(rotate(r, a))).toBeCloseTo(length(a), 9)
        expect(dot(rotate(r, a), rotate(r, b))).toBeCloseTo(dot(a, b), 6)
        expect(distance(cross(rotate(r, a), rotate(r, b)), rotate(r, cross(a, b)))).toBeLessThan(1e-9)
      }),
    )
  })

  it('measure tiny and opposite angles without losing them', () => {
    expect(angleBetween(vec3(1, 0, 0), vec3(1, 1e-9, 0))).toBeCloseTo((1e-9 * 180) / Math.PI, 15)
    expect(angleBetween(vec3(1, 0, 0), vec3(-1, 0, 0))).toBe(180)
  })
})

describe('hangs', () => {
  const place = { along: 2, out: 0.5, drop: 0.25, yaw: 0, pitch: 0, roll: 0 }

  it('run level for a bar, up for a boom, and slanted in between', () => {
    near(hangDirection({ yaw: 0, rise: 0 }), vec3(1, 0, 0))
    near(hangDirection({ yaw: 90, rise: 0 }), vec3(0, 1, 0))
    near(hangDirection({ yaw: 90, rise: 90 }), vec3(0, 0, 1))
  })

  it('place fixtures along, out (level, square to the line) and dropped', () => {
    near(mountingPoint({ origin: vec3(1, 1, 7), yaw: 0, rise: 0 }, place), vec3(3, 1.5, 6.75))
    near(mountingPoint({ origin: vec3(1, 1, 7), yaw: 90, rise: 0 }, place), vec3(0.5, 3, 6.75))
    near(mountingPoint({ origin: vec3(5, 2, 2), yaw: 90, rise: 90 }, place), vec3(4.5, 2, 3.75))
  })

  it('leave an upright fixture upright on a boom and turn it with the hang’s yaw', () => {
    const { rotation: r } = fixtureFrame({ origin: vec3(0, 0, 0), yaw: 30, rise: 90 }, { ...place, yaw: 60 })
    near(rotate(r, vec3(0, 0, 1)), vec3(0, 0, 1))
    near(rotate(r, vec3(1, 0, 0)), vec3(0, 1, 0))
  })
})
