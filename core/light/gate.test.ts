import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { HOME, mountHead } from '../kinematics/head'
import { beamAt, gateAxes } from '../kinematics/forward'
import { DEGREE, rotation } from '../geometry/rotation'
import { add, cross, dot, length, normalise, scale, subtract, vec3 } from '../geometry/vector'
import { tern } from '#demo/types'
import { BLADE_SIDES } from '../attributes/catalogue'
import { irisRadius, openingOf, PLAIN_LIGHT, poolOffsets, turnedBy, widestOf, type LightShape } from './gate'
import { turnPoint, type GatePoint, type GateRing } from './gatePoint'
import { GOBO_PATTERNS, openingsOf } from './goboOpenings'
import { poolOnLevel } from './pool'
import { litRings, shapedPool } from './shapedPool'

const ORIGIN: GatePoint = [0, 0]
const level = fc.double({ min: 0, max: 1, noNaN: true })
const angle = fc.double({ min: -30, max: 30, noNaN: true })
const shape = fc.record({
  iris: level,
  softness: level,
  blades: fc
    .tuple(...BLADE_SIDES.map((side) => fc.record({ side: fc.constant(side), depth: level, angle })))
    .chain((blades) => fc.subarray(blades)),
  frameTurn: fc.double({ min: -90, max: 90, noNaN: true }),
  gobos: fc.array(
    fc.record({
      pattern: fc.constantFrom(...GOBO_PATTERNS),
      turn: fc.record({ degrees: fc.double({ min: -180, max: 180, noNaN: true }), rpm: fc.constant(0) }),
    }),
    { maxLength: 1 },
  ),
  prism: fc.constant(null),
  strobe: fc.constant(0),
}) satisfies fc.Arbitrary<LightShape>

/** Whether light passes a point of the gate: asked blade by blade, each turned back to stand upright. */
function passes({ blades, frameTurn, ...rest }: LightShape, x: number, y: number): boolean {
  if (Math.hypot(x, y) > irisRadius({ ...PLAIN_LIGHT, iris: rest.iris })) return false
  return blades.every(({ side, depth, angle: lean }) => {
    const [fx, fy] = turnPoint([x, y], -frameTurn)
    // As if it were the top blade.
    const upright = turnPoint([fx, fy], -90 * BLADE_SIDES.indexOf(side))
    const edge = 1 - 2 * depth
    const [, across] = turnPoint([upright[0], upright[1] - edge], -lean)
    return across <= 0
  })
}

/** Whether a point lies in a ring, by the turns of the ring round it. */
function isIn(ring: GateRing, [x, y]: readonly [number, number]): boolean {
  const turns = ring.reduce((sum, from, i) => {
    const to = ring[(i + 1) % ring.length] ?? from
    const a = Math.atan2(from[1] - y, from[0] - x)
    const b = Math.atan2(to[1] - y, to[0] - x)
    return sum + Math.atan2(Math.sin(b - a), Math.cos(b - a))
  }, 0)
  return Math.abs(turns) > Math.PI
}

describe('the gate', () => {
  it('lets through what no blade and no iris stands before', () => {
    fc.assert(
      fc.property(
        shape,
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (one, x, y) => {
          // Near an edge both answers may be had: a round opening is drawn with corners.
          const [just, well] = [1 / 1.01, 1.01].map((size) => passes(one, x * size, y * size))
          const isNear = [0.01, -0.01].some((by) => passes(one, x + by, y) !== just || passes(one, x, y + by) !== just)
          fc.pre(just === well && !isNear)
          expect(isIn(openingOf(one), [x, y])).toBe(just)
        },
      ),
      { numRuns: 400 },
    )
  })

  it('turns clockwise, looking with the light', () => {
    expect(turnPoint([0, 1], 90).map((at) => Math.round(at))).toEqual([1, 0])
    expect(turnedBy({ degrees: 20, rpm: 10 }, 0.5)).toBe(50)
  })

  it('has gobos within the rim, that blades and iris cut', () => {
    for (const pattern of GOBO_PATTERNS)
      for (const [x, y] of openingsOf(pattern).flat()) expect(Math.hypot(x, y)).toBeLessThan(1.000001)
    fc.assert(
      fc.property(shape, (one) => {
        const opening = openingOf(one)
        const lit = litRings(one, opening).flat()
        for (const [x, y] of lit) {
          expect(Math.hypot(x, y)).toBeLessThan(irisRadius(one) + 1e-9)
        }
      }),
    )
  })

  it('throws a pool for each facet of a prism, as far from the axis wherever it stands', () => {
    const prism = (facets: number, degrees: number) => ({ facets, place: 0.5, turn: { degrees, rpm: 0 } })
    const five = poolOffsets({ ...PLAIN_LIGHT, prism: prism(5, 33) })
    expect(five).toHaveLength(5)
    expect(new Set(five.map(([x, y]) => Math.hypot(x, y).toFixed(9))).size).toBe(1)
    const [still, turned] = [0, 90].map(
      (degrees) => poolOffsets({ ...PLAIN_LIGHT, prism: prism(3, degrees) })[0] ?? ORIGIN,
    )
    expect(turned).toEqual(turnPoint(still ?? ORIGIN, 90).map((at) => expect.closeTo(at, 9)))
    expect(widestOf({ ...PLAIN_LIGHT, prism: prism(3, 0) })).toBeGreaterThan(widestOf(PLAIN_LIGHT))
  })
})

const mount = mountHead(tern, { origin: vec3(1, 2, 6), rotation: rotation(0, 0, 0) })

describe('shaped light on the floor', () => {
  it('has the rim of the whole pool where nothing cuts it, on the cone all round', () => {
    fc.assert(
      fc.property(fc.integer({ min: -170, max: 170 }), fc.integer({ min: -55, max: 55 }), (pan, tilt) => {
        const beam = beamAt(mount, { pan, tilt })
        const axes = gateAxes(mount, { pan, tilt })
        const pool = shapedPool({ beam, axes, angle: 24, shape: PLAIN_LIGHT }, 0, 40)
        const whole = poolOnLevel(beam, 24, 0)
        expect(whole?.kind).toBe('closed')
        for (const point of pool?.outlines[0] ?? []) {
          const ray = normalise(subtract(point, beam.lens))
          expect(Math.acos(dot(ray, beam.direction)) / DEGREE).toBeCloseTo(12, 6)
          expect(point.z).toBeCloseTo(0, 9)
        }
      }),
    )
  })

  it('has axes that are right, up and away, up where positive tilt goes', () => {
    fc.assert(
      fc.property(fc.integer({ min: -200, max: 200 }), fc.integer({ min: -120, max: 120 }), (pan, tilt) => {
        const { right, up } = gateAxes(mount, { pan, tilt })
        const { direction } = beamAt(mount, { pan, tilt })
        expect(length(subtract(cross(right, up), scale(direction, -1)))).toBeLessThan(1e-9)
        const further = beamAt(mount, { pan, tilt: tilt + 0.001 }).direction
        expect(dot(normalise(subtract(further, direction)), up)).toBeCloseTo(1, 4)
      }),
    )
  })

  it('of a head straight down loses what is upstage to its top blade, as far as that is in', () => {
    const beam = beamAt(mount, HOME)
    const cut = { ...PLAIN_LIGHT, blades: [{ side: 'top', depth: 0.25, angle: 0 }] as const }
    const pool = shapedPool({ beam, axes: gateAxes(mount, HOME), angle: 30, shape: cut }, 0, 40)
    const furthest = Math.max(...(pool?.outlines[0] ?? []).map(({ y }) => y))
    const edge = add(beam.lens, scale(vec3(0, 1, 0), 0.5 * beam.lens.z * Math.tan(15 * DEGREE)))
    expect(furthest).toBeCloseTo(edge.y, 6)
  })

  it('is none once blades cover everything, nor above a head that points down', () => {
    const beam = beamAt(mount, HOME)
    const light = { beam, axes: gateAxes(mount, HOME), angle: 30 }
    const shut = { ...PLAIN_LIGHT, blades: [{ side: 'left', depth: 1, angle: 0 }] as const }
    expect(shapedPool({ ...light, shape: shut }, 0, 40)).toBeNull()
    expect(shapedPool({ ...light, shape: PLAIN_LIGHT }, 9, 40)).toBeNull()
  })
})
