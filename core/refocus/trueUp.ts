/**
 * Where a hang really is, worked out from sightings of what hangs there: non-linear least squares with
 * a prior at the drawn rig, so that what the sightings do not tell stays as it is drawn. Errors that a
 * hang's fixtures share are unknowns of the hang; each fixture has its own on top, with a tighter prior.
 */
import { CholeskyDecomposition, inverse, Matrix } from 'ml-matrix'
import { fixtureFrame } from '../geometry/frame'
import {
  FIXTURE_UNKNOWNS,
  fixtureOff,
  HANG_UNKNOWNS,
  hangOff,
  NO_FIXTURE_ERROR,
  NO_HANG_ERROR,
  type FixtureError,
  type HangError,
} from '../geometry/rigErrors'
import { dot, length, scale, subtract, type Vec3 } from '../geometry/vector'
import { beamAt } from '../kinematics/forward'
import { mountHead, type Pose } from '../kinematics/head'
import type { RiggedFixture } from '../show/rig'

/** A head's light seen on a place, metres in the stage frame, at a pose, degrees. */
export interface Seen {
  readonly rigged: RiggedFixture
  readonly pose: Pose
  readonly place: Vec3
  /** How exactly it was put there, metres: one standard deviation. Left out, as by eye. */
  readonly within?: number
  /** Whether it is measured where the light meets the level of the place, and not across the beam. */
  readonly isOnLevel?: boolean
}

/** How far off things are before anything is sighted: one standard deviation. */
export const PRIOR = {
  hang: { x: 0.15, y: 0.15, z: 0.15, yaw: 3 },
  fixture: { along: 0.05, out: 0.05, drop: 0.05, yaw: 2, pitch: 2, roll: 2, tiltZero: 2 },
} as const satisfies Prior
/** Where one fixture alone is asked about: it may be as far off as a hang, which then is as it is drawn. */
export const PRIOR_ALONE = {
  hang: { x: 1e-6, y: 1e-6, z: 1e-6, yaw: 1e-6 },
  fixture: { along: 0.15, out: 0.15, drop: 0.15, yaw: 3, pitch: 3, roll: 3, tiltZero: 3 },
} as const satisfies Prior
export interface Prior {
  readonly hang: HangError
  readonly fixture: FixtureError
}
/** How exactly a light is put on its place by eye, metres across the beam: one standard deviation. */
export const BY_EYE = 0.03

const exactness = ({ within = BY_EYE }: Seen) => within

/** How far off something is by the sightings, and how sure that is: one standard deviation. */
export interface Estimate<E> {
  readonly error: E
  readonly sure: E
}

/** What the sightings of one hang tell: of it, and of each fixture asked about on it. */
export interface RigEstimate {
  readonly hang: Estimate<HangError>
  readonly fixtures: ReadonlyMap<RiggedFixture, Estimate<FixtureError>>
  /** What was minimised: about as many as there are unknowns where nothing is wrong but what may be. */
  readonly cost: number
  /** Of all unknowns together: those of the hang first, then those of each fixture in turn. */
  readonly covariance: Matrix
}

/** A beam flatter than this to the floor has no place on it to speak of: the sine of its angle. */
const FLATTEST = 0.05

/**
 * From a place to where a beam passes nearest, or, for what is measured on its level, to where the beam
 * crosses that; were the rig so far off. Metres in the stage frame.
 */
export function missOf(
  { rigged, pose, place, isOnLevel }: Seen,
  hang: HangError = NO_HANG_ERROR,
  fixture: FixtureError = NO_FIXTURE_ERROR,
): Vec3 {
  const frame = fixtureFrame(hangOff(rigged.hangPlace, hang), fixtureOff(rigged.place, fixture))
  const turned = { pan: pose.pan, tilt: pose.tilt + fixture.tiltZero }
  const { lens, direction } = beamAt(mountHead(rigged.type, frame), turned)
  const to = subtract(place, lens)
  if (isOnLevel && direction.z < -FLATTEST) return subtract(scale(direction, to.z / direction.z), to)
  return subtract(scale(direction, dot(to, direction)), to)
}

/** The unknowns of one hang and some of its fixtures, in the order they stand in. */
class Unknowns {
  readonly fixtures: readonly RiggedFixture[]
  readonly priors: readonly number[]
  readonly #firstOf: ReadonlyMap<RiggedFixture, number>

  constructor(fixtures: Iterable<RiggedFixture>, prior: Prior) {
    this.fixtures = [...new Set(fixtures)]
    this.priors = [
      ...HANG_UNKNOWNS.map((key) => prior.hang[key]),
      ...this.fixtures.flatMap(() => FIXTURE_UNKNOWNS.map((key) => prior.fixture[key])),
    ]
    this.#firstOf = new Map(
      this.fixtures.map((rigged, i) => [rigged, HANG_UNKNOWNS.length + i * FIXTURE_UNKNOWNS.length] as const),
    )
  }

  /** Those a fixture's light depends on. */
  of(rigged: RiggedFixture): number[] {
    const at = this.#firstOf.get(rigged) ?? 0
    return [...HANG_UNKNOWNS.map((_, i) => i), ...FIXTURE_UNKNOWNS.map((_, i) => at + i)]
  }

  miss(seen: Seen, errors: readonly number[]): Vec3 {
    return missOf(seen, hangError(errors), fixtureError(errors, this.#firstOf.get(seen.rigged) ?? 0))
  }

  /** How a miss changes with each of the unknowns it depends on. */
  slopes(seen: Seen, errors: readonly number[], miss: Vec3): Vec3[] {
    return this.of(seen.rigged).map((i) => {
      const moved = this.miss(
        seen,
        errors.map((error, k) => (k === i ? error + STEP : error)),
      )
      return scale(subtract(moved, miss), 1 / STEP)
    })
  }

  estimates(errors: readonly number[], sure: readonly number[]): Pick<RigEstimate, 'hang' | 'fixtures'> {
    return {
      hang: { error: hangError(errors), sure: hangError(sure) },
      fixtures: new Map(
        [...this.#firstOf].map(([rigged, at]) => [
          rigged,
          { error: fixtureError(errors, at), sure: fixtureError(sure, at) },
        ]),
      ),
    }
  }
}

/** Steps of Levenberg-Marquardt at most: errors of a rig are small, few are needed. */
const ROUNDS = 30
/** Damping at first, how much it goes up and down by, and from where on no step helps. */
const DAMPING = { first: 1e-4, up: 8, down: 4, most: 1e8 }
/** A step that is better by less than this part ends it. */
const ENOUGH = 1e-7
/** From so many standard deviations on a sighting counts less: it may be meant to be off (Huber). */
const HUBER = 1.5
/** Steps for the derivatives: metres, degrees. */
const STEP = 1e-4

/**
 * What the sightings of one hang tell of it, and of fixtures on it: those that were sighted and `others`.
 * Minimises `Σ ρ(|miss| / within) + Σ (error / prior)²` by Levenberg-Marquardt: steps
 * `(N + λ·diag N)⁻¹ g` with λ lower after each that helps and higher after each that does not. The
 * sureness is from the inverse of the normal matrix N at the minimum.
 */
export function estimateRig(
  sightings: readonly Seen[],
  prior: Prior = PRIOR,
  others: readonly RiggedFixture[] = [],
): RigEstimate {
  const unknowns = new Unknowns([...sightings.map(({ rigged }) => rigged), ...others], prior)
  let errors: readonly number[] = unknowns.priors.map(() => 0)
  let cost = costOf(unknowns, sightings, errors)
  let equations = normalEquations(unknowns, sightings, errors)
  let damping = DAMPING.first
  for (let round = 0; round < ROUNDS && damping < DAMPING.most; round += 1) {
    const step = dampedStep(equations, damping)
    const next = errors.map((error, i) => error + (step[i] ?? 0))
    const nextCost = costOf(unknowns, sightings, next)
    if (nextCost > cost) {
      damping *= DAMPING.up
      continue
    }
    const isEnough = cost - nextCost <= ENOUGH * cost
    ;[errors, cost, damping] = [next, nextCost, damping / DAMPING.down]
    equations = normalEquations(unknowns, sightings, errors)
    if (isEnough) break
  }
  const covariance = new CholeskyDecomposition(equations.matrix).solve(Matrix.eye(errors.length))
  const sure = covariance.diagonal().map((variance) => Math.sqrt(Math.max(0, variance)))
  return { ...unknowns.estimates(errors, sure), cost, covariance }
}

/** How the miss of a light changes with each unknown it depends on: three numbers, for x, y and z, to each. */
export interface Slopes {
  readonly own: readonly number[]
  readonly by: Float64Array
}
type Three = readonly [x: number, y: number, z: number]

/** What an estimate says of lights that were not seen yet, and what seeing them would tell. */
export class Prospect {
  readonly #unknowns: Unknowns
  readonly #errors: readonly number[]
  readonly #covariance: readonly (readonly number[])[]

  constructor(estimate: RigEstimate) {
    this.#unknowns = new Unknowns(estimate.fixtures.keys(), PRIOR)
    this.#covariance = estimate.covariance.to2DArray()
    this.#errors = [
      ...HANG_UNKNOWNS.map((key) => estimate.hang.error[key]),
      ...[...estimate.fixtures.values()].flatMap(({ error }) => FIXTURE_UNKNOWNS.map((key) => error[key])),
    ]
  }

  slopesOf(seen: Seen): Slopes {
    const slopes = this.#unknowns.slopes(seen, this.#errors, this.#unknowns.miss(seen, this.#errors))
    return { own: this.#unknowns.of(seen.rigged), by: Float64Array.from(slopes.flatMap(({ x, y, z }) => [x, y, z])) }
  }

  /** How far a light misses its place, m²: the trace of J·C·Jᵀ. */
  variance(slopes: Slopes): number {
    const [x, y, z] = this.#spread(slopes)
    return Math.max(0, along(x, slopes)[0] + along(y, slopes)[1] + along(z, slopes)[2])
  }

  /**
   * By how much less other lights would miss were this one seen, m²: the trace of
   * (J·C·Kᵀ)ᵀ·(J·C·Jᵀ + R)⁻¹·(J·C·Kᵀ) for slopes K of another, as by any linear measurement.
   */
  gained(seen: Seen): (other: Slopes) => number {
    const slopes = this.slopesOf(seen)
    const spread = this.#spread(slopes)
    const noise = Matrix.eye(3).mul(exactness(seen) ** 2)
    const weight = inverse(Matrix.add(new Matrix(spread.map((row) => [...along(row, slopes)])), noise)).to2DArray()
    return (other) => {
      const shared = spread.map((row) => along(row, other))
      let gained = 0
      shared.forEach(([ax, ay, az], i) =>
        shared.forEach(([bx, by, bz], k) => (gained += (weight[i]?.[k] ?? 0) * (ax * bx + ay * by + az * bz))),
      )
      return gained
    }
  }

  /** J·C, a row each for x, y and z. */
  #spread({ own, by }: Slopes): readonly [Float64Array, Float64Array, Float64Array] {
    const row = (axis: number) => {
      const sums = new Float64Array(this.#errors.length)
      own.forEach((i, k) => {
        const slope = by[k * 3 + axis] ?? 0
        this.#covariance[i]?.forEach((covariance, column) => (sums[column] = (sums[column] ?? 0) + slope * covariance))
      })
      return sums
    }
    return [row(0), row(1), row(2)]
  }
}

/** A row times the slopes of a light. */
function along(row: Float64Array, { own, by }: Slopes): Three {
  let [x, y, z] = [0, 0, 0]
  for (let k = 0; k < own.length; k += 1) {
    const one = row[own[k] ?? 0] ?? 0
    x += one * (by[k * 3] ?? 0)
    y += one * (by[k * 3 + 1] ?? 0)
    z += one * (by[k * 3 + 2] ?? 0)
  }
  return [x, y, z]
}

function hangError(numbers: readonly number[]): HangError {
  const [x = 0, y = 0, z = 0, yaw = 0] = numbers
  return { x, y, z, yaw }
}
function fixtureError(numbers: readonly number[], at: number): FixtureError {
  const [along = 0, out = 0, drop = 0, yaw = 0, pitch = 0, roll = 0, tiltZero = 0] = numbers.slice(at)
  return { along, out, drop, yaw, pitch, roll, tiltZero }
}

function costOf(unknowns: Unknowns, sightings: readonly Seen[], errors: readonly number[]): number {
  const prior = errors.reduce((sum, error, i) => sum + (error / (unknowns.priors[i] ?? 1)) ** 2, 0)
  return sightings.reduce((sum, seen) => {
    const off = length(unknowns.miss(seen, errors)) / exactness(seen)
    return sum + (off <= HUBER ? off ** 2 : 2 * HUBER * off - HUBER ** 2)
  }, prior)
}

interface Equations {
  readonly matrix: Matrix
  readonly towards: readonly number[]
}

function dampedStep({ matrix, towards }: Equations, damping: number): number[] {
  const damped = Matrix.add(matrix, Matrix.diag(matrix.diagonal().map((value) => value * damping)))
  return new CholeskyDecomposition(damped).solve(Matrix.columnVector([...towards])).to1DArray()
}

/** The normal equations of the least squares about some errors: what is solved for the next step. */
function normalEquations(unknowns: Unknowns, sightings: readonly Seen[], errors: readonly number[]): Equations {
  const { priors } = unknowns
  const matrix = Matrix.diag(priors.map((prior) => 1 / prior ** 2))
  const towards = errors.map((error, i) => -error / (priors[i] ?? 1) ** 2)
  for (const seen of sightings) {
    const own = unknowns.of(seen.rigged)
    const miss = unknowns.miss(seen, errors)
    const weight = Math.min(1, HUBER / Math.max(1e-9, length(miss) / exactness(seen))) / exactness(seen) ** 2
    const slopes = unknowns.slopes(seen, errors, miss)
    own.forEach((i, a) => {
      const slope = slopes[a] ?? miss
      towards[i] = (towards[i] ?? 0) - weight * dot(slope, miss)
      own.forEach((k, b) => matrix.set(i, k, matrix.get(i, k) + weight * dot(slope, slopes[b] ?? miss)))
    })
  }
  return { matrix, towards }
}
