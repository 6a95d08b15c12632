/** The channels of a mode, and what each does over which of its levels. */
import { z } from 'zod'
import { numberAttributeId } from '../../attributes/attribute'
import { channelRole } from '../../attributes/channelRole'
import { name } from './parts'

const physical = z.number().min(-1e6).max(1e6)
const byte = z.number().int().min(0).max(255)
const place = z.number().int().min(1).max(512)

/**
 * What a channel does over the levels `first` to `last` of its coarse byte; finer bytes run with
 * them. `from` and `to` are what the two ends mean, in the unit of what it does (degrees for pan
 * and tilt); `from` may be the larger. Where `when` is given, it counts only while that attribute
 * has that number: a slot that shakes. An empty name is the channel's.
 */
export const channelFunction = z
  .strictObject({
    name: z.string().trim().max(120),
    does: channelRole,
    first: byte,
    last: byte,
    from: physical,
    to: physical,
    /** `from` and `to` are speeds of turning, turns a minute, not angles. */
    spins: z.boolean(),
    when: z.strictObject({ attribute: numberAttributeId, number: z.number() }).nullable(),
  })
  .refine(({ first, last }) => first <= last, 'the first level lies above the last')

/** As many cells as a universe has channels. */
export const MOST_CELLS = 512

export const DIMMER_CURVES = ['even', 'slow at first', 'fast at first', 'slow at both ends'] as const

/**
 * One channel of a mode. `coarse`, `fine` and `finest` count from 1: one, two or three bytes.
 * `rest` is what it is worth, in terms of its first function, while nothing drives it, and
 * `highlight` while the fixture is brought out; null leaves it. `curve` bends what is sent. `dims` where
 * its light goes down with intensity, as in a head without a dimmer. `snaps` where it goes over at once
 * in a fade. `follows` names the channel whose level it repeats. `cell` is the cell it drives, from
 * 1; left out for what drives the fixture as a whole.
 */
const today = z.strictObject({
  name,
  coarse: place,
  fine: place.nullable(),
  finest: place.nullable(),
  functions: z.array(channelFunction).min(1, 'a channel needs at least one function').max(256),
  rest: physical,
  highlight: physical.nullable(),
  curve: z.enum(DIMMER_CURVES),
  dims: z.boolean(),
  snaps: z.boolean(),
  follows: z.string().max(120).nullable(),
  cell: z.number().int().min(1).max(MOST_CELLS).optional(),
})

/** Before channels had functions they did one thing over all their levels. */
const before = z.strictObject({
  name,
  does: channelRole,
  coarse: place,
  fine: place.nullable(),
  from: physical,
  to: physical,
  rest: physical,
})

/** A channel that does one thing over all its levels. */
export function plainChannel({ does, from, to, ...rest }: z.infer<typeof before>): z.infer<typeof today> {
  return {
    ...rest,
    finest: null,
    functions: [{ name: '', does, first: 0, last: 255, from, to, spins: false, when: null }],
    highlight: null,
    curve: 'even',
    dims: false,
    snaps: false,
    follows: null,
  }
}

/** Back-ups from before channels had functions are read as well. */
export const channel = z.preprocess((value) => {
  const old = before.safeParse(value)
  return old.success ? plainChannel(old.data) : value
}, today)
