/**
 * The two frames everything is measured in.
 *
 * Stage frame, right-handed: origin on the stage floor where the centre line meets the setting
 * line; +x to stage left, +y upstage, +z up.
 *
 * Fixture frame: origin at the mounting point, +z from the beam side towards the mounting. An
 * upright hung fixture without any turn has its frame parallel to the stage frame; standing on the
 * floor is roll 180.
 *
 * A hang is a straight line through its middle. A fixture on it has `along` (signed distance on
 * the line), `out` (level, square to the line's yaw) and `drop` (straight down).
 */
import { add, ORIGIN, subtract, type Vec3 } from './vector'
import { composed, DEGREE, rotate, rotation, transposed, unrotate, type Rotation } from './rotation'

/** Where a hang stands in one venue: metres and degrees. `rise` 0 is a bar, 90 a boom. */
export interface HangPlace {
  readonly origin: Vec3
  readonly yaw: number
  readonly rise: number
}

/** Where a fixture sits on its hang: metres along, out and down; degrees of its own turn. */
export interface FixturePlace {
  readonly along: number
  readonly out: number
  readonly drop: number
  readonly yaw: number
  readonly pitch: number
  readonly roll: number
}

/** A frame seen from the stage: its origin and its axes. */
export interface Frame {
  readonly origin: Vec3
  readonly rotation: Rotation
}

/** The unit vector along a hang's line, from its negative to its positive end. */
export function hangDirection(hang: Pick<HangPlace, 'yaw' | 'rise'>): Vec3 {
  const level = Math.cos(hang.rise * DEGREE)
  return {
    x: Math.cos(hang.yaw * DEGREE) * level,
    y: Math.sin(hang.yaw * DEGREE) * level,
    z: Math.sin(hang.rise * DEGREE),
  }
}

/** The mounting point of a fixture on a hang, in the stage frame. */
export function mountingPoint(hang: HangPlace, place: FixturePlace): Vec3 {
  const line = hangDirection(hang)
  const outX = -Math.sin(hang.yaw * DEGREE)
  const outY = Math.cos(hang.yaw * DEGREE)
  return add(hang.origin, {
    x: line.x * place.along + outX * place.out,
    y: line.y * place.along + outY * place.out,
    z: line.z * place.along - place.drop,
  })
}

/**
 * The fixture frame in the stage frame. The hang's rise does not enter the orientation, so an
 * upright fixture stays upright on a boom.
 */
export function fixtureFrame(hang: HangPlace, place: FixturePlace): Frame {
  return {
    origin: mountingPoint(hang, place),
    rotation: rotation(hang.yaw + place.yaw, place.pitch, place.roll),
  }
}

/** The frame everything is measured in. */
export const UPRIGHT: Frame = { origin: ORIGIN, rotation: rotation(0, 0, 0) }

/** A frame given in another one, in the frame that one is given in. */
export function within(outer: Frame, inner: Frame): Frame {
  return {
    origin: add(outer.origin, rotate(outer.rotation, inner.origin)),
    rotation: composed(outer.rotation, inner.rotation),
  }
}

/** A frame as it is seen from another one: what `within` puts back. */
export function seenFrom(outer: Frame, frame: Frame): Frame {
  return {
    origin: unrotate(outer.rotation, subtract(frame.origin, outer.origin)),
    rotation: composed(transposed(outer.rotation), frame.rotation),
  }
}
