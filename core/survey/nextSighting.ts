/** Which sighting would tell most, of all heads of a hang and all surveyed targets. */
import { allWays } from '../kinematics/inverse'
import { HOME } from '../kinematics/head'
import { Prospect, type Slopes } from '../refocus/trueUp'
import { sum } from 'd3-array'
import { distance, type Vec3 } from '../geometry/vector'
import { beamAt } from '../kinematics/forward'
import type { RiggedFixture } from '../show/rig'
import { firstHit } from '../venue/obstruct'
import { surfacesOf } from '../venue/surfaces'
import { asTargetId, type FixtureId, type TargetId } from '../show/ids'
import type { Show } from '../show/show'
import { pointOn, targetsOf } from '../show/targets'
import { aimedAt, type HangTruth } from './hangTruth'
import { isSurveyed } from './sightings'

/** A sighting that is proposed, and why: how exactly its head comes to the targets of the stage, before and with it, metres. */
export interface ProposedSighting {
  readonly fixture: FixtureId
  readonly target: TargetId
  readonly before: number
  readonly after: number
  /** How much less all heads of the hang miss by it, together: a part of 1. */
  readonly gain: number
}

/** Nothing worth a walk is left to be told below this part. */
const LEAST_GAIN = 0.02
/** What a place lies on does not stand in its way this near, metres. */
const TOUCHING = 0.35

/** Whether a head gets its light onto a place: it can turn there, and nothing stands in the way. */
function isSeenFrom(show: Show, rigged: RiggedFixture, place: Vec3): boolean {
  const [way] = allWays(rigged.mount, place, HOME)
  if (!way) return false
  const { lens, direction } = beamAt(rigged.mount, way)
  return firstHit(surfacesOf(show).prisms, lens, direction, distance(lens, place) - TOUCHING) === null
}

/** The sighting that makes the heads of a hang miss least, all targets of the stage taken together; null where none helps or no target was surveyed. */
export function nextSighting(show: Show, { heads, rig }: HangTruth): ProposedSighting | null {
  const surveyed = [...targetsOf(show)].flatMap(([id, placed]) =>
    isSurveyed(show, id) ? [{ target: asTargetId(id), place: pointOn(placed, null) }] : [],
  )
  const prospect = new Prospect(rig)
  const variances = heads.map(({ aims }) => aims.map((slopes) => prospect.variance(slopes)))
  const all = sum(variances, (of) => sum(of))
  const worst = (of: readonly number[]) => 2 * Math.sqrt(Math.max(0, ...of))
  let best: ProposedSighting | null = null
  for (const [i, { rigged, fixture, suspicion, aims }] of heads.entries()) {
    // What is suspected is looked at first: more of the same would tell nothing.
    if (suspicion) continue
    for (const { target, place } of surveyed) {
      if (!isSeenFrom(show, rigged, place)) continue
      const gained = prospect.gained(aimedAt(rigged, place))
      const gain = all === 0 ? 0 : sum(heads, (head) => sum(head.aims, gained)) / all
      if (gain < LEAST_GAIN || (best && gain <= best.gain)) continue
      const own = variances[i] ?? []
      const then = own.map((variance, k) => variance - gained(aims[k] ?? NOTHING))
      best = { fixture, target, gain, before: worst(own), after: worst(then) }
    }
  }
  return best
}

const NOTHING: Slopes = { own: [], by: new Float64Array() }
