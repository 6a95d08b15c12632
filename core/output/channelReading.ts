/** What levels on the channels of a mode mean, and the light they make. */
import { LEADING } from '../attributes/catalogue'
import { isNumberAttribute, kindOf, type NumberAttribute } from '../attributes/attribute'
import { isColourPart, type ColourPart } from '../attributes/colourPart'
import { roleName, type ChannelRole } from '../attributes/channelRole'
import { mixedColour, type ScreenColour } from '../cues/shownColour'
import { beamLook, type BeamLook } from '../palettes/beamLook'
import { amountInWords } from '../show/amountInWords'
import { rangeOf } from '../show/attributeRange'
import { restColour } from '../show/colours'
import type { Channel, FixtureType } from '../show/entities'
import { amountsSeen } from '../show/lightShape'
import { numberOf, type Amount, type PlainColour } from '../show/values'
import { channelLevel, levelsOf, meaningOf } from './channelFunction'
import { restSource } from './restSource'

/** The levels of the channels of a mode while nothing is set but how bright it is, 0 to 1. */
export function levelsAtRest(type: FixtureType, channels: readonly Channel[], intensity: number): number[] {
  const source = restSource(type, intensity)
  return channels.map((channel) => channelLevel(channel, source, channel.rest, intensity))
}

/** The highest level of a channel. */
export const highestLevel = (channel: Channel) => levelsOf(channel) - 1

/** What levels mean by role, channel by channel in their order; a channel that follows another stands as that does. */
export function readChannels(
  channels: readonly Channel[],
  levels: readonly number[],
): ReadonlyMap<Exclude<ChannelRole, 'other'>, Amount> {
  const read = new Map<Exclude<ChannelRole, 'other'>, Amount>()
  for (const [i, channel] of channels.entries()) {
    if (channel.follows !== null) continue
    const meaning = meaningOf(channel, levels[i] ?? 0)
    if (!meaning || meaning.by.does === 'other') continue
    read.set(meaning.by.does, meaning.amount)
    const { when } = meaning.by
    if (when) read.set(when.attribute, { kind: 'number', number: when.number })
  }
  return read
}

/** What a level of a channel means: "strobe 4.0 Hz", "tilt -20.0°", "Shaking: gobo shake 2.0 Hz". */
export function levelInWords(type: FixtureType, channel: Channel, level: number): string {
  if (channel.follows !== null) return `as ${channel.follows}`
  const meaning = meaningOf(channel, level)
  if (!meaning) return 'nothing'
  const { by, amount } = meaning
  const own = by.name === channel.name ? '' : by.name
  if (by.does === 'other') return own || channel.name
  const said = `${roleName(by.does)} ${amountOfRole(type, by.does, amount)}`
  return own ? `${own}: ${said}` : said
}

function amountOfRole(type: FixtureType, role: Exclude<ChannelRole, 'other'>, amount: Amount): string {
  if (amount.kind === 'spin') return `${amount.rpm.toFixed(1)} rpm`
  if (role === 'pan' || role === 'tilt') return `${amount.number.toFixed(1)}°`
  if (isColourPart(role)) return `${Math.round(amount.number * 100)} %`
  const isSlot = kindOf(role).unit === 'slot'
  return amountInWords(isSlot ? { kind: 'number', number: Math.round(amount.number) } : amount, role, type)
}

/** The light of a fixture by itself. */
export interface ChannelLight {
  /** Degrees. */
  readonly pan: number
  readonly tilt: number
  readonly beam: BeamLook | null
  readonly colour: ScreenColour
}

/** The light that levels on the channels of a mode make. */
export function channelLight(type: FixtureType, channels: readonly Channel[], levels: readonly number[]): ChannelLight {
  const read = readChannels(channels, levels)
  const at = (role: 'pan' | 'tilt') => numberOf(read.get(role) ?? { kind: 'number', number: 0 })
  const amountOf = (attribute: NumberAttribute): Amount => {
    const amount = read.get(attribute) ?? { kind: 'number', number: rangeOf(type, attribute).home }
    const isWhole = rangeOf(type, attribute).unit === 'slot' && amount.kind === 'number'
    return isWhole ? { kind: 'number', number: Math.round(amount.number) } : amount
  }
  const values = type.has.filter(isNumberAttribute).map((attribute) => ({ attribute, value: amountOf(attribute) }))
  const slot = type.has.includes(LEADING.glass) ? numberOf(amountOf(LEADING.glass)) : 0
  return {
    pan: at('pan'),
    tilt: at('tilt'),
    beam: beamLook(type, values),
    colour: mixedColour(type, { colour: colourOf(type, read), slot, amounts: amountsSeen(type, amountOf) }),
  }
}

/** The light that one cell of a type makes, from 1: by its own channels and those of the fixture as a whole. */
export function cellLight(
  type: FixtureType,
  channels: readonly Channel[],
  levels: readonly number[],
  cell: number,
): ChannelLight {
  const own = channels
    .map((channel, i) => ({ channel, level: levels[i] ?? 0 }))
    .filter(({ channel }) => channel.cell === undefined || channel.cell === cell)
  return channelLight(
    type,
    own.map(({ channel }) => channel),
    own.map(({ level }) => level),
  )
}

function colourOf(type: FixtureType, read: ReadonlyMap<ChannelRole, Amount>): PlainColour {
  const parts: Record<ColourPart, number> = {}
  for (const [role, amount] of read) if (isColourPart(role)) parts[role] = numberOf(amount)
  return Object.keys(parts).length > 0 ? { kind: 'parts', parts } : restColour(type)
}
