/** Places and angles that are not the same in every venue. */
import { SAME_PLACE } from '../geometry/tolerance'
import { add, distance, subtract, type Vec3 } from '../geometry/vector'
import type { TouchUp } from './entities'
import type { VenueId } from './ids'
import type { AimValue, AnglesValue, PlainValue } from './values'

/** How far off its target, or off the origin, an aim is in a venue; metres in the stage frame. */
export function offsetIn({ offset, elsewhere }: Pick<AimValue, 'offset' | 'elsewhere'>, venue: string): Vec3 {
  return elsewhere?.find((there) => there.venue === venue)?.offset ?? offset
}

/** What angles are in a venue, degrees. */
export function anglesIn(angles: AnglesValue, venue: string): { pan: number; tilt: number } {
  const { pan, tilt } = angles.elsewhere?.find((there) => there.venue === venue) ?? angles
  return { pan, tilt }
}

/** An aim further on by so many metres in every venue. */
export function movedBy(aim: AimValue, by: Vec3): AimValue {
  const elsewhere = aim.elsewhere?.map(({ venue, offset }) => ({ venue, offset: add(offset, by) }))
  return { ...aim, offset: add(aim.offset, by), ...(elsewhere && { elsewhere }) }
}

/** An aim with one offset in every venue. */
export function sameEverywhere(aim: AimValue, offset: Vec3): AimValue {
  return aimWith(aim, offset, new Map())
}

/** Angles further on by so many degrees in every venue. */
export function turnedBy(angles: AnglesValue, by: Angles): AnglesValue {
  const on = <A extends Angles>(one: A): A => ({ ...one, pan: one.pan + by.pan, tilt: one.tilt + by.tilt })
  return { ...on(angles), ...(angles.elsewhere && { elsewhere: angles.elsewhere.map(on) }) }
}

/** An aim that is so far off in a venue named, and `offset` in any other. */
function aimWith(aim: AimValue, offset: Vec3, offsets: ReadonlyMap<VenueId, Vec3>): AimValue {
  const others = [...offsets].filter(([, one]) => distance(one, offset) > SAME_PLACE)
  const { kind, target, at, choice } = aim
  const same: AimValue = { kind, target, at, offset, choice }
  if (others.length === 0) return same
  return { ...same, elsewhere: others.map(([venue, one]) => ({ venue, offset: one })) }
}

type Angles = Pick<AnglesValue, 'pan' | 'tilt'>
/** Angles nearer than this are the same, degrees. */
const SAME_ANGLE = 1e-6

function anglesWith(angles: Angles, inVenues: ReadonlyMap<VenueId, Angles>): AnglesValue {
  const { pan, tilt } = angles
  const isOther = (one: Angles) => Math.abs(one.pan - pan) > SAME_ANGLE || Math.abs(one.tilt - tilt) > SAME_ANGLE
  const others = [...inVenues].filter(([, one]) => isOther(one))
  const plain: AnglesValue = { kind: 'angles', pan, tilt }
  return others.length > 0 ? { ...plain, elsewhere: others.map(([venue, one]) => ({ venue, ...one })) } : plain
}

/** Where a value is not the same, and where it is touched up. */
function venuesOf(value: AimValue | AnglesValue, touchUps: readonly TouchUp[]): Set<VenueId> {
  return new Set([...(value.elsewhere ?? []), ...touchUps].map(({ venue }) => venue))
}

const NO_TOUCH = { offset: { x: 0, y: 0, z: 0 }, pan: 0, tilt: 0 }
const touchIn = (touchUps: readonly TouchUp[], venue: string) => touchUps.find((one) => one.venue === venue) ?? NO_TOUCH

/** A value with what was touched up on top of it: in each venue its own. Anything but a place is what it is. */
export function touched(value: PlainValue, touchUps: readonly TouchUp[]): PlainValue {
  if (value.kind === 'aim') {
    const offsets = [...venuesOf(value, touchUps)].map(
      (venue) => [venue, add(offsetIn(value, venue), touchIn(touchUps, venue).offset)] as const,
    )
    return aimWith(value, value.offset, new Map(offsets))
  }
  if (value.kind !== 'angles') return value
  const turned = [...venuesOf(value, touchUps)].map((venue) => {
    const [{ pan, tilt }, touch] = [anglesIn(value, venue), touchIn(touchUps, venue)]
    return [venue, { pan: pan + touch.pan, tilt: tilt + touch.tilt }] as const
  })
  return anglesWith(value, new Map(turned))
}

/**
 * What a value must be for `touched` to give it: in the venue in play and in those it names. Where it
 * names none it is meant as it is seen here, and other venues follow by as much.
 */
export function untouched(value: PlainValue, touchUps: readonly TouchUp[], inPlay: string): PlainValue {
  const named = (of: AimValue | AnglesValue) => (of.elsewhere ?? []).map(({ venue }) => venue)
  if (value.kind === 'aim') {
    const less = (venue: string) => subtract(offsetIn(value, venue), touchIn(touchUps, venue).offset)
    return aimWith(value, less(inPlay), new Map(named(value).map((venue) => [venue, less(venue)])))
  }
  if (value.kind !== 'angles') return value
  const less = (venue: string) => {
    const [{ pan, tilt }, touch] = [anglesIn(value, venue), touchIn(touchUps, venue)]
    return { pan: pan - touch.pan, tilt: tilt - touch.tilt }
  }
  return anglesWith(less(inPlay), new Map(named(value).map((venue) => [venue, less(venue)])))
}
