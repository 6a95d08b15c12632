/** What fixtures make of colours: which parts do what, what it looks like then, and how far that is off. */
import { LEADING } from '../attributes/catalogue'
import {
  colourBetween as blended,
  colourDifference,
  colourOfHex,
  WHITE,
  type Chromaticity,
  type Colour,
} from '../colour/colour'
import { gamutOutline, lookOfEmitters, mixEmitters } from '../colour/emitters'
import { insertFlags, lookOfFlags } from '../colour/flags'
import { nearestSlot } from '../colour/nearestSlot'
import { colourPart, type ColourPart } from '../attributes/colourPart'
import type { FixtureType, Wheel } from './entities'
import type { COLOUR_FADES } from './entities'
import type { PlainColour } from './values'

/** A colour as a type makes it. */
export interface MadeColour {
  /** Of what mixes it. */
  readonly parts: ReadonlyMap<ColourPart, number>
  /** The slot of its colour wheel, for a type that mixes nothing; null where the wheel has no say. */
  readonly slot: number | null
  readonly look: Colour
  /** How far the look is off what was asked for, ΔE 2000; 0 where parts were asked for. */
  readonly difference: number
}

/** Everything a type can mix its colour of, in its own order. */
export function partsOf({ mixing }: FixtureType): readonly ColourPart[] {
  if (!mixing) return NO_PARTS
  const known = parts.get(mixing) ?? mixing.parts.map(({ name }) => colourPart(name) ?? 'part:Other')
  parts.set(mixing, known)
  return known
}
const NO_PARTS: readonly ColourPart[] = []
const parts = new WeakMap<NonNullable<FixtureType['mixing']>, readonly ColourPart[]>()

/** The first colour wheel of a type. */
export function colourWheelOf(type: FixtureType): Wheel | null {
  return type.wheels.find(({ kind }) => kind === 'colour') ?? null
}

const slotColours = new WeakMap<Wheel, (Colour | null)[]>()

/** What the slots of a wheel look like, in front of white light. */
export function coloursOf(wheel: Wheel): readonly (Colour | null)[] {
  const known =
    slotColours.get(wheel) ?? wheel.slots.map(({ colour }) => (colour === null ? null : colourOfHex(colour)))
  slotColours.set(wheel, known)
  return known
}

const OUT: MadeColour = { parts: new Map(), slot: null, look: WHITE, difference: 0 }

/** What a type is while nothing sets its colour: flags out, emitters white. */
export function restColour({ mixing }: FixtureType): PlainColour {
  return mixing?.kind === 'flags' ? FLAGS_OUT : PLAIN_WHITE
}
const FLAGS_OUT: PlainColour = { kind: 'parts', parts: {} }
const PLAIN_WHITE: PlainColour = { kind: 'colour', ...WHITE }

/** How far each part is that mixes a type's colour while nothing sets it. */
export function restParts(type: FixtureType): ReadonlyMap<ColourPart, number> {
  const resting = atRest.get(type) ?? madeColour(type, restColour(type)).parts
  atRest.set(type, resting)
  return resting
}
const atRest = new WeakMap<FixtureType, ReadonlyMap<ColourPart, number>>()

interface AskedColour {
  readonly asked: PlainColour
  readonly made: MadeColour
}
/** Made colours by what was asked for, some hundreds of each type: many fixtures ask for the same, each several times on end. */
interface Made {
  last: AskedColour | null
  readonly alike: Map<number | string, AskedColour>
}
const known = new WeakMap<FixtureType, Made>()
const MOST_KEPT = 512

/** A colour as a type makes it. */
export function madeColour(type: FixtureType, asked: PlainColour): MadeColour {
  const ofType = known.get(type) ?? { last: null, alike: new Map() }
  if (ofType.last?.asked === asked) return ofType.last.made
  known.set(type, ofType)
  const made = madeAlike(type, asked, ofType.alike)
  ofType.last = { asked, made }
  return made
}

function madeAlike(type: FixtureType, asked: PlainColour, alike: Made['alike']): MadeColour {
  const key = keyOf(asked)
  const found = alike.get(key)
  if (found && isSameColour(found.asked, asked)) return found.made
  if (alike.size >= MOST_KEPT) alike.clear()
  const fresh = asked.kind === 'colour' ? mixedFor(type, asked) : ofParts(type, asked)
  alike.set(key, { asked, made: fresh })
  return fresh
}

/** Where a colour is looked for: a number, since hundreds of texts a frame would be too many. Others may have the same. */
const keyOf = (asked: PlainColour) =>
  asked.kind === 'colour' ? asked.x + 8 * asked.y + 64 * asked.level : JSON.stringify(asked.parts)

function isSameColour(a: PlainColour, b: PlainColour): boolean {
  if (a.kind !== 'colour' || b.kind !== 'colour') return a.kind === b.kind
  return a.x === b.x && a.y === b.y && a.level === b.level
}

function mixedFor(type: FixtureType, { x, y, level }: Colour): MadeColour {
  const wanted = { x, y, level }
  const { mixing } = type
  if (!mixing) return ofWheel(type, wanted)
  const { levels, made: look } =
    mixing.kind === 'emitters'
      ? mixEmitters(mixing.parts, wanted, mixing.choice)
      : insertFlags(mixing.parts, mixing.source, wanted)
  const parts = new Map(partsOf(type).map((part, i) => [part, levels[i] ?? 0]))
  // Hundreds of colours are mixed every frame; how far each is off is asked for when it is shown.
  return {
    parts,
    slot: null,
    look,
    get difference() {
      return colourDifference(wanted, look)
    },
  }
}

function ofWheel(type: FixtureType, wanted: Colour): MadeColour {
  const wheel = colourWheelOf(type)
  const colours = wheel ? coloursOf(wheel) : []
  const nearest = nearestSlot(colours, wanted)
  const look = nearest && colours[nearest.slot]
  return nearest && look ? { ...OUT, ...nearest, look } : OUT
}

function ofParts(type: FixtureType, asked: Extract<PlainColour, { kind: 'parts' }>): MadeColour {
  const { mixing } = type
  const ids = partsOf(type)
  if (!mixing || !ids.some((part) => part in asked.parts)) {
    const rest = restColour(type)
    if (rest.kind === 'colour') return mixing ? mixedFor(type, rest) : OUT
  }
  const parts = new Map(ids.map((part) => [part, asked.parts[part] ?? 0]))
  const levels = [...parts.values()]
  const look =
    mixing?.kind === 'flags'
      ? lookOfFlags(mixing.parts, mixing.source, levels)
      : lookOfEmitters(mixing?.parts ?? [], levels)
  return { parts, slot: null, look, difference: 0 }
}

/** The slot a colour wheel stands at: the one it is set to; open, that of a colour where nothing else mixes it. */
export function slotShown(type: FixtureType, colour: PlainColour, slot: number): number {
  return slot !== 0 || type.mixing || !type.has.includes(LEADING.colour) ? slot : (madeColour(type, colour).slot ?? 0)
}

/** The outline of what a type can make, CIE 1931: corners of its emitters, of what its flags mix, of its slots. */
export function gamutOf(type: FixtureType): readonly Chromaticity[] {
  const known = gamuts.get(type) ?? gamutOutline(cornersOf(type))
  gamuts.set(type, known)
  return known
}
const gamuts = new WeakMap<FixtureType, readonly Chromaticity[]>()

function cornersOf(type: FixtureType): readonly Chromaticity[] {
  const { mixing } = type
  if (mixing?.kind === 'emitters') return mixing.parts
  const wheel = colourWheelOf(type)
  if (!mixing) return wheel ? coloursOf(wheel).filter((colour) => colour !== null) : []
  // Flags mix no straight lines: what all of them in steps look like is the outline's source.
  const steps = mixing.parts.reduce<number[][]>(
    (all) => all.flatMap((levels) => FLAG_STEPS.map((step) => [...levels, step])),
    [[]],
  )
  return steps.filter((levels) => levels.includes(0)).map((levels) => lookOfFlags(mixing.parts, mixing.source, levels))
}
const FLAG_STEPS = [0, 0.25, 0.5, 0.75, 0.9, 1]

/** A colour as what it looks like, which any type can have. */
export function lookOf(type: FixtureType, colour: PlainColour): PlainColour {
  return colour.kind === 'colour' ? colour : { kind: 'colour', ...madeColour(type, colour).look }
}

/** Between two colours: as the eye has equal steps, or every part in step. */
export type ColourFade = (typeof COLOUR_FADES)[number]

/** A colour of a type part of the way from one to another, `t` from 0 to 1. */
export function colourBetween(
  type: FixtureType,
  from: PlainColour,
  to: PlainColour,
  t: number,
  fade: ColourFade,
): PlainColour {
  if (t <= 0) return from
  // A wheel goes over at once, as its slots do.
  if (t >= 1 || !type.mixing) return to
  const [a, b] = [madeColour(type, from), madeColour(type, to)]
  if (fade === 'by parts') {
    const parts = [...a.parts].map(([part, level]) => [part, level + ((b.parts.get(part) ?? 0) - level) * t])
    return { kind: 'parts', parts: Object.fromEntries(parts) }
  }
  const ends = [from.kind === 'colour' ? from : a.look, to.kind === 'colour' ? to : b.look] as const
  return { kind: 'colour', ...blended(ends[0], ends[1], t) }
}
