import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { RING } from '../../tests/support/movements'
import { cross, distance, dot, length, normalise, subtract, vec3, type Vec3 } from '../geometry/vector'
import { displacementBetween } from './fade'
import { displacement, type Aimed } from './lying'
import { movementValue, type Movement, type Wave } from './movement'
import { placeOnPath } from './path'
import { spreadOver } from './spread'
import { beatsAt, FIRST_BEAT, inTempo, paceOfTaps, roundsAMinute, roundsAt, tapped } from './tempo'
import { isWithin } from './wander'
import { levelInWave } from './wave'

const DOWN: Aimed = { beam: vec3(0, 3, -5), target: null }
const corner = fc.record({
  x: fc.double({ min: -0.5, max: 0.5, noNaN: true }),
  y: fc.double({ min: -0.5, max: 0.5, noNaN: true }),
})
const seed = fc.integer({ min: 0, max: 1000 })
/** Corners round a middle, so that no two edges cross. */
const zone = fc.array(fc.double({ min: 0.1, max: 0.5, noNaN: true }), { minLength: 4, maxLength: 8 }).map((far) =>
  far.map((one, i) => ({
    x: one * Math.cos((i / far.length) * 2 * Math.PI),
    y: one * Math.sin((i / far.length) * 2 * Math.PI),
  })),
)
const back = fc.oneof(
  fc.constantFrom({ form: 'ring' as const }, { form: 'line' as const }, { form: 'eight' as const }),
  fc.array(corner, { minLength: 3, maxLength: 6 }).map((corners) => ({ form: 'polygon' as const, corners })),
)
const tempo = fc.oneof(
  fc.double({ min: 0.5, max: 60, noNaN: true }).map((rounds) => ({ by: 'minute' as const, rounds })),
  fc.constantFrom(1, 2, 3, 4, 8).map((beats) => ({ by: 'beat' as const, beats })),
)
const share = fc.double({ min: 0, max: 0.999, noNaN: true })
const movement: fc.Arbitrary<Movement> = fc.record({
  kind: fc.constant('movement' as const),
  path: back,
  lies: fc.constantFrom('floor' as const, 'upright' as const, 'across the beam' as const),
  along: fc.double({ min: 0.5, max: 10, noNaN: true }),
  across: fc.double({ min: 0.5, max: 10, noNaN: true }),
  turn: fc.double({ min: -180, max: 180, noNaN: true }),
  tempo,
  backwards: fc.boolean(),
  ease: share,
  start: share,
  lag: fc.double({ min: -2, max: 2, noNaN: true }),
  mirrored: fc.boolean(),
})
/** Some evening in the years to come, milliseconds since 1970. */
const instant = fc.integer({ min: 1_790_000_000_000, max: 1_900_000_000_000 })
const rounds = fc.double({ min: -50, max: 50, noNaN: true })
const apart = (a: { along: number; across: number }, b: { along: number; across: number }) =>
  Math.hypot(a.along - b.along, a.across - b.across)

describe('a path', () => {
  it('is what people have of it: whole to a round, as large as they say', () => {
    expect(placeOnPath(RING, 0)).toEqual({ along: 2, across: 0 })
    const quarter = placeOnPath({ ...RING, across: 4 }, 5.25)
    expect([quarter.along, quarter.across].map((n) => Math.round(n * 1000) / 1000 + 0)).toEqual([0, 2])
    const line = (part: number, ease = 0) => placeOnPath({ ...RING, path: { form: 'line' }, ease }, part).along
    expect([0, 0.25, 0.5, 0.75].map((part) => line(part))).toEqual([-2, 0, 2, 0])
    expect(line(0.125, 1)).toBeCloseTo(-2 * Math.cos(Math.PI / 4), 9)
    const square = [vec3(-0.5, -0.5, 0), vec3(0.5, -0.5, 0), vec3(0.5, 0.5, 0), vec3(-0.5, 0.5, 0)]
    const path = { form: 'polygon' as const, corners: square.map(({ x, y }) => ({ x, y })) }
    // Twelve metres round: after three it is three quarters along the first edge of four.
    expect(placeOnPath({ ...RING, path }, 0.25)).toEqual({ along: 1, across: -1 })
  })

  it('is run evenly, and never jumps', () => {
    fc.assert(
      fc.property(movement, rounds, (one, from) => {
        const even = { ...one, ease: 0 }
        // However it is cut, a stretch of a round is as long as every other: measured against a slow sum of steps.
        const stretch = (begin: number) =>
          Array.from({ length: 400 }, (_, i) =>
            apart(placeOnPath(even, begin + i / 1600), placeOnPath(even, begin + (i + 1) / 1600)),
          ).reduce((sum, step) => sum + step, 0)
        const whole = [0, 0.25, 0.5, 0.75].reduce((sum, begin) => sum + stretch(from + begin), 0)
        expect(stretch(from) / whole).toBeCloseTo(0.25, 2)
        const step = apart(placeOnPath(one, from), placeOnPath(one, from + 1e-5))
        expect(step).toBeLessThan(whole * 1e-4)
        expect(apart(placeOnPath(one, from), placeOnPath(one, from + 7))).toBeLessThan(1e-5)
      }),
    )
  })

  it('that is wandered stays in its zone, moves on and comes to all of it', () => {
    fc.assert(
      fc.property(zone, seed, rounds, (corners, seed, from) => {
        const wander: Movement = { ...RING, path: { form: 'wander', corners, seed }, along: 1, across: 1 }
        const { along, across } = placeOnPath(wander, from)
        expect(isWithin(corners, { x: along * 0.999, y: across * 0.999 })).toBe(true)
        expect(apart(placeOnPath(wander, from), placeOnPath(wander, from + 1e-4))).toBeLessThan(0.01)
      }),
    )
    const wander: Movement = { ...RING, path: { form: 'wander', corners: null, seed: 3 } }
    const seen = Array.from({ length: 4000 }, (_, i) => placeOnPath(wander, i / 20))
    expect(seen.every(({ along, across }) => (along / 2) ** 2 + across ** 2 <= 1 + 1e-9)).toBe(true)
    for (const [x, y] of [
      [1, 1],
      [-1, 1],
      [1, -1],
      [-1, -1],
    ] as const)
      expect(seen.filter(({ along, across }) => along * x > 0 && across * y > 0).length).toBeGreaterThan(400)
  })
})

describe('a movement', () => {
  it('goes on from where it is in another tempo or direction', () => {
    const wandering = fc
      .tuple(movement, seed)
      .map(([one, seed]) => ({ ...one, path: { form: 'wander' as const, corners: null, seed } }))
    fc.assert(
      fc.property(fc.oneof(movement, wandering), tempo, fc.boolean(), instant, (one, faster, backwards, now) => {
        const beat = tapped(FIRST_BEAT, 97, now - 90_000)
        const other = inTempo(one, { tempo: faster, backwards }, beat, now)
        expect(movementValue.safeParse(other).success).toBe(true)
        const place = (of: Movement, at: number) => placeOnPath(of, roundsAt(of, beat, at))
        expect(apart(place(one, now), place(other, now))).toBeLessThan(1e-4 * (one.along + one.across))
        const way = roundsAt(other, beat, now + 1000) - roundsAt(other, beat, now)
        expect(way * 60).toBeCloseTo((backwards ? -1 : 1) * roundsAMinute(other, beat), 4)
      }),
    )
  })

  it('keeps to the beat when another is tapped, which goes on from where it is', () => {
    const beat = tapped(FIRST_BEAT, 100, 1_800_000_000_000)
    const later = tapped(beat, 132, 1_800_000_030_000)
    expect(beatsAt(later, 1_800_000_030_000)).toBeCloseTo(beatsAt(beat, 1_800_000_030_000), 6)
    expect(beatsAt(later, 1_800_000_090_000) - beatsAt(later, 1_800_000_030_000)).toBeCloseTo(132, 4)
    expect(paceOfTaps([1000, 1500, 2010, 2500])).toBeCloseTo(120, 6)
    expect([paceOfTaps([]), paceOfTaps([5]), paceOfTaps([5, 5])]).toEqual([null, null, null])
  })

  it('lies on the floor, upright, or square to the beam and level along it', () => {
    const seen = (lies: Movement['lies'], beam: Vec3, turn = 0) =>
      [0, 0.25].map((part) => displacement({ ...RING, across: 4, lies, turn }, part, { beam, target: null }).offset)
    expect(seen('floor', DOWN.beam).map(rounded)).toEqual([vec3(2, 0, 0), vec3(0, 2, 0)])
    expect(seen('floor', DOWN.beam, 90).map(rounded)).toEqual([vec3(0, 2, 0), vec3(-2, 0, 0)])
    expect(seen('upright', DOWN.beam).map(rounded)).toEqual([vec3(2, 0, 0), vec3(0, 0, 2)])
    fc.assert(
      fc.property(movement, rounds, direction, (one, from, beam) => {
        const across = displacement({ ...one, lies: 'across the beam', turn: 0 }, from, { beam, target: null }).offset
        expect(Math.abs(dot(across, normalise(beam)))).toBeLessThan(1e-5)
        const level = displacement({ ...one, lies: 'across the beam', turn: 0, path: { form: 'line' } }, from, {
          beam,
          target: null,
        })
        expect(Math.abs(level.offset.z)).toBeLessThan(1e-5)
      }),
    )
    const up = displacement({ ...RING, lies: 'across the beam', path: { form: 'line' }, turn: 90 }, 0.5, DOWN).offset
    expect(up.z).toBeGreaterThan(0)
    expect(length(cross(up, cross(vec3(1, 0, 0), DOWN.beam)))).toBeLessThan(1e-9)
  })

  it('in angles is degrees, and along a target stays on it', () => {
    const angles = displacement({ ...RING, lies: 'angles' }, 0, DOWN)
    expect([angles.pan, angles.tilt, length(angles.offset)]).toEqual([2, 0, 0])
    const onLine: Aimed = { ...DOWN, target: { form: 'line', offsetAt: (at) => vec3(at * 8 - 4, 0, 0) } }
    const along = { ...RING, path: { form: 'target' as const } }
    expect([0, 0.25, 0.5, 0.75].map((part) => displacement(along, part, onLine).offset.x)).toEqual([-4, 0, 4, 0])
    const onRing: Aimed = { ...DOWN, target: { form: 'ring', offsetAt: (at) => vec3(at, 0, 0) } }
    expect([0, 0.25, 0.75].map((part) => displacement(along, part, onRing).offset.x)).toEqual([0, 0.25, 0.75])
    expect(displacement(along, 0.25, DOWN).offset).toEqual(vec3(0, 0, 0))
  })
})

describe('a wave', () => {
  const WAVE: Wave = {
    kind: 'wave',
    wave: 'swing',
    size: 0.4,
    share: 0.25,
    tempo: { by: 'beat', beats: 4 },
    backwards: false,
    start: 0,
    lag: 0,
  }
  const LEVEL = { min: 0, max: 1 }

  it('goes up and down about the level, as it is said to, and keeps to its range', () => {
    const quarters = (wave: Wave['wave'], level = 0.5) =>
      [0, 0.25, 0.5, 0.75].map((part) => Number(levelInWave(level, { ...WAVE, wave }, part, LEVEL).toFixed(6)))
    expect(quarters('swing')).toEqual([0.5, 0.7, 0.5, 0.3])
    expect(quarters('even')).toEqual([0.5, 0.7, 0.5, 0.3])
    expect(quarters('rise')).toEqual([0.5, 0.6, 0.3, 0.4])
    expect(quarters('on and off')).toEqual([0.7, 0.3, 0.3, 0.3])
    expect(quarters('swing', 0.9)).toEqual([0.9, 1, 0.9, 0.7])
    expect(levelInWave(0.5, { ...WAVE, wave: 'even' }, 0.125, LEVEL)).toBeCloseTo(0.6, 9)
  })

  it('by chance never leaves its size, nor jumps; each fixture has its own', () => {
    const chance = { ...WAVE, wave: 'by chance' as const, size: 1 }
    const seen = Array.from({ length: 2000 }, (_, i) => levelInWave(0.5, chance, i / 100, LEVEL))
    for (const [i, level] of seen.entries()) expect(Math.abs(level - (seen[i - 1] ?? level))).toBeLessThan(0.06)
    expect(Math.max(...seen) - Math.min(...seen)).toBeGreaterThan(0.5)
    expect(levelInWave(0.5, { ...chance, lag: 0.3 }, 1, LEVEL)).not.toBeCloseTo(levelInWave(0.5, chance, 1, LEVEL), 3)
  })
})

describe('a selection that is run over', () => {
  it('is equally far along over one round', () => {
    fc.assert(
      fc.property(movement, fc.integer({ min: 2, max: 24 }), instant, (one, count, now) => {
        const parts = Array.from({ length: count }, (_, i) => i)
        const runs = spreadOver(parts, count, { how: 'one after the other', rounds: 1, seed: 0 })
        const at = runs.map(({ lag }) => roundsAt({ ...one, lag }, FIRST_BEAT, now))
        for (const [i, here] of at.entries()) {
          const next = at[(i + 1) % count] ?? 0
          expect(Math.abs(Math.cos(2 * Math.PI * (here - next - 1 / count)) - 1)).toBeLessThan(1e-5)
        }
      }),
    )
  })

  it('is together, in pairs that mirror each other, or each by chance and always the same', () => {
    const parts = [0, 1, 2, 3]
    const spread = (how: 'together' | 'mirrored' | 'by chance') => spreadOver(parts, 4, { how, rounds: 1, seed: 7 })
    expect(spread('together').map(({ lag }) => lag)).toEqual([0, 0, 0, 0])
    expect(spread('mirrored')).toEqual([
      { lag: 0, mirrored: false },
      { lag: 0.5, mirrored: false },
      { lag: 0.5, mirrored: true },
      { lag: 0, mirrored: true },
    ])
    const [left, right] = [false, true].map((mirrored) => placeOnPath({ ...RING, mirrored }, 0.3))
    expect(right).toEqual({ along: -(left?.along ?? 0), across: left?.across })
    expect(spread('by chance')).toEqual(spread('by chance'))
    expect(new Set(spread('by chance').map(({ lag }) => lag)).size).toBe(4)
  })
})

describe('a fade', () => {
  const at = (from: Movement | null, to: Movement | null, part: number, now: number) =>
    displacementBetween(from, to, part, { beat: FIRST_BEAT, now }, DOWN).offset

  it('begins with the one and ends with the other; from or to nothing the size alone changes', () => {
    fc.assert(
      fc.property(movement, movement, instant, share, (one, other, now, part) => {
        const still = (of: Movement) => displacement(of, roundsAt(of, FIRST_BEAT, now), DOWN).offset
        expect(distance(at(one, other, 0, now), still(one))).toBeLessThan(1e-5)
        expect(distance(at(one, other, 1, now), still(other))).toBeLessThan(1e-5)
        const whole = still(one)
        expect(distance(at(null, one, part, now), scaled(whole, part))).toBeLessThan(1e-5)
        expect(distance(at(one, null, part, now), scaled(whole, 1 - part))).toBeLessThan(1e-5)
      }),
    )
  })

  it('over to another tempo never shrinks the path, and never jumps', () => {
    const slow = { ...RING, across: 4, start: 0.3 }
    const quick = { ...slow, tempo: { by: 'minute' as const, rounds: 30 }, start: 0.85 }
    const begin = 1_800_000_000_000
    const way = Array.from({ length: 201 }, (_, i) => at(slow, quick, i / 200, begin + i * 10))
    for (const [i, place] of way.entries()) {
      expect(length(place)).toBeCloseTo(2, 6)
      const before = way[i - 1]
      if (before) expect(length(subtract(place, before))).toBeLessThan(0.15)
    }
  })
})

const scaled = ({ x, y, z }: Vec3, by: number) => vec3(x * by, y * by, z * by)
const rounded = ({ x, y, z }: Vec3) => {
  const [a = 0, b = 0, c = 0] = [x, y, z].map((n) => Math.round(n * 1e6) / 1e6 + 0)
  return vec3(a, b, c)
}
const direction = fc.record({
  x: fc.double({ min: -5, max: 5, noNaN: true }),
  y: fc.double({ min: -5, max: 5, noNaN: true }),
  z: fc.double({ min: -8, max: -1, noNaN: true }),
})
