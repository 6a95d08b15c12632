/**
 * What a palette, a cue or the hand can hold for one attribute. An aim and angles are each one
 * value: pan without tilt means nothing on a stage.
 */
import { LEADING } from '../attributes/catalogue'
import { z } from 'zod'
import { isNumberAttribute, kindOf, type Attribute } from '../attributes/attribute'
import { isColourPart, type ColourPart } from '../attributes/colourPart'
import { paletteId, targetId, venueId } from './ids'

/** Metres in the stage frame, inside a kilometre: further is a slip of the pen. */
export const metres = z.number().min(-1000).max(1000)
export const degrees = z.number().min(-3600).max(3600)
export const point = z.strictObject({ x: metres, y: metres, z: metres })

/** The way round that was chosen when the aim was made: a re-solve keeps to it. */
export const aimChoice = z.strictObject({ side: z.enum(['positive', 'negative']), pan: degrees })

/**
 * An aim: at a target and an offset from it, or, without a target, at the offset from the stage's
 * origin; `elsewhere` says how far off it is in other venues, where that is not the same. `at` is the place along a line or round a ring, 0 to 1; null is its middle.
 */
export const aimValue = z.strictObject({
  kind: z.literal('aim'),
  target: targetId.nullable(),
  at: z.number().min(0).max(1).nullable(),
  offset: point,
  elsewhere: z.array(z.strictObject({ venue: venueId, offset: point })).optional(),
  choice: aimChoice.nullable(),
})
/** Angles; `elsewhere` says what they are in other venues, where they are not the same. */
export const anglesValue = z.strictObject({
  kind: z.literal('angles'),
  pan: degrees,
  tilt: degrees,
  elsewhere: z.array(z.strictObject({ venue: venueId, pan: degrees, tilt: degrees })).optional(),
})
export const numberValue = z.strictObject({ kind: z.literal('number'), number: z.number() })
export const poolValue = z.strictObject({ kind: z.literal('pool'), diameter: z.number().positive().max(200) })
/** `way` is the way round a head takes to it in a cue, whichever its palette has; `byHand` where a person chose that one. */
export const linkValue = z.strictObject({
  kind: z.literal('link'),
  palette: paletteId,
  way: aimChoice.extend({ byHand: z.boolean() }).optional(),
})

/** What turns and goes on turning: turns a minute, right-handed about the way the light goes. */
export const spinValue = z.strictObject({ kind: z.literal('spin'), rpm: z.number().min(-1000).max(1000) })

const level = z.number().min(0).max(1)
export const colourPartId = z.custom<ColourPart>(
  (text) => typeof text === 'string' && isColourPart(text),
  'a part has a name without / . or _',
)

/** What light is to look like: CIE 1931 x and y, and how bright of the brightest that can be had of it. */
export const colourValue = z.strictObject({
  kind: z.literal('colour'),
  x: z.number().min(0).max(1),
  y: z.number().min(0.001).max(1),
  level,
})
/** What the parts that mix a colour do: each level from 0, dark or out, to 1. Parts that are not named are at 0. */
export const partsValue = z.strictObject({ kind: z.literal('parts'), parts: z.record(colourPartId, level) })

export const value = z.discriminatedUnion('kind', [
  aimValue,
  anglesValue,
  numberValue,
  spinValue,
  colourValue,
  partsValue,
  poolValue,
  linkValue,
])

/** What a cue sets to let go of a value: what lies under its list comes through, in the end the state at rest. */
export const restValue = z.strictObject({ kind: z.literal('rest') })
/** What a cue can hold for one attribute. */
export const cueContent = z.discriminatedUnion('kind', [...value.options, restValue])

export type AimValue = z.infer<typeof aimValue>
export type AnglesValue = z.infer<typeof anglesValue>
export type AimChoice = z.infer<typeof aimChoice>
export type LinkValue = z.infer<typeof linkValue>
export type Value = z.infer<typeof value>
export type CueContent = z.infer<typeof cueContent>
export const BACK_TO_REST: CueContent = { kind: 'rest' }

/** Whether an attribute can take such a value: the head's places and turns, the zoom a pool, what turns a spin, a colour what it looks like or is mixed of, the rest numbers. */
export function fitsAttribute({
  attribute,
  value,
}: {
  readonly attribute: Attribute
  readonly value: CueContent
}): boolean {
  if (value.kind === 'link' || value.kind === 'rest') return true
  if (value.kind === 'pool') return attribute === LEADING.width
  if (value.kind === 'spin') return kindOf(attribute).unit === 'turn'
  if (value.kind === 'number') return isNumberAttribute(attribute)
  const isColour = value.kind === 'colour' || value.kind === 'parts'
  return kindOf(attribute).unit === (isColour ? 'colour' : 'place')
}
/** What is said of a value that does not fit. */
export const MISFIT_OF_ATTRIBUTE = 'this attribute takes no such value'

/** Whether a value was stored by hand: neither a link nor a letting go. */
export function isLoose({ kind }: CueContent): boolean {
  return kind !== 'link' && kind !== 'rest'
}

/** The value a cue gives; null where it lets go, or sets nothing. */
export function givenBy(stored: { readonly value: CueContent } | null | undefined): Value | null {
  return stored && stored.value.kind !== 'rest' ? stored.value : null
}

/** An amount of an attribute: a number in its unit, or, of what turns, a speed of turning. */
export type Amount = z.infer<typeof numberValue> | z.infer<typeof spinValue>

/** An amount as a bare number: turns a minute where it is a spin. */
export function numberOf(amount: Amount): number {
  return amount.kind === 'spin' ? amount.rpm : amount.number
}

/** A colour, by what it looks like or by what mixes it. */
export type PlainColour = z.infer<typeof colourValue> | z.infer<typeof partsValue>

/** A value as a colour; null where it is none. */
export function colourIn(value: CueContent | null): PlainColour | null {
  return value?.kind === 'colour' || value?.kind === 'parts' ? value : null
}

/** A value that says itself what it is, not by way of a palette. */
export type PlainValue = Exclude<Value, LinkValue>
