import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEGREE } from '../geometry/rotation'
import { angleBetween, normalise, subtract, vec3 } from '../geometry/vector'
import { poolOnLevel } from './pool'
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
