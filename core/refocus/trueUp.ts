/**
 * Where a hang really is, worked out from sightings of what hangs there: non-linear least squares with
 * a prior at the drawn rig, so that what the sightings do not tell stays as it is drawn. Errors that a
 * hang's fixtures share are unknowns of the hang; each fixture has its own on top, with a tighter prior.
 */
import { CholeskyDecomposition, Matrix } from 'ml-matrix'
import { fixtureFrame, type FixturePlace, type HangPlace } from '../geometry/frame'
import { add, dot, length, scale, subtract, type Vec3 } from '../geometry/vector'
import { beamAt } from '../kinematics/forward'
import { mountHead } from '../kinematics/head'
import type { RiggedFixture } from '../show/rig'
import type { Sighting } from './sightings'

/** What may be off of a hang: metres in the stage frame, degrees. */
export const HANG_UNKNOWNS = ['x', 'y', 'z', 'yaw'] as const
/** What may be off of a fixture on its hang: metres, degrees. */
export const FIXTURE_UNKNOWNS = ['along', 'out', 'drop', 'yaw', 'pitch', 'roll'] as const
export type HangError = Readonly<Record<(typeof HANG_UNKNOWNS)[number], number>>
export type FixtureError = Readonly<Record<(typeof FIXTURE_UNKNOWNS)[number], number>>

/** How far off things are before anything is sighted: one standard deviation. */
export const PRIOR = {
  hang: { x: 0.15, y: 0.15, z: 0.15, yaw: 3 },
  fixture: { along: 0.05, out: 0.05, drop: 0.05, yaw: 2, pitch: 2, roll: 2 },
} as const satisfies Prior
/** Where one fixture alone is asked about: it may be as far off as a hang, which then is as it is drawn. */
export const PRIOR_ALONE = {
  hang: { x: 1e-6, y: 1e-6, z: 1e-6, yaw: 1e-6 },
  fixture: { along: 0.15, out: 0.15, drop: 0.15, yaw: 3, pitch: 3, roll: 3 },
} as const satisfies Prior
export interface Prior {
  readonly hang: HangError
  readonly fixture: FixtureError
}
/** How exactly a light is put on its place by eye, metres across the beam: one standard deviation. */
export const BY_EYE = 0.03

/** How far off something is by the sightings, and how sure that is: one standard deviation. */
export interface Estimate<E> {
  readonly error: E
  readonly sure: E
}

/** What the sightings of one hang tell: of it, and of each fixture sighted on it. */
export interface RigEstimate {
  readonly hang: Estimate<HangError>
  readonly fixtures: ReadonlyMap<RiggedFixture, Estimate<FixtureError>>
}

export const NO_HANG_ERROR: HangError = { x: 0, y: 0, z: 0, yaw: 0 }
export const NO_FIXTURE_ERROR: FixtureError = { along: 0, out: 0, drop: 0, yaw: 0, pitch: 0, roll: 0 }

/** A hang's place with an error, and a fixture's on it. */
export function hangOff({ origin, yaw, rise }: HangPlace, error: HangError): HangPlace {
  return { origin: add(origin, error), yaw: yaw + error.yaw, rise }
}
export function fixtureOff(place: FixturePlace, error: FixtureError): FixturePlace {
  return {
    along: place.along + error.along,
    out: place.out + error.out,
    drop: place.drop + error.drop,
    yaw: place.yaw + error.yaw,
    pitch: place.pitch + error.pitch,
    roll: place.roll + error.roll,
  }
}

/** From the place a light was on to where its beam passes nearest, were the rig so far off; metres in the stage frame. */
export function missOf(
  { rigged, pose, place }: Sighting,
  hang: HangError = NO_HANG_ERROR,
  fixture: FixtureError = NO_FIXTURE_ERROR,
): Vec3 {
  const frame = fixtureFrame(hangOff(rigged.hangPlace, hang), fixtureOff(rigged.place, fixture))
  const { lens, direction } = beamAt(mountHead(rigged.type, frame), pose)
  const to = subtract(place, lens)
  return subtract(scale(direction, dot(to, direction)), to)
}

/** Rounds of Gauss-Newton: errors of a rig are small, few are needed. */
const ROUNDS = 8
/** From so many standard deviations on a sighting counts less: it may be meant to be off (Huber). */
const HUBER = 1.5
/** Steps for the derivatives: metres, degrees. */
const STEP = 1e-4

/**
 * What the sightings of one hang tell of it. Minimises `Σ ρ(|miss| / BY_EYE) + Σ (error / prior)²`; the
 * sureness is from the inverse of the normal matrix at the minimum.
 */
export function estimateRig(sightings: readonly Sighting[], prior: Prior = PRIOR): RigEstimate {
  const fixtures = [...new Set(sightings.map(({ rigged }) => rigged))]
  const priors = [
    ...HANG_UNKNOWNS.map((key) => prior.hang[key]),
    ...fixtures.flatMap(() => FIXTURE_UNKNOWNS.map((key) => prior.fixture[key])),
  ]
  const firstOf = new Map(
    fixtures.map((rigged, i) => [rigged, HANG_UNKNOWNS.length + i * FIXTURE_UNKNOWNS.length] as const),
  )
  let errors = priors.map(() => 0)
  let normal = Matrix.zeros(priors.length, priors.length)
  for (let round = 0; round < ROUNDS; round += 1) {
    const { matrix, towards } = normalEquations(sightings, firstOf, errors, priors)
    normal = matrix
    const step = new CholeskyDecomposition(matrix).solve(Matrix.columnVector(towards)).to1DArray()
    errors = errors.map((error, i) => error + (step[i] ?? 0))
  }
  const spread = new CholeskyDecomposition(normal).solve(Matrix.eye(priors.length)).diagonal()
  const sure = spread.map((variance) => Math.sqrt(Math.max(0, variance)))
  return {
    hang: { error: hangError(errors), sure: hangError(sure) },
    fixtures: new Map(
      [...firstOf].map(([rigged, at]) => [rigged, { error: fixtureError(errors, at), sure: fixtureError(sure, at) }]),
    ),
  }
}

function hangError(numbers: readonly number[]): HangError {
  const [x = 0, y = 0, z = 0, yaw = 0] = numbers
  return { x, y, z, yaw }
}
function fixtureError(numbers: readonly number[], at: number): FixtureError {
  const [along = 0, out = 0, drop = 0, yaw = 0, pitch = 0, roll = 0] = numbers.slice(at)
  return { along, out, drop, yaw, pitch, roll }
}

/** The normal equations of the least squares about some errors: what is solved for the next step. */
function normalEquations(
  sightings: readonly Sighting[],
  firstOf: ReadonlyMap<RiggedFixture, number>,
  errors: readonly number[],
  priors: readonly number[],
): { readonly matrix: Matrix; readonly towards: number[] } {
  const matrix = Matrix.diag(priors.map((prior) => 1 / prior ** 2))
  const towards = errors.map((error, i) => -error / (priors[i] ?? 1) ** 2)
  for (const sighting of sightings) {
    const at = firstOf.get(sighting.rigged) ?? 0
    const own = [...HANG_UNKNOWNS.map((_, i) => i), ...FIXTURE_UNKNOWNS.map((_, i) => at + i)]
    const missWith = (all: readonly number[]) => missOf(sighting, hangError(all), fixtureError(all, at))
    const miss = missWith(errors)
    const weight = Math.min(1, HUBER / Math.max(1e-9, length(miss) / BY_EYE)) / BY_EYE ** 2
    const slopes = own.map((i) => {
      const moved = missWith(errors.map((error, k) => (k === i ? error + STEP : error)))
      return scale(subtract(moved, miss), 1 / STEP)
    })
    own.forEach((i, a) => {
      const slope = slopes[a] ?? miss
      towards[i] = (towards[i] ?? 0) - weight * dot(slope, miss)
      own.forEach((k, b) => matrix.set(i, k, matrix.get(i, k) + weight * dot(slope, slopes[b] ?? miss)))
    })
  }
  return { matrix, towards }
}
