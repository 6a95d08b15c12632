/** What the sightings of one hang tell of it and of what hangs there. */
import { FIXTURE_UNKNOWNS, HANG_UNKNOWNS, type FixtureError, type HangError } from '../geometry/rigErrors'
import { length } from '../geometry/vector'
import { HOME } from '../kinematics/head'
import { solveAim } from '../kinematics/inverse'
import {
  estimateRig,
  missOf,
  PRIOR,
  Prospect,
  type Estimate,
  type RigEstimate,
  type Seen,
  type Slopes,
} from '../refocus/trueUp'
import type { FixtureId, HangId } from '../show/ids'
import { isHead, rigOf, type RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import { pointOn, targetsOf } from '../show/targets'
import { showRecordOf } from '../show/show'
import { fixtureCorrectionOf, hangCorrectionOf } from './corrections'
import { asDrawn, itself, steeredTo, surveySightings, type SurveySighting } from './sightings'
import { suspicionOf, type Suspicion } from './suspicions'

/** A sighting, and how far the light misses its place by the rig as it is set now and as it would be, metres. */
export interface JudgedSighting {
  readonly sighting: SurveySighting
  readonly before: number
  readonly after: number
  readonly fits: boolean
}

/** What is told of one head. */
export interface HeadTruth {
  /** As it is drawn. */
  readonly rigged: RiggedFixture
  /** Itself, where it plays another's values. */
  readonly fixture: FixtureId
  readonly sightings: readonly JudgedSighting[]
  readonly estimate: Estimate<FixtureError>
  /** How its light at each target of the stage depends on what is unknown. */
  readonly aims: readonly Slopes[]
  /** How exactly it comes to the targets of the stage as it would be set: twice the standard deviation, metres. */
  readonly sureMetres: number
  readonly suspicion: Suspicion | null
}

export interface HangTruth {
  readonly hang: HangId
  readonly estimate: Estimate<HangError>
  /** What of the hang the sightings do not tell: it is left as it is drawn. */
  readonly untold: readonly (typeof HANG_UNKNOWNS)[number][]
  readonly heads: readonly HeadTruth[]
  /** All unknowns together. */
  readonly rig: RigEstimate
}

/** A light this far off does not fit, metres: four times what the eye leaves. */
const MISFIT = 0.12
/** What is as little known after all sightings as before is not told by them. */
const UNTOLD = 0.9
const FROZEN = 1e-6

/** The heads of a hang as they are drawn, in order of number. */
export function headsOn(show: Show, hang: HangId): RiggedFixture[] {
  const { venue } = showRecordOf(show)
  return [...rigOf(asDrawn(show)).values()].filter(
    (one) => isHead(one) && one.bar === null && one.place.hang === hang && one.place.venue === venue,
  )
}

/** What is told of a hang of the venue in play; null where no head hangs on it. */
export function hangTruth(show: Show, hang: HangId): HangTruth | null {
  const heads = headsOn(show, hang)
  if (heads.length === 0) return null
  const all = surveySightings(show).filter(({ rigged }) => rigged.place.hang === hang)
  const counting = all.filter(({ counts }) => counts)
  const suspicions = new Map(
    heads.map((rigged) => [
      rigged,
      suspicionOf(
        show,
        rigged,
        counting.filter((one) => one.rigged === rigged),
      ),
    ]),
  )
  const trusted = counting.filter(({ rigged }) => suspicions.get(rigged) === null)
  const { rig, untold } = estimated(trusted, heads)
  const { venue } = showRecordOf(show)
  const hangNow = hangCorrectionOf(show, venue, hang)
  const goals = goalsOf(show)
  const prospect = new Prospect(rig)
  return {
    hang,
    untold,
    rig,
    estimate: rig.hang,
    heads: heads.flatMap((rigged) => {
      const estimate = rig.fixtures.get(rigged)
      if (!estimate) return []
      const now = fixtureCorrectionOf(show, venue, itself(rigged))
      const sightings = all
        .filter((one) => one.rigged === rigged)
        .map((sighting): JudgedSighting => {
          const after = length(missOf(sighting, rig.hang.error, estimate.error))
          return { sighting, before: length(missOf(sighting, hangNow, now)), after, fits: after <= MISFIT }
        })
      const aims = goals.map((place) => prospect.slopesOf(aimedAt(rigged, place)))
      const sureMetres = 2 * Math.sqrt(Math.max(0, ...aims.map((slopes) => prospect.variance(slopes))))
      const suspicion = suspicions.get(rigged) ?? null
      return [{ rigged, fixture: itself(rigged), sightings, estimate, aims, sureMetres, suspicion }]
    }),
  }
}

/** The estimate with what is not told of the hang left as it is drawn. */
function estimated(sightings: readonly SurveySighting[], heads: readonly RiggedFixture[]) {
  const first = estimateRig(sightings, PRIOR, heads)
  const untold = HANG_UNKNOWNS.filter((key) => first.hang.sure[key] > PRIOR.hang[key] * UNTOLD)
  if (untold.length === 0) return { rig: first, untold }
  const free = (key: (typeof HANG_UNKNOWNS)[number]) => (untold.includes(key) ? FROZEN : PRIOR.hang[key])
  const hang = { x: free('x'), y: free('y'), z: free('z'), yaw: free('yaw') }
  const again = estimateRig(sightings, { hang, fixture: PRIOR.fixture }, heads)
  // Left as drawn is not known to be as drawn: how sure it is stays what it was.
  return {
    rig: { ...again, hang: { error: again.hang.error, sure: first.hang.sure }, covariance: first.covariance },
    untold,
  }
}

/** Places that count: every target of the stage. */
export function goalsOf(show: Show) {
  return [...targetsOf(show).values()].map((placed) => pointOn(placed, null))
}

/** A head as it would be turned to a place. */
export function aimedAt(rigged: RiggedFixture, place: Seen['place']): Seen {
  const { pan, tilt } = solveAim(rigged.mount, place, { reference: HOME })
  return { rigged, place, pose: { pan, tilt }, ...steeredTo(place) }
}

/** Whether anything is told that is not set already. */
export function isNews(show: Show, { hang, estimate, heads }: HangTruth): boolean {
  const { venue } = showRecordOf(show)
  const now = hangCorrectionOf(show, venue, hang)
  const isOther = (a: number, b: number, key: string) =>
    Math.abs(a - b) > (['yaw', 'pitch', 'roll', 'tiltZero'].includes(key) ? 0.02 : 0.001)
  return (
    HANG_UNKNOWNS.some((key) => isOther(estimate.error[key], now[key], key)) ||
    heads.some(({ fixture, estimate: own }) => {
      const known = fixtureCorrectionOf(show, venue, fixture)
      return FIXTURE_UNKNOWNS.some((key) => isOther(own.error[key], known[key], key))
    })
  )
}
