/** The other way round to where heads point in a cue. */
import { LEADING } from '../attributes/catalogue'
import { placeOfCue, stateAtPlace } from '../cues/tracking'
import { poseAt } from '../cues/ways'
import { allWays } from '../kinematics/inverse'
import { moveTime } from '../kinematics/motorTime'
import { resolveValue } from '../palettes/resolve'
import { solvePosition } from '../palettes/solve'
import type { CueId, FixtureId } from '../show/ids'
import { rigOf } from '../show/rig'
import type { Show } from '../show/show'
import { givenBy } from '../show/values'
import { stageOf } from '../venue/stage'
import type { OtherWay } from './unwinding'

/** For those of some fixtures the cue itself aims, the quickest way there on the other side, from where they come; those without one are left out. */
export function otherSideIn(show: Show, cue: CueId, fixtures: readonly FixtureId[]): readonly OtherWay[] {
  const place = placeOfCue(show, cue)
  if (!place) return []
  const { list, at } = place
  const state = stateAtPlace(show, list.id, at)
  return fixtures.flatMap((fixture): OtherWay[] => {
    const rigged = rigOf(show).get(fixture)
    const stored = state.get(`${fixture} ${LEADING.place}`)
    const given = givenBy(stored)
    const plain = rigged && given && resolveValue(show, rigged, LEADING.place, given).value
    if (!rigged || stored?.cue !== cue || plain?.kind !== 'aim') return []
    const pose = poseAt(show, rigged, list.id, at)
    const now = solvePosition(rigged.mount, stageOf(show), plain, pose)
    if (!now.point || now.state === 'out of reach') return []
    const before = poseAt(show, rigged, list.id, at - 1)
    const seconds = (way: typeof pose) => moveTime(rigged.mount.head, before, way)
    const [quickest] = allWays(rigged.mount, now.point, before)
      .filter(({ side }) => side !== now.side)
      .sort((a, b) => seconds(a) - seconds(b))
    return quickest ? [{ cue, fixture, way: { side: quickest.side, pan: quickest.pan } }] : []
  })
}
