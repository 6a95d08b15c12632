import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fixtureFrame } from '../geometry/frame'
import { rotate } from '../geometry/rotation'
import { distance, vec3, type Vec3 } from '../geometry/vector'
import { rigOf } from '../show/rig'
import { Desk } from '../../tests/support/smallShow'
import { rigCheck } from './check'
import { mirroredFixture, mirroredHang } from './mirror'
import { alongRow } from './row'
import { snap } from './snap'
import { lightAt, whoCanLight } from './throwTo'

describe('a row', () => {
  it('is centred, or spread evenly with half a gap at either end', () => {
    expect(alongRow({ count: 4, gap: 1.2, middle: 0 }, 10)).toEqual([-1.8, -0.6, 0.6, 1.8])
    expect(alongRow({ count: 3, gap: 1, middle: 2 }, 10)).toEqual([1, 2, 3])
    expect(alongRow({ count: 4, gap: null, middle: 0 }, 8)).toEqual([-3, -1, 1, 3])
    expect(alongRow({ count: 1, gap: null, middle: 0.5 }, 8)).toEqual([0.5])
  })
})

describe('mirroring', () => {
  const angle = fc.integer({ min: -180, max: 180 })
  const metre = fc.integer({ min: -60, max: 60 }).map((n) => n / 10)
  const hang = fc.record({
    origin: fc.record({ x: metre, y: metre, z: metre }),
    yaw: angle,
    rise: fc.integer({ min: -90, max: 90 }),
  })
  const place = fc.record({ along: metre, out: metre, drop: metre, yaw: angle, pitch: angle, roll: angle })
  const flipped = (v: Vec3) => vec3(-v.x, v.y, v.z)

  it('puts every fixture, and every way it looks, at its mirror image', () => {
    fc.assert(
      fc.property(hang, place, (h, f) => {
        const first = fixtureFrame(h, f)
        const image = fixtureFrame(mirroredHang(h), mirroredFixture(f, h))
        expect(distance(image.origin, flipped(first.origin))).toBeLessThan(1e-9)
        for (const look of [vec3(0, 0, -1), vec3(0, 1, 0)])
          expect(distance(rotate(image.rotation, look), flipped(rotate(first.rotation, look)))).toBeLessThan(1e-9)
      }),
    )
  })
})

it('snaps to a line within reach, else to the grid', () => {
  expect(snap(1.337, [1.35, 4], 0.1, 0.05)).toEqual({ value: 1.35, line: 1.35 })
  expect(snap(1.337, [4], 0.1, 0.05)).toEqual({ value: 1.35, line: null })
  expect(snap(-0.01, [], 0.1, 0.05)).toEqual({ value: 0, line: null })
})

describe('choosing a lens', () => {
  it('gives throw, the pool on the plane it lies on, and lux by the table', () => {
    const desk = new Desk()
    const rigged = rigOf(desk.show).get(desk.fixture(12))
    if (!rigged) throw new Error('12 hangs')
    const below = vec3(rigged.mount.pivot.x, rigged.mount.pivot.y, 0)
    const light = lightAt(desk.show, rigged, below, 12)
    expect(light.throwMetres).toBeCloseTo(7 - 0.42 - 0.31, 6)
    expect(light.incidence).toBeCloseTo(0, 4)
    expect(light.pool?.long).toBeCloseTo(2 * light.throwMetres * Math.tan((6 * Math.PI) / 180), 4)
    expect(light.lux).toBeCloseTo(395000 / light.throwMetres ** 2, 3)
    expect([light.surface, light.blockedBy]).toEqual(['the floor', null])
  })

  it('ranks who can make a pool of so many metres and lux, and says what the others lack', () => {
    const desk = new Desk()
    const place = vec3(0, 2, 0)
    const ranked = whoCanLight(desk.show, { place, diameter: 1.8, lux: 600 })
    expect(ranked).toHaveLength(5)
    expect(ranked[0]?.lacks).toEqual([])
    for (const [i, light] of ranked.entries()) {
      const before = ranked[i - 1]
      if (before && before.lacks.length === light.lacks.length) expect(before.lux).toBeGreaterThanOrEqual(light.lux)
    }
    const tooBright = whoCanLight(desk.show, { place, diameter: 1.8, lux: 1e6 })
    expect(tooBright.every(({ lacks }) => lacks.includes('light'))).toBe(true)
    const tooWide = whoCanLight(desk.show, { place, diameter: 40, lux: 1 })
    expect(tooWide.every(({ lacks }) => lacks.includes('zoom'))).toBe(true)
  })

  it('tells a place behind the set from a clear one, and the set itself does not hide its own targets', () => {
    const desk = new Desk()
    const rigged = rigOf(desk.show).get(desk.fixture(41))
    if (!rigged) throw new Error('41 hangs')
    const behind = vec3(-4.2, 3.4, 0.2)
    const dory = desk.choose.setPiece('Dory')
    expect(lightAt(desk.show, rigged, behind, 20).blockedBy).toBe(dory)
    expect(lightAt(desk.show, rigged, vec3(-2, 4.4, 0.65), 20).blockedBy).toBeNull()
    expect(
      whoCanLight(desk.show, { place: behind, diameter: 3, lux: 1 }).find((c) => c.rigged.id === rigged.id)?.lacks,
    ).toEqual(['clear way'])
  })
})

describe('the rig check', () => {
  const titles = (desk: Desk) => rigCheck(desk.show).map(({ title, why }) => `${title} ${why}`)

  it('finds nothing wrong with a sound rig but that it is not patched', () => {
    expect(titles(new Desk())).toEqual(['5 fixtures not patched: 11, 12, 13, 14, 41'])
  })

  it('finds each thing that looks wrong, with where to look', () => {
    const desk = new Desk()
    const bar = desk.choose.hang('Bar')
    desk.do('changeFixtures', {
      changes: [
        { fixture: desk.fixture(12), along: -3.02 },
        { fixture: desk.fixture(13), drop: 7.5 },
        { fixture: desk.fixture(14), along: 5, type: null },
      ],
    })
    desk.do('moveHang', { hang: bar, origin: vec3(0, 0, 7), length: 30 })
    desk.do('addTarget', { name: 'Sky', form: { kind: 'point' }, setPiece: null, position: vec3(0, 0, 60) })
    const found = titles(desk)
    expect(found).toContain('Fixtures 11 and 12 hang in one spot, 2 cm apart')
    expect(found).toContain('Fixture 13 is 0.50 m below the floor it stands on')
    expect(found).toContain('Fixture 14 has no type, so it cannot be aimed')
    expect(found).toContain('Bar is 30.00 m across, wider than the stage with 17.60 m')
    expect(found).toContain('Sky no fixture can reach it')
    const sky = rigCheck(desk.show).find(({ title }) => title === 'Sky')
    expect(sky?.jump).toEqual({ kind: 'target', target: desk.choose.target('Sky') })
  })
})
