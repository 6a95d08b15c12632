/** Colours mixed of emitters that each give their own light. */
import { polygonContains, polygonHull } from 'd3-polygon'
import { chromaticityAt, colourOfLight, tristimulus, uniformOf, type Chromaticity, type Colour } from './colour'

/** One emitter: its chromaticity, and its luminous flux at full, in any unit they share. */
export interface Emitter extends Chromaticity {
  readonly flux: number
}

/** Where more than three emitters leave a choice: the most light, or the most even mixture, which shows the colours of things best. */
export type MixtureChoice = 'brightest' | 'fullest'

export interface Mixture {
  /** How far each part is up, 0 to 1, as they came. */
  readonly levels: readonly number[]
  /** What it looks like; its level is that of the colour wanted. */
  readonly made: Colour
}

type Pair = readonly [number, number]
type Point = [number, number]

/** Smaller than any level that a channel of 24 bit tells apart. */
const TINY = 1e-9
/** Levels to a millionth, so that what was computed back and forth is as it was. */
const tidy = (level: number) => Math.min(1, Math.max(0, Math.round(level * 1e6) / 1e6))

/**
 * The levels of emitters that look like a colour. Within their gamut the chromaticity is met; outside
 * it the nearest place of the gamut in the CIE 1976 diagram is taken. Nothing for no emitters.
 */
export function mixEmitters(emitters: readonly Emitter[], wanted: Colour, choice: MixtureChoice): Mixture {
  const place = nearestInGamut(emitters, wanted)
  const full = mostLight(emitters, place)
  const fullest = choice === 'fullest' && emitters.length > 3 ? mostEven(emitters, place) : null
  const levels = (fullest ?? full).map((level) => tidy(level * wanted.level))
  return { levels, made: { ...place, level: wanted.level } }
}

/** What emitters at levels look like: as bright as they are of the most they give in that colour. */
export function lookOfEmitters(emitters: readonly Emitter[], levels: readonly number[]): Colour {
  let [x, y, z] = [0, 0, 0]
  for (const [i, emitter] of emitters.entries()) {
    const light = tristimulus(emitter)
    const flux = emitter.flux * (levels[i] ?? 0)
    x += light.x * flux
    y += flux
    z += light.z * flux
  }
  if (y <= 0) return { ...colourOfLight({ x: 0, y: 0, z: 0 }), level: 0 }
  const sum = x + y + z
  const place = { x: x / sum, y: y / sum }
  const most = mostLight(emitters, place).reduce((total, level, i) => total + level * (emitters[i]?.flux ?? 0), 0)
  return { ...place, level: most > 0 ? Math.min(1, y / most) : 0 }
}

/**
 * How far each emitter is from a chromaticity: mixtures meet it where these, weighed by levels, come
 * to nought. With light (X, Y, Z) that is (X − Y·x/y, Z − Y·z/y).
 */
function offsets(emitters: readonly Emitter[], place: Chromaticity): Pair[] {
  const aim = tristimulus(place)
  return emitters.map((emitter) => {
    const { x, z } = tristimulus(emitter)
    return [emitter.flux * (x - aim.x), emitter.flux * (z - aim.z)]
  })
}

/**
 * The levels of the most light with a chromaticity: the linear programme "maximise Σ flux·level where
 * Σ offset·level = 0, 0 ≤ level ≤ 1". By complementary slackness all but two levels are 0 or 1,
 * told by the sign of flux − λ·offset, λ being where those two are nought; so every pair is tried.
 */
function mostLight(emitters: readonly Emitter[], place: Chromaticity): number[] {
  const off = offsets(emitters, place)
  const flux = emitters.map((emitter) => emitter.flux)
  let best = emitters.map(() => 0)
  let most = 0
  const none = best
  const take = (levels: number[]) => {
    let light = 0
    for (let i = 0; i < levels.length; i += 1) light += (levels[i] ?? 0) * (flux[i] ?? 0)
    if (light > most) [best, most] = [levels, light]
  }
  for (const [i, own] of off.entries()) {
    if (squared(own) <= (TINY * (flux[i] ?? 0)) ** 2) take(none.with(i, 1))
    for (let j = i + 1; j < off.length; j += 1) {
      const levels = withPair(flux, off, i, j)
      if (levels) take(levels)
      const onEdge = alongEdge(off, i, j)
      if (onEdge) take(none.with(i, onEdge[0]).with(j, onEdge[1]))
    }
  }
  return best
}

const squared = ([x, z]: Pair) => x * x + z * z
const isWithin = (level: number) => level >= -1e-7 && level <= 1 + 1e-7

/** The levels where all but two are told by these two; null where they cannot make up for the others. */
function withPair(flux: readonly number[], off: readonly Pair[], i: number, j: number): number[] | null {
  const [a, b] = [off[i], off[j]]
  const [fluxA, fluxB] = [flux[i] ?? 0, flux[j] ?? 0]
  if (!a || !b) return null
  const det = a[0] * b[1] - a[1] * b[0]
  if (Math.abs(det) <= TINY * fluxA * fluxB) return null
  const lambdaX = (fluxA * b[1] - fluxB * a[1]) / det
  const lambdaZ = (a[0] * fluxB - b[0] * fluxA) / det
  let [restX, restZ] = [0, 0]
  const levels: number[] = []
  for (const [k, [x, z]] of off.entries()) {
    const isUp = k !== i && k !== j && (flux[k] ?? 0) - lambdaX * x - lambdaZ * z > 0
    levels.push(isUp ? 1 : 0)
    if (!isUp) continue
    restX += x
    restZ += z
  }
  const levelA = (b[0] * restZ - b[1] * restX) / det
  const levelB = (a[1] * restX - a[0] * restZ) / det
  if (!isWithin(levelA) || !isWithin(levelB)) return null
  levels[i] = clamp(levelA)
  levels[j] = clamp(levelB)
  return levels
}

/** Levels of two emitters alone, for a chromaticity between them; null where it is not. */
function alongEdge(off: readonly Pair[], i: number, j: number): Pair | null {
  const [a, b] = [off[i], off[j]]
  if (!a || !b || a[0] * b[0] + a[1] * b[1] >= 0) return null
  const lengths = Math.sqrt(squared(a) * squared(b))
  if (Math.abs(a[0] * b[1] - a[1] * b[0]) > 1e-7 * lengths) return null
  const part = Math.sqrt(squared(a) / squared(b))
  return part > 1 ? [1 / part, 1] : [1, part]
}

const clamp = (level: number) => Math.min(1, Math.max(0, level))

/**
 * The most even mixture of a chromaticity, as bright as it can be: the least sum of squares of
 * levels weighed by flux, brought up until the first emitter is full. The mixture of least squares
 * has levels max(0, λ·(1, offset)); λ is found by Newton's method. Null where there is none.
 */
function mostEven(emitters: readonly Emitter[], place: Chromaticity): number[] | null {
  const off = offsets(emitters, place)
  const total = emitters.reduce((sum, { flux }) => sum + flux, 0)
  const rows = emitters.map(({ flux }, i) => [flux, off[i]?.[0] ?? 0, off[i]?.[1] ?? 0].map((part) => part / total))
  const goal = [1, 0, 0]
  let lambda = [1, 0, 0]
  for (let round = 0; round < 60; round += 1) {
    const levels = rows.map((row) => Math.max(0, dot(row, lambda)))
    const miss = goal.map(
      (wanted, k) => wanted - rows.reduce((sum, row, i) => sum + (row[k] ?? 0) * (levels[i] ?? 0), 0),
    )
    if (Math.hypot(...miss) < 1e-10) {
      const top = Math.max(...levels)
      return top > 0 ? levels.map((level) => level / top) : null
    }
    const up = rows.filter((_, i) => (levels[i] ?? 0) > 0)
    const matrix = [0, 1, 2].map((k) =>
      [0, 1, 2].map((l) => up.reduce((sum, row) => sum + (row[k] ?? 0) * (row[l] ?? 0), k === l ? 1e-12 : 0)),
    )
    const step = solved(matrix, miss)
    if (!step) return null
    lambda = lambda.map((value, k) => value + (step[k] ?? 0))
  }
  return null
}

const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, value, i) => sum + value * (b[i] ?? 0), 0)

/** The solution of three equations by Cramer's rule; null where there is none. */
function solved(m: readonly (readonly number[])[], right: readonly number[]): number[] | null {
  const whole = determinant(m)
  if (!Number.isFinite(1 / whole)) return null
  return [0, 1, 2].map(
    (column) => determinant(m.map((row, k) => row.map((v, l) => (l === column ? (right[k] ?? 0) : v)))) / whole,
  )
}

function determinant(m: readonly (readonly number[])[]): number {
  const [[a = 0, b = 0, c = 0] = [], [d = 0, e = 0, f = 0] = [], [g = 0, h = 0, i = 0] = []] = m
  return a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g)
}

/** The chromaticity itself where emitters can mix it, else the nearest they can, as the CIE 1976 diagram has it. */
export function nearestInGamut(emitters: readonly Chromaticity[], wanted: Chromaticity): Chromaticity {
  const outline = cornersOf(emitters)
  const [first] = outline
  const at = uniformOf(wanted)
  if (!first || polygonContains([...outline], [...at])) return { x: wanted.x, y: wanted.y }
  let nearest = first
  let least = Number.POSITIVE_INFINITY
  for (const [i, corner] of outline.entries()) {
    const place = nearestOnEdge(corner, outline[(i + 1) % outline.length] ?? first, at)
    const distance = Math.hypot(place[0] - at[0], place[1] - at[1])
    if (distance < least) [nearest, least] = [place, distance]
  }
  return chromaticityAt(nearest[0], nearest[1])
}

/** The corners of what emitters can mix, in the CIE 1976 diagram. */
function cornersOf(emitters: readonly Chromaticity[]): readonly Point[] {
  const known = corners.get(emitters) ?? freshCorners(emitters)
  corners.set(emitters, known)
  return known
}
const corners = new WeakMap<readonly Chromaticity[], readonly Point[]>()

function freshCorners(emitters: readonly Chromaticity[]): Point[] {
  const points = emitters.map(uniformOf).map(([u, v]): Point => [u, v])
  return polygonHull(points) ?? points
}

/** The outline of what emitters can mix, as chromaticities. */
export function gamutOutline(emitters: readonly Chromaticity[]): Chromaticity[] {
  return cornersOf(emitters).map(([u, v]) => chromaticityAt(u, v))
}

function nearestOnEdge(a: Point, b: Point, to: Pair): Point {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
  const length = dx * dx + dy * dy
  const t = length === 0 ? 0 : clamp(((to[0] - a[0]) * dx + (to[1] - a[1]) * dy) / length)
  return [a[0] + dx * t, a[1] + dy * t]
}
