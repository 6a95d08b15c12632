/** What touch-ups of lights at one target come to when the target itself moves: everything at it follows. */
import { LEADING } from '../attributes/catalogue'
import { add, length, ORIGIN, scale, subtract, type Vec3 } from '../geometry/vector'
import { storedFor } from '../palettes/resolve'
import type { TouchUp } from '../show/entities'
import type { TargetId } from '../show/ids'
import { typedFixtures } from '../show/rig'
import { showRecordOf, type Show } from '../show/show'
import { targetsOf } from '../show/targets'

export interface TargetCorrection {
  readonly target: TargetId
  /** How far it moves: the mean of the touch-ups, metres in the stage frame. */
  readonly by: Vec3
  /** Every touch-up of this venue at the target that gets smaller by it, as it is left: those lights fall where they do. */
  readonly left: readonly TouchUp[]
}

/** The target of the aim a touch-up lies on; null where it lies on none that has a place here. */
function targetOf(show: Show, { palette, fixture }: Pick<TouchUp, 'palette' | 'fixture'>): TargetId | null {
  const served = typedFixtures(show).get(fixture)
  const value = served && storedFor(show, palette, served, LEADING.place)?.value
  return value?.kind === 'aim' && value.target !== null && targetsOf(show).has(value.target) ? value.target : null
}

/** Moves the target of some touch-ups of the venue in play by their mean; null where they are not all at one. */
export function targetCorrectionBy(show: Show, touchUps: readonly TouchUp[]): TargetCorrection | null {
  const { venue } = showRecordOf(show)
  const [target, ...others] = new Set(touchUps.map((one) => (one.venue === venue ? targetOf(show, one) : null)))
  if (!target || others.length > 0) return null
  const by = scale(
    touchUps.reduce<Vec3>((sum, { offset }) => add(sum, offset), ORIGIN),
    1 / touchUps.length,
  )
  const left = [...show.all.touchUp.values()]
    .filter((one) => one.venue === venue && targetOf(show, one) === target)
    .map((one) => ({ before: length(one.offset), after: { ...one, offset: subtract(one.offset, by) } }))
    .filter(({ before, after }) => length(after.offset) < before)
    .map(({ after }) => after)
  return { target, by, left }
}
