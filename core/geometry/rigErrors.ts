/** How far what hangs is off from how it is drawn. */
import type { FixturePlace, HangPlace } from './frame'
import { add } from './vector'

/** What may be off of a hang: metres in the stage frame, degrees. */
export const HANG_UNKNOWNS = ['x', 'y', 'z', 'yaw'] as const
/** What may be off of a fixture on its hang: metres, degrees; `tiltZero` is how far its tilt stands from what it is asked. */
export const FIXTURE_UNKNOWNS = ['along', 'out', 'drop', 'yaw', 'pitch', 'roll', 'tiltZero'] as const
export type HangError = Readonly<Record<(typeof HANG_UNKNOWNS)[number], number>>
export type FixtureError = Readonly<Record<(typeof FIXTURE_UNKNOWNS)[number], number>>

export const NO_HANG_ERROR: HangError = { x: 0, y: 0, z: 0, yaw: 0 }
export const NO_FIXTURE_ERROR: FixtureError = { along: 0, out: 0, drop: 0, yaw: 0, pitch: 0, roll: 0, tiltZero: 0 }

/** A hang's place with an error, and a fixture's on it. */
export function hangOff({ origin, yaw, rise }: HangPlace, error: HangError): HangPlace {
  return { origin: add(origin, error), yaw: yaw + error.yaw, rise }
}
export function fixtureOff(place: FixturePlace, error: FixtureError): FixturePlace {
  return {
    along: place.along + error.along,
    out: place.out + error.out,
    drop: place.drop + error.drop,
    yaw: place.yaw + error.yaw,
    pitch: place.pitch + error.pitch,
    roll: place.roll + error.roll,
  }
}
