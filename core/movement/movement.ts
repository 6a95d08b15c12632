/** What a movement is: a path about a place, how large and which way it lies, how fast and from where it is run. */
import { z } from 'zod'

/** The longest a path may be, metres or degrees. */
const LARGEST = 400
const size = z.number().min(0).max(LARGEST)
const share = z.number().min(-0.5).max(0.5)
const corners = z
  .array(z.strictObject({ x: share, y: share }))
  .min(3)
  .max(60)

/**
 * The line a light follows. `polygon` and the zone that is wandered in are drawn in a box of 1 by 1
 * about its middle; without corners one wanders in an ellipse. `target` is the line or ring aimed at.
 */
export const path = z.discriminatedUnion('form', [
  z.strictObject({ form: z.literal('ring') }),
  z.strictObject({ form: z.literal('line') }),
  z.strictObject({ form: z.literal('eight') }),
  z.strictObject({ form: z.literal('polygon'), corners }),
  z.strictObject({ form: z.literal('wander'), corners: corners.nullable(), seed: z.number().int().min(0).max(1e9) }),
  z.strictObject({ form: z.literal('target') }),
])
export type Path = z.infer<typeof path>

/** On the floor, upright, square to the beam; or about the angles of the head, in degrees. */
export const LIES = ['floor', 'upright', 'across the beam', 'angles'] as const

/** How long a round takes: so many rounds a minute, or so many beats of the tapped tempo for one. */
export const tempo = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('minute'), rounds: z.number().positive().max(600) }),
  z.strictObject({ by: z.literal('beat'), beats: z.number().positive().max(256) }),
])
export type Tempo = z.infer<typeof tempo>

/**
 * How what comes round is run: `start` is how many rounds it is ahead of the clock, `lag` how many this
 * fixture is behind the others.
 */
const running = {
  tempo,
  backwards: z.boolean(),
  start: z.number().min(-1e12).max(1e12),
  lag: z.number().min(-16).max(16),
} as const
export type Running = z.infer<z.ZodObject<typeof running>>

/**
 * A movement of one fixture. `along` and `across` are how large its path is, metres, or degrees of pan and
 * tilt where it lies in angles; `turn`, degrees, right-handed about the way up of its plane. `ease`, 0 to
 * 1, is how much it slows where the path turns back or has a corner; `mirrored` runs the path flipped
 * across.
 */
export const movementValue = z.strictObject({
  kind: z.literal('movement'),
  path,
  lies: z.enum(LIES),
  along: size,
  across: size,
  turn: z.number().min(-3600).max(3600),
  ...running,
  ease: z.number().min(0).max(1),
  mirrored: z.boolean(),
})
export type Movement = z.infer<typeof movementValue>

/** Rising and falling as a pendulum or evenly, rising and beginning anew, on and off, or by chance. */
export const WAVES = ['swing', 'even', 'rise', 'on and off', 'by chance'] as const

/**
 * A level of one fixture that goes up and down about what it is: `size` from its lowest to its highest, in the
 * unit of its attribute; `share` is how much of a round one that goes on and off is on.
 */
export const waveValue = z.strictObject({
  kind: z.literal('wave'),
  wave: z.enum(WAVES),
  size: z.number().min(-1000).max(1000),
  share: z.number().min(0).max(1),
  ...running,
})
export type Wave = z.infer<typeof waveValue>

/** Whether it is the same after every round: what goes by chance never is. */
export function comesBack(value: Movement | Wave): boolean {
  return value.kind === 'movement' ? value.path.form !== 'wander' : value.wave !== 'by chance'
}
