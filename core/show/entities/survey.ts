/** What is known of the rig as it really hangs: places that were measured, lights seen on them, and what follows. */
import { z } from 'zod'
import * as ids from '../ids'
import { degrees, point } from '../values'

/** A target whose place in a venue was measured: lights seen on it tell of the rig. */
export const surveyed = z.strictObject({ venue: ids.venueId, target: ids.targetId })

/**
 * A light that was steered onto a surveyed target: the place it was on then, in the stage frame, and how
 * its axes were asked to stand, degrees. `counts` is off for one that was dropped because it does not fit.
 */
export const sighting = z.strictObject({
  venue: ids.venueId,
  fixture: ids.fixtureId,
  target: ids.targetId,
  place: point,
  pan: degrees,
  tilt: degrees,
  counts: z.boolean(),
  by: ids.personId.nullable(),
  at: z.number().int().min(0),
})

const offMetres = z.number().min(-5).max(5)
const offDegrees = z.number().min(-45).max(45)
/** How far a hang is off in a venue from how it is drawn: metres in the stage frame, degrees. */
export const hangErrorFields = { x: offMetres, y: offMetres, z: offMetres, yaw: offDegrees }
export const hangCorrection = z.strictObject({ venue: ids.venueId, hang: ids.hangId, ...hangErrorFields })
/** How far a fixture is off on its hang: metres, degrees. */
export const fixtureErrorFields = {
  along: offMetres,
  out: offMetres,
  drop: offMetres,
  yaw: offDegrees,
  pitch: offDegrees,
  roll: offDegrees,
  tiltZero: offDegrees,
}
/** What was done the wrong way: hung turned round by 180° about its pan axis; axes that run the other way. */
export const mistakeFields = { isTurnedRound: z.boolean(), isPanInverted: z.boolean(), isTiltInverted: z.boolean() }
export const fixtureCorrection = z.strictObject({
  venue: ids.venueId,
  fixture: ids.fixtureId,
  ...fixtureErrorFields,
  ...mistakeFields,
})
