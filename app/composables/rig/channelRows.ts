/** The channels of a mode as rows of a table: one for each thing a channel does. */
import { LISTED_ROLES, roleName, type ChannelRole } from '#core/attributes/channelRole'
import { isNumberAttribute } from '#core/attributes/attribute'
import { partsOf } from '#core/show/colours'
import type { Channel, FixtureType } from '#core/show/entities'
import { numberTyped } from '#core/show/numberTyped'
import { NOT_A_NUMBER } from '../forms/numbers'

export type ChannelFunction = Channel['functions'][number]

export interface ChannelRow {
  readonly id: string
  /** The channel in its mode, and the function in it, from 0. */
  readonly index: number
  readonly part: number
  readonly channel: Channel
  readonly does: ChannelFunction
}

export function channelRows(channels: readonly Channel[]): ChannelRow[] {
  return channels.flatMap((channel, index) =>
    channel.functions.map((does, part) => ({ id: `${index}.${part}`, index, part, channel, does })),
  )
}

/** What the channels of a type can drive: what it has by itself stands first. */
export function rolesFor(type: FixtureType): ChannelRole[] {
  const first: ChannelRole[] = ['pan', 'tilt', ...type.has.filter(isNumberAttribute), ...partsOf(type), 'other']
  return [...first, ...LISTED_ROLES.filter((role) => !first.includes(role))]
}

/** A channel with another function at a place. */
export function withFunction(channel: Channel, part: number, change: Partial<ChannelFunction>): Channel {
  return { ...channel, functions: channel.functions.map((one, i) => (i === part ? { ...one, ...change } : one)) }
}

const LEVELS = /^\s*(\d+)\s*(?:[–-]\s*(\d+)\s*)?$/
const ROLES = new Map<string, ChannelRole>(LISTED_ROLES.map((role) => [roleName(role), role]))

/** "6", "6 7" or nothing: where the finer bytes stand. */
function withFinerBytes(channel: Channel, text: string): Channel | string {
  const places =
    text.trim() === ''
      ? []
      : text
          .trim()
          .split(/[\s,]+/)
          .map(Number)
  if (places.length > 2 || places.some(Number.isNaN)) return 'Finer bytes are at most two channels, as 6 or 6 7.'
  const [fine = null, finest = null] = places
  return { ...channel, fine, finest }
}

/** Nothing for what drives the fixture as a whole. */
function withCell(channel: Channel, text: string): Channel | string {
  const whole = { ...channel }
  delete whole.cell
  if (text.trim() === '') return whole
  const cell = numberTyped(text)
  return cell === null || !Number.isInteger(cell) || cell < 1 ? 'A cell is a whole number from 1.' : { ...whole, cell }
}

/** A channel with what was typed in a column of one of its rows; else why not. `known` are roles beyond the catalogue. */
export function typedInto(
  { channel, part }: ChannelRow,
  column: string,
  text: string,
  known: readonly ChannelRole[],
): Channel | string {
  if (column === 'name') return part === 0 ? { ...channel, name: text } : withFunction(channel, part, { name: text })
  if (column === 'does') {
    const role = ROLES.get(text) ?? known.find((one) => roleName(one) === text)
    return role ? withFunction(channel, part, { does: role }) : 'There is nothing of that name to drive.'
  }
  if (column === 'levels') {
    const [, first, last = first] = LEVELS.exec(text) ?? []
    if (first === undefined) return 'Levels are two whole numbers from 0 to 255, as 21–127.'
    return withFunction(channel, part, { first: Number(first), last: Number(last) })
  }
  if (column === 'fine') return withFinerBytes(channel, text)
  if (column === 'cell') return withCell(channel, text)
  const value = numberTyped(text)
  if (value === null) return NOT_A_NUMBER
  return column === 'from' || column === 'to'
    ? withFunction(channel, part, { [column]: value })
    : { ...channel, [column]: value }
}
