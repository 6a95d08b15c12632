/**
 * What touch-ups and checks tell of the rig: where a head really stood while its light was on a place.
 * A head that was touched up lights the place of its palette by the pose of another place; one that was
 * found right as solved lights it by the pose that was worked out.
 */
import { LEADING } from '../attributes/catalogue'
import { storedFor } from '../palettes/resolve'
import { touchUpsOf } from '../palettes/touchUps'
import type { PaletteId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import { showRecordOf, type Show } from '../show/show'
import { aimPoint, targetsOf } from '../show/targets'
import { passInPlay, poseBy } from './pass'
import type { Seen } from './trueUp'

/** A head's light seen on the place of a palette. */
export interface PaletteSighting extends Seen {
  readonly palette: PaletteId
  readonly isTouchedUp: boolean
}

/** Every sighting in the venue in play. Angles say nothing of the rig: no place is known for them. */
export function sightingsIn(show: Show): PaletteSighting[] {
  const { venue } = showRecordOf(show)
  const found: PaletteSighting[] = []
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

function sighted(
  show: Show,
  palette: PaletteId,
  rigged: RiggedFixture | undefined,
  isTouchedUp: boolean,
): PaletteSighting[] {
  if (!rigged || rigged.bar) return []
  const value = storedFor(show, palette, rigged, LEADING.place)?.value
  const place = value?.kind === 'aim' ? aimPoint(targetsOf(show), value) : null
  return place ? [{ palette, rigged, place, isTouchedUp, pose: poseBy(show, palette, rigged) }] : []
}
