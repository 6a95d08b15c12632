/** What comes from outside: trackers that say where performers are, and controls that speak OSC. */
import { z } from 'zod'
import * as ids from '../ids'
import { degrees, point } from '../values'

/** Which way up or down the stage a tracking system counts its depth. */
export const DEPTHS = ['upstage', 'downstage'] as const
/**
 * How trackers are listened to in a venue. `from` is the address of the network interface. `origin` is where
 * the tracking system has its own, in the stage frame; `turn` how far its axis to the right is turned against
 * the clock from stage left to right, degrees.
 */
export const trackingFields = z.strictObject({
  isOn: z.boolean(),
  from: z.ipv4(),
  origin: point,
  turn: degrees,
  depth: z.enum(DEPTHS),
})
export const tracking = trackingFields.extend({ venue: ids.venueId })

export const WHEN_LOST = ['stays', 'goes back'] as const
/**
 * How a target follows a tracker: `above` metres over it, evened out over `smoothing` seconds, at most
 * `fastest` metres a second and at most `within` metres from its own place. A tracker that was silent for
 * `lostAfter` seconds is lost: the target stays where it is, or goes back to its own place.
 */
export const followFields = z.strictObject({
  tracker: z.number().int().min(0).max(65535),
  above: z.number().min(-5).max(5),
  smoothing: z.number().min(0).max(5),
  fastest: z.number().min(0.1).max(30),
  within: z.number().min(0.1).max(200),
  lostAfter: z.number().min(0.1).max(60),
  whenLost: z.enum(WHEN_LOST),
})
export const trackedTarget = followFields.extend({ target: ids.targetId })

const port = z.number().int().min(1).max(65535)
/**
 * How controls are listened to: at which address and port of this machine, and whose hand they change.
 * What happens is told to `answerTo`, at `answerPort`; to nobody where that is empty.
 */
export const controlLine = z.strictObject({
  isOn: z.boolean(),
  from: z.ipv4(),
  port,
  person: ids.personId.nullable(),
  answerTo: z.array(z.ipv4()).max(16),
  answerPort: port,
})

export const CONTROL_DEEDS = ['go', 'back', 'pause', 'list master', 'grand master', 'recall', 'nudge'] as const
export type ControlDeed = (typeof CONTROL_DEEDS)[number]
/** What each deed is done with. */
export const NEEDED_FOR: Readonly<Record<ControlDeed, 'list' | 'output' | 'palette' | 'axis'>> = {
  go: 'list',
  back: 'list',
  pause: 'list',
  'list master': 'list',
  'grand master': 'output',
  recall: 'palette',
  nudge: 'axis',
}
export const NUDGE_AXES = ['x', 'y', 'z'] as const

/** An OSC address: parts of plain letters behind a stroke each, without patterns. */
export const oscAddress = z
  .string()
  .max(200)
  .regex(/^(\/[^\s#*,/?[\]{}]+)+$/, 'an address begins with / and has no spaces and none of # * , ? [ ] { }')

export const controlBindingFields = z.strictObject({
  address: oscAddress,
  does: z.enum(CONTROL_DEEDS),
  list: ids.cueListId.nullable(),
  output: ids.outputId.nullable(),
  palette: ids.paletteId.nullable(),
  axis: z.enum(NUDGE_AXES).nullable(),
  /** Metres that the axis is nudged by for each 1 that comes with the message. */
  metres: z.number().min(-10).max(10),
})
/** What a control with an address of its own does: one thing, with just what that needs. */
export const controlBinding = controlBindingFields.refine(
  ({ does, ...given }) =>
    (['list', 'output', 'palette', 'axis'] as const).every(
      (field) => (given[field] !== null) === (field === NEEDED_FOR[does]),
    ),
  'it says what it does and with what: a cue list, an output, a palette or an axis',
)
