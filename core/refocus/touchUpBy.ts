/** How much a palette's light is to be touched up for it to fall somewhere else in the venue in play. */
import { LEADING } from '../attributes/catalogue'
import { add, ORIGIN, subtract, type Vec3 } from '../geometry/vector'
import { solveAim } from '../kinematics/inverse'
import { HOME, type Pose } from '../kinematics/head'
import { resolveValue, storedFor, type Served } from '../palettes/resolve'
import { solvePosition } from '../palettes/solve'
import { touchUpsOf } from '../palettes/touchUps'
import { heldBy } from '../palettes/update'
import type { TouchUp } from '../show/entities'
import type { PaletteId } from '../show/ids'
import type { FixtureValue } from '../show/fixtureValue'
import { anglesIn, movedBy, turnedBy } from '../show/perVenue'
import { typedFixtures, type RiggedFixture } from '../show/rig'
import { showRecordOf, type Show } from '../show/show'
import { aimPoint, targetsOf } from '../show/targets'
import type { PlainValue } from '../show/values'
import { stageOf } from '../venue/stage'

/** What is touched up: metres in the stage frame at the place of an aim, degrees of angles. */
export type Touch = Pick<TouchUp, 'offset' | 'pan' | 'tilt'>

/** A touch-up as it is to be, and in which palette: the one that holds the place itself. */
export interface TouchUpWanted {
  readonly palette: PaletteId
  readonly touch: Touch
}

export const UNTOUCHED: Touch = { offset: ORIGIN, pan: 0, tilt: 0 }

/** Why a fixture's light cannot be touched up in a palette. */
export type Untouchable = 'no place' | 'lands nowhere'

/** How a light is moved: so many metres from where it is, or so many degrees of its axes. */
export type Nudge = { readonly metres: Vec3 } | { readonly degrees: Pose }

/** The palette that holds a fixture's place and what it stores of it; null where it gives none. */
function heldFor(show: Show, palette: PaletteId, rigged: Served) {
  const holder = heldBy(show, rigged, LEADING.place, palette)
  const value = storedFor(show, holder, rigged, LEADING.place)?.value
  return value?.kind === 'aim' || value?.kind === 'angles' ? { holder, value } : null
}

/** The touch-up a fixture has of a palette here; nothing touched where there is none. */
export function touchOf(show: Show, palette: string, fixture: string): Touch {
  const { venue } = showRecordOf(show)
  return touchUpsOf(show, palette, fixture).find((one) => one.venue === venue) ?? UNTOUCHED
}

/** A palette's touch-up of a fixture, moved on by a nudge. */
export function nudged(show: Show, palette: PaletteId, rigged: RiggedFixture, by: Nudge): TouchUpWanted | Untouchable {
  const held = heldFor(show, palette, rigged)
  if (!held) return 'no place'
  const { holder, value } = held
  const now = touchOf(show, holder, rigged.id)
  const shown = resolveValue(show, rigged, LEADING.place, { kind: 'link', palette: holder }).value
  const position = solvePosition(rigged.mount, stageOf(show), shown, HOME)
  const wanted = (touch: Touch) => ({ palette: holder, touch })
  if (value.kind === 'aim' && 'metres' in by) return wanted({ ...now, offset: add(now.offset, by.metres) })
  if (value.kind === 'angles' && 'degrees' in by)
    return wanted({ ...now, pan: now.pan + by.degrees.pan, tilt: now.tilt + by.degrees.tilt })
  if (!position.point) return 'lands nowhere'
  if ('metres' in by) {
    const { pan, tilt } = solveAim(rigged.mount, add(position.point, by.metres), { reference: position.pose })
    return wanted({ ...now, pan: now.pan + pan - position.pose.pan, tilt: now.tilt + tilt - position.pose.tilt })
  }
  const pose = { pan: position.pose.pan + by.degrees.pan, tilt: position.pose.tilt + by.degrees.tilt }
  const turned = solvePosition(rigged.mount, stageOf(show), { kind: 'angles', ...pose }, HOME).point
  return turned ? wanted({ ...now, offset: add(now.offset, subtract(turned, position.point)) }) : 'lands nowhere'
}

/** What a palette must store of a fixture for its light to be corrected by so much in every venue; nothing where it stores no place. */
export function correctedBy(
  show: Show,
  { palette, fixture }: Pick<TouchUp, 'palette' | 'fixture'>,
  by: Touch,
): FixtureValue[] {
  const served = typedFixtures(show).get(fixture)
  const value = served && storedFor(show, palette, served, LEADING.place)?.value
  if (value?.kind === 'aim') return [{ fixture, attribute: LEADING.place, value: movedBy(value, by.offset) }]
  if (value?.kind === 'angles') return [{ fixture, attribute: LEADING.place, value: turnedBy(value, by) }]
  return []
}

/** The touch-up with which a palette gives a fixture a value as it is here. */
export function touchUpTo(
  show: Show,
  palette: PaletteId,
  rigged: RiggedFixture,
  value: PlainValue,
): TouchUpWanted | Untouchable {
  const held = heldFor(show, palette, rigged)
  if (!held) return 'no place'
  const { venue } = showRecordOf(show)
  if (held.value.kind === 'angles') {
    const from = anglesIn(held.value, venue)
    const to =
      value.kind === 'angles' ? anglesIn(value, venue) : solvePosition(rigged.mount, stageOf(show), value, HOME).pose
    return { palette: held.holder, touch: { offset: ORIGIN, pan: to.pan - from.pan, tilt: to.tilt - from.tilt } }
  }
  const from = aimPoint(targetsOf(show), held.value)
  const to = solvePosition(rigged.mount, stageOf(show), value, HOME).point
  if (!from || !to) return 'lands nowhere'
  return { palette: held.holder, touch: { offset: subtract(to, from), pan: 0, tilt: 0 } }
}
