/**
 * Shows of before version 4 held red, green and blue as three attributes, each a level from 0 to 1
 * that rests at 1. What they come to now is one colour. This reads what was kept then, and does not
 * change with what shows hold today.
 */
import { z } from 'zod'
import { colourOfLevels } from '../colour/colour'

export const SEPARATE = ['red', 'green', 'blue'] as const
type Separate = (typeof SEPARATE)[number]

/** What an emitter of each is as a screen has it, CIE 1931, and its part of white light. */
export const PRIMARIES: Readonly<Record<Separate, { name: string; x: number; y: number; flux: number }>> = {
  red: { name: 'Red', x: 0.64, y: 0.33, flux: 0.21263900587151024 },
  green: { name: 'Green', x: 0.3, y: 0.6, flux: 0.7151686787677559 },
  blue: { name: 'Blue', x: 0.15, y: 0.06, flux: 0.07219231536073371 },
}

const isSeparate = (name: unknown): name is Separate => name === 'red' || name === 'green' || name === 'blue'
const numbered = z.looseObject({ kind: z.literal('number'), number: z.number() })

/**
 * Three values as one: a link where any of them is one, a colour of the levels there are, each missing
 * one as it rests; else the first as it is.
 */
export function oneColour(values: Partial<Record<Separate, unknown>>): unknown {
  const all = SEPARATE.flatMap((name) => values[name] ?? [])
  const link = all.find((value) => z.looseObject({ kind: z.literal('link') }).safeParse(value).success)
  if (link) return link
  const levels = SEPARATE.map((name) => numbered.safeParse(values[name]).data?.number)
  if (levels.every((level) => level === undefined)) return all[0]
  const [red = 1, green = 1, blue = 1] = levels.map((level) => Math.min(1, Math.max(0, level ?? 1)))
  return { kind: 'colour', ...colourOfLevels(red, green, blue) }
}

/** A list of attributes in which any of the three stands for the colour. */
export function withColourListed(attributes: readonly unknown[]): unknown[] {
  const others = attributes.filter((one) => !isSeparate(one))
  return others.length === attributes.length ? [...attributes] : [...others, 'colour']
}

/** What a type mixes of that had some of the three; null for one that had none. */
export function mixingOf(attributes: readonly unknown[]): unknown {
  const parts = SEPARATE.filter((name) => attributes.includes(name)).map((name) => PRIMARIES[name])
  return parts.length === 0 ? null : { kind: 'emitters', choice: 'brightest', parts }
}

type Rows = readonly (readonly [id: string, thing: unknown])[]
const thing = z.looseObject({})
const listing = z.looseObject({ heldBack: z.array(z.unknown()) })
const valued = z.looseObject({ attribute: z.string(), value: z.unknown() })
const arriving = z.looseObject({ arrival: z.looseObject({ from: z.unknown() }) })
const type = z.looseObject({ has: z.array(z.unknown()), ranges: z.array(z.looseObject({})).optional() })
const channels = z.looseObject({ channels: z.array(z.looseObject({})) })
const usual = z.looseObject({ usual: listing })

/** The things of a kind as they were kept then, as they are kept now. */
export function withOneColour(kind: string, rows: Rows): Rows {
  if (kind === 'paletteValue' || kind === 'cueValue' || kind === 'handValue') return mergedValues(rows)
  return rows.map(([id, one]) => [id, kept(kind, one)])
}

function kept(kind: string, one: unknown): unknown {
  if (kind === 'fixtureType') return keptType(one)
  if (kind === 'fixtureMode') return keptMode(one)
  const listed = listing.safeParse(one).data
  const held = listed ? { ...listed, heldBack: withColourListed(listed.heldBack) } : one
  const known = usual.safeParse(held).data
  return known ? { ...known, usual: { ...known.usual, heldBack: withColourListed(known.usual.heldBack) } } : held
}

function keptType(one: unknown): unknown {
  const known = type.safeParse(one).data
  if (!known?.has.some(isSeparate)) return one
  const ranges = known.ranges?.filter(({ attribute }) => !isSeparate(attribute))
  const mixing = mixingOf(known.has)
  return { ...known, has: withColourListed(known.has), mixing, ...(ranges ? { ranges } : {}) }
}

const role = (does: unknown) => (isSeparate(does) ? `part:${PRIMARIES[does].name}` : does)
const functions = z.looseObject({ functions: z.array(z.looseObject({})) })
const bound = z.looseObject({ when: z.looseObject({ attribute: z.unknown() }) })

function keptMode(one: unknown): unknown {
  const known = channels.safeParse(one).data
  if (!known) return one
  return {
    ...known,
    channels: known.channels.map((channel) => {
      const several = functions.safeParse(channel).data
      if (!several) return { ...channel, does: role(channel.does) }
      return {
        ...several,
        functions: several.functions.map((does) => ({
          ...does,
          does: role(does.does),
          ...(isSeparate(bound.safeParse(does).data?.when.attribute) ? { when: null } : {}),
        })),
      }
    }),
  }
}

/** The id that things of the three attributes share, and which it is; null for any other. */
export function separateId(id: string): { readonly base: string; readonly attribute: Separate } | null {
  const at = id.lastIndexOf('.')
  const attribute = id.slice(at + 1)
  return at >= 0 && isSeparate(attribute) ? { base: id.slice(0, at), attribute } : null
}

function mergedValues(rows: Rows): Rows {
  const merged = new Map<string, unknown>()
  const separate = new Map<string, Partial<Record<Separate, unknown>>>()
  for (const [id, one] of rows) {
    const own = separateId(id)
    if (!own) merged.set(id, one)
    else separate.set(own.base, { ...separate.get(own.base), [own.attribute]: one })
  }
  for (const [base, three] of separate) merged.set(`${base}.colour`, oneThing(three))
  return [...merged]
}

const line = z.looseObject({ serves: z.unknown(), attribute: z.unknown(), value: z.unknown() })

/** Lines of a palette as they travel between shows, three of which may be one. */
export function withOneColourLine(lines: readonly unknown[]): unknown[] {
  const kept: unknown[] = []
  const separate = new Map<string, Partial<Record<Separate, unknown>>>()
  for (const one of lines) {
    const { attribute, serves, value } = line.safeParse(one).data ?? {}
    if (!isSeparate(attribute)) kept.push(one)
    else {
      const whom = JSON.stringify(serves)
      separate.set(whom, { ...separate.get(whom), [attribute]: value })
    }
  }
  for (const [whom, three] of separate)
    kept.push({ serves: JSON.parse(whom), attribute: 'colour', value: oneColour(three) })
  return kept
}

/** Things of the three attributes as one: its other fields are those of the first. */
export function oneThing(three: Partial<Record<Separate, unknown>>): unknown {
  const first = SEPARATE.flatMap((name) => three[name] ?? [])[0]
  const fieldOf = (read: (one: unknown) => unknown) =>
    Object.fromEntries(SEPARATE.flatMap((name) => (three[name] === undefined ? [] : [[name, read(three[name])]])))
  const value = oneColour(fieldOf((one) => valued.safeParse(one).data?.value))
  const arrives = arriving.safeParse(first).data
  const from = arrives && oneColour(fieldOf((one) => arriving.safeParse(one).data?.arrival.from))
  return {
    ...thing.parse(first),
    attribute: 'colour',
    value,
    ...(arrives ? { arrival: { ...arrives.arrival, from } } : {}),
  }
}
