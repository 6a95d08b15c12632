/** Channels as they are written, as the channels of a mode here. */
import { attributeName, extraAttribute, kindOf } from '../../attributes/attribute'
import type { ChannelRole } from '../../attributes/channelRole'
import { colourPart, isColourPart } from '../../attributes/colourPart'
import type { Channel } from '../../show/entities'
import { neatest } from './neatest'
import type { Notes } from '../notes'
import type { ReadChannel, ReadFunction, ReadSet } from './readChannels'
import type { rolesOf } from './standardAttributes'
import { familyOfFeature, partOfStandard } from './standardAttributes'
import type { HeadGeometry } from './headGeometry'

type ChannelFunction = Channel['functions'][number]

/** What a type says of attributes it names itself: what they are called, and their feature. */
export type Definitions = ReadonlyMap<string, { readonly pretty: string; readonly feature: string }>

/** What the channels of a type are read with. */
export interface ChannelContext {
  readonly geometry: HeadGeometry
  readonly definitions: Definitions
  /** The names of mixing parts, by their attribute of the standard. */
  readonly partNames: ReadonlyMap<string, string>
  readonly roleOf: ReturnType<typeof rolesOf>
  /** The cell a part is, from 1; undefined for what drives the fixture as a whole. */
  readonly cellOf: (part: string) => number | undefined
  readonly notes: Notes
}

/** What a channel function does here; `opens` is a shutter, which is a strobe that stands still while it is open. */
export type Meaning = { readonly role: ChannelRole; readonly turns: boolean; readonly opens?: true }

export function meaningOf({ attribute }: ReadFunction, { roleOf, definitions, partNames }: ChannelContext): Meaning {
  const known = roleOf(attribute)
  if (known) return known
  if (/^Shutter\d$/.test(attribute)) return { role: 'other', turns: false, opens: true }
  if (partOfStandard(attribute)) {
    const part = colourPart(partNames.get(attribute) ?? attribute)
    return { role: part ?? 'other', turns: false }
  }
  const said = definitions.get(attribute)
  const family = said && attribute.startsWith('Own_') ? familyOfFeature(said.feature) : null
  const extra = family && said ? extraAttribute(family, said.pretty) : null
  return { role: extra ?? 'other', turns: false }
}

/** One channel as it stands in a mode. */
export function channelFrom(read: ReadChannel, context: ChannelContext): Channel {
  const meanings = read.functions.map((one) => meaningOf(one, context))
  const functions = read.functions.flatMap((one, i) => functionsFrom(one, meanings[i] ?? OTHER, context))
  const first = functions[0]
  const initial = read.functions[read.initial] ?? read.functions[0]
  const leading = Math.max(
    0,
    meanings.findIndex(({ role }) => role !== 'other'),
  )
  const name = nameOf(read.functions[leading], read.coarse, meanings[leading] ?? OTHER)
  const cell = context.cellOf(read.part)
  return {
    name,
    coarse: read.coarse,
    fine: read.fine,
    finest: read.finest,
    functions: functions.map((one) => (one.name === name ? { ...one, name: '' } : one)),
    rest: first && initial ? restIn(first, initial, meanings[read.initial] ?? OTHER, context) : 0,
    highlight: first && read.highlight !== null ? first.from + (first.to - first.from) * read.highlight : null,
    curve: 'even',
    dims: read.dims,
    snaps: read.snaps,
    follows: null,
    ...(cell === undefined ? {} : { cell }),
  }
}
const OTHER: Meaning = { role: 'other', turns: false }

/** The name a person gave the first function that drives something, else that of what it does. */
function nameOf(one: ReadFunction | undefined, coarse: number, { role }: Meaning): string {
  const { name = '', attribute = '' } = one ?? {}
  const isGeneric = name === '' || name === attribute || (name.startsWith(attribute) && / \d+$/.test(name))
  if (!isGeneric) return name.slice(0, 120)
  const plain = role === 'other' || role === 'pan' || role === 'tilt' ? attribute : ownName(role)
  return (plain || `Channel ${coarse}`).replace(/^./, (letter) => letter.toUpperCase())
}

const ownName = (role: Exclude<ChannelRole, 'other' | 'pan' | 'tilt'>) =>
  isColourPart(role) ? role.slice('part:'.length).replaceAll('_', ' ') : attributeName(role)

/** What rests outside its first function rests at that one's lowest level. */
function restIn(first: ChannelFunction, initial: ReadFunction, meaning: Meaning, context: ChannelContext): number {
  if (first.does !== meaning.role || first.first !== initial.first || isColourPart(first.does)) return first.from
  const rest = neatest(
    numberHere(initial.rest, initial, meaning, context),
    Math.abs(first.to - first.from) * initial.step,
  )
  return Math.min(Math.max(first.from, first.to), Math.max(Math.min(first.from, first.to), rest))
}

/** A number of the file in the unit of what it does here. */
export function numberHere(
  number: number,
  one: ReadFunction,
  { role, turns }: Meaning,
  { geometry }: ChannelContext,
): number {
  if (role === 'pan' || role === 'tilt') return tidy(geometry[role].sign * number + geometry[role].zero)
  if (role === 'other') return number
  if (turns || (!isColourPart(role) && kindOf(role).unit === 'rpm')) return tidy(number / DEGREES_A_SECOND)
  if (isColourPart(role) || kindOf(role).unit === 'level') return levelHere(number, one, role === 'tint')
  return number
}
/** One turn a minute, in degrees a second. */
const DEGREES_A_SECOND = 6
const tidy = (number: number) => Math.round(number * 1e8) / 1e8

/** Levels run from 0 to 1 here, whichever unit the file has them in. */
function levelHere(number: number, { from, to }: ReadFunction, both: boolean): number {
  const [low, high] = [Math.min(from, to), Math.max(from, to)]
  if (low >= (both ? -1 : 0) && high <= 1) return number
  return high === low ? 0 : (number - low) / (high - low)
}

function functionsFrom(one: ReadFunction, meaning: Meaning, context: ChannelContext): ChannelFunction[] {
  const { role, turns } = meaning
  if (meaning.opens) return shutterFrom(one)
  const plain = (first: number, last: number, from: number, to: number, name: string): ChannelFunction => ({
    name: name.slice(0, 120),
    does: role,
    first,
    last,
    from: numberHere(from, one, meaning, context),
    to: numberHere(to, one, meaning, context),
    spins: turns,
    when: null,
  })
  if (role === 'other') return [plain(one.first, one.last, one.from, one.to, one.name)]
  const slots = one.sets.filter(({ slot }) => slot !== null)
  if (!isColourPart(role) && role !== 'pan' && role !== 'tilt' && slots.length > 0) {
    if (kindOf(role).unit === 'slot') return slotsFrom(one, slots, role)
    if (kindOf(role).of === 'gobo') return shakesFrom(one, slots, role)
  }
  return [plain(one.first, one.last, one.from, one.to, one.name)]
}

/** A wheel: one function for all its slots where they lie in even steps, else one for each. */
function slotsFrom(one: ReadFunction, slots: readonly ReadSet[], does: ChannelRole): ChannelFunction[] {
  const make = (first: number, last: number, from: number, to: number, name: string): ChannelFunction => ({
    name,
    does,
    first,
    last,
    from,
    to,
    spins: false,
    when: null,
  })
  if (inEvenSteps(one, slots)) return [make(one.first, one.last, one.from, one.to, one.name)]
  return slots.map(({ name, first, last, slot }) => make(first, last, slot ?? 0, slot ?? 0, name))
}

/** Whether its levels, rounded to the nearest slot, are its sets: then the function says it all. */
function inEvenSteps({ first, last, from, to }: ReadFunction, slots: readonly ReadSet[]): boolean {
  if (from === to || !Number.isInteger(from) || !Number.isInteger(to)) return false
  return slots.every((set) => {
    const at = (level: number) => Math.round(from + ((to - from) * (level - first)) / Math.max(1, last - first))
    return at(set.first) === set.slot && at(set.last) === set.slot
  })
}

/** What shakes a gobo counts while that gobo is in. */
function shakesFrom(one: ReadFunction, slots: readonly ReadSet[], does: ChannelRole): ChannelFunction[] {
  const nth = /^\w+?(\d?)$/.exec(does)?.[1] ?? ''
  const gobo = nth === '2' ? 'gobo2' : nth === '3' ? 'gobo3' : nth === '4' ? 'gobo4' : 'gobo'
  return slots.map(({ name, first, last, slot, from, to }) => ({
    name,
    does,
    first,
    last,
    from: from ?? one.from,
    to: to ?? one.to,
    spins: false,
    when: { attribute: gobo, number: slot ?? 0 },
  }))
}

/** A shutter that is open is a strobe that stands still; closed, something of its own. */
function shutterFrom(one: ReadFunction): ChannelFunction[] {
  const make = (first: number, last: number, open: boolean, name: string): ChannelFunction =>
    open
      ? { name, does: 'strobe', first, last, from: 0, to: 0, spins: false, when: null }
      : { name, does: 'other', first, last, from: 0, to: 1, spins: false, when: null }
  if (one.sets.length === 0) return [make(one.first, one.last, one.to > 0 || /open/i.test(one.name), one.name)]
  return one.sets.map(({ name, first, last, from, to }) =>
    make(first, last, /open/i.test(name) || (!/clos/i.test(name) && (from ?? 0) === 1 && (to ?? 0) === 1), name),
  )
}
