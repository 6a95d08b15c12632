/**
 * Loose values beside palettes that a change moves: they stay where they are, because they were
 * stored by hand and not as links.
 */
import { LEADING } from '../attributes/catalogue'
import { HOME } from '../kinematics/head'
import { SAME_PLACE } from '../geometry/tolerance'
import { distance } from '../geometry/vector'
import { resolveValue } from '../palettes/resolve'
import { solvePosition } from '../palettes/solve'
import type { CueValue } from '../show/entities'
import { rigOf } from '../show/rig'
import type { Show } from '../show/show'
import { givenBy } from '../show/values'
import type { Effects } from './effects'
import { looseValues, USUAL_LIMITS, type LooseValue } from './looseValues'
import { stageOf } from '../venue/stage'

/** The loose values a change leaves beside palettes that move or change. `effects` are those of the change. */
export function looseLeftBehind(before: Show, after: Show, effects: Effects): LooseValue[] {
  const moved = new Set([
    ...effects.palettes.filter(({ shiftMetres }) => (shiftMetres ?? 0) >= SAME_PLACE).map(({ palette }) => palette),
    ...effects.changed.map(({ palette }) => palette),
  ])
  if (moved.size === 0) return []
  return looseValues(before, USUAL_LIMITS).filter(
    ({ near, stored }) => near !== null && moved.has(near.palette) && stored.some((one) => stays(before, after, one)),
  )
}

/** Whether a value gives the same light on both sides; a loose aim at a target that moves goes with it. */
function stays(before: Show, after: Show, stored: CueValue): boolean {
  const { fixture, attribute } = stored
  const value = givenBy(stored)
  if (attribute !== LEADING.place || value === null) return true
  const [from, to] = [before, after].map((show) => {
    const rigged = rigOf(show).get(fixture)
    const plain = rigged && resolveValue(show, rigged, attribute, value).value
    return rigged && plain ? solvePosition(rigged.mount, stageOf(show), plain, HOME).point : null
  })
  return !from || !to || distance(from, to) < SAME_PLACE
}
