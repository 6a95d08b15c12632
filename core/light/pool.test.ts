import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEGREE } from '../geometry/rotation'
import { angleBetween, normalise, subtract, vec3 } from '../geometry/vector'
import { poolOnLevel, poolOnPlane } from './pool'
import { poolDiameter, zoomForPool } from './zoom'

const straightDown = { lens: vec3(1, 2, 6), direction: vec3(0, 0, -1) }

describe('the pool on a level plane', () => {
  it('is a circle straight below', () => {
    const pool = poolOnLevel(straightDown, 60, 0)
    const radius = 6 * Math.tan(30 * DEGREE)
    expect(pool).toMatchObject({ kind: 'closed', centre: { x: 1, y: 2, z: 0 } })
    if (pool?.kind !== 'closed') return
    expect(pool.halfLong).toBeCloseTo(radius, 9)
    expect(pool.halfShort).toBeCloseTo(radius, 9)
  })

  it('has every point of its outline on the edge of the cone', () => {
    const tilt = fc.integer({ min: 0, max: 60 })
    const pan = fc.integer({ min: -180, max: 180 })
    const angle = fc.integer({ min: 2, max: 50 })
    fc.assert(
      fc.property(tilt, pan, angle, (tiltDegrees, panDegrees, full) => {
        fc.pre(tiltDegrees + full / 2 < 88)
        const level = Math.sin(tiltDegrees * DEGREE)
        const direction = vec3(
          level * Math.cos(panDegrees * DEGREE),
          level * Math.sin(panDegrees * DEGREE),
          -Math.cos(tiltDegrees * DEGREE),
        )
        const lens = vec3(-2, 1, 5)
        const pool = poolOnLevel({ lens, direction }, full, 0.5)
        expect(pool?.kind).toBe('closed')
        if (pool?.kind !== 'closed') return
        for (let i = 0; i < 12; i++) {
          const along = pool.halfLong * Math.cos((i * Math.PI) / 6)
          const across = pool.halfShort * Math.sin((i * Math.PI) / 6)
          const c = Math.cos(pool.turn * DEGREE)
          const s = Math.sin(pool.turn * DEGREE)
          const point = vec3(pool.centre.x + c * along - s * across, pool.centre.y + s * along + c * across, 0.5)
          expect(angleBetween(normalise(subtract(point, lens)), direction)).toBeCloseTo(full / 2, 6)
        }
      }),
    )
  })

  it('is open and cut off at the reach once its edge meets the horizon', () => {
    const direction = normalise(vec3(0, 1, -0.1))
    const pool = poolOnLevel({ lens: vec3(0, 0, 5), direction }, 30, 0, 25)
    expect(pool?.kind).toBe('open')
    if (pool?.kind !== 'open') return
    const furthest = Math.max(...pool.outline.map((p) => Math.hypot(p.x, p.y)))
    expect(furthest).toBeCloseTo(25, 6)
    for (const point of pool.outline) expect(Number.isFinite(point.x + point.y)).toBe(true)
  })

  it('is nothing for light that goes away from the plane', () => {
    expect(poolOnLevel({ lens: vec3(0, 0, 5), direction: vec3(0, 0, 1) }, 20, 0)).toBeNull()
  })
})

describe('zoom and pool size', () => {
  it('undo each other inside the range', () => {
    const zoom = zoomForPool(1.8, 7, { min: 6, max: 48 })
    expect(zoom.fits).toBe(true)
    expect(poolDiameter(7, zoom.angle)).toBeCloseTo(1.8, 9)
  })

  it('stop at the range and say what they really give', () => {
    const zoom = zoomForPool(1.8, 30, { min: 6, max: 48 })
    expect(zoom).toMatchObject({ fits: false, angle: 6 })
    expect(zoom.diameter).toBeCloseTo(2 * 30 * Math.tan(3 * DEGREE), 9)
  })
})

describe('the pool on any plane', () => {
  const down = { lens: vec3(0, 0, 4), direction: normalise(vec3(1, 0, -1)) }

  it('has the size the level pool has, on the level', () => {
    const onLevel = poolOnLevel(down, 20, 0)
    const size = poolOnPlane(down, 20, { point: vec3(9, 9, 0), normal: vec3(0, 0, 1) })
    expect(size?.incidence).toBeCloseTo(45, 9)
    if (onLevel?.kind !== 'closed') throw new Error('it is closed')
    expect(size?.axes?.long).toBeCloseTo(2 * onLevel.halfLong, 9)
    expect(size?.axes?.short).toBeCloseTo(2 * onLevel.halfShort, 9)
  })

  it('is round on a plane square to the beam, open past the horizon and nothing behind', () => {
    const facing = { point: vec3(3, 0, 1), normal: normalise(vec3(-1, 0, 1)) }
    const size = poolOnPlane(down, 20, facing)
    expect(size?.incidence).toBeCloseTo(0, 5)
    expect(size?.axes?.long).toBeCloseTo(size?.axes?.short ?? NaN, 5)
    expect(poolOnPlane(down, 100, { point: vec3(0, 0, 0), normal: vec3(0, 0, 1) })?.axes).toBeNull()
    expect(poolOnPlane(down, 20, { point: vec3(-5, 0, 0), normal: vec3(1, 0, 0) })).toBeNull()
  })
})
