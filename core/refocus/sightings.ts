/**
 * What touch-ups and checks tell of the rig: where a head really stood while its light was on a place.
 * A head that was touched up lights the place of its palette by the pose of another place; one that was
 * found right as solved lights it by the pose that was worked out.
 */
import { LEADING } from '../attributes/catalogue'
import type { Vec3 } from '../geometry/vector'
import type { Pose } from '../kinematics/head'
import { storedFor } from '../palettes/resolve'
import { touchUpsOf } from '../palettes/touchUps'
import type { PaletteId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import { showRecordOf, type Show } from '../show/show'
import { aimPoint, targetsOf } from '../show/targets'
import { passInPlay, poseBy } from './pass'

/** A head's light seen on a place, metres in the stage frame, at a pose, degrees. */
export interface Sighting {
  readonly palette: PaletteId
  readonly rigged: RiggedFixture
  readonly pose: Pose
  readonly place: Vec3
  readonly isTouchedUp: boolean
}

/** Every sighting in the venue in play. Angles say nothing of the rig: no place is known for them. */
export function sightingsIn(show: Show): Sighting[] {
  const { venue } = showRecordOf(show)
  const found: Sighting[] = []
  for (const { venue: where, palette, fixture } of show.all.touchUp.values())
    if (where === venue) found.push(...sighted(show, palette, rigOf(show).get(fixture), true))
  const pass = passInPlay(show)
  for (const { pass: of, palette, fixture, pan, tilt } of show.all.passCheck.values()) {
    const isTouchedUp = touchUpsOf(show, palette, fixture).some((one) => one.venue === venue)
    if (of !== pass?.id || isTouchedUp) continue
    for (const one of sighted(show, palette, rigOf(show).get(fixture), false))
      // As it stood then, whatever has turned it since.
      found.push({ ...one, pose: { pan, tilt } })
  }
  return found
}

function sighted(show: Show, palette: PaletteId, rigged: RiggedFixture | undefined, isTouchedUp: boolean): Sighting[] {
  if (!rigged || rigged.bar) return []
  const value = storedFor(show, palette, rigged, LEADING.place)?.value
  const place = value?.kind === 'aim' ? aimPoint(targetsOf(show), value) : null
  return place ? [{ palette, rigged, place, isTouchedUp, pose: poseBy(show, palette, rigged) }] : []
}
