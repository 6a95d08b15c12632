/** Whether a mode can drive its type: no two channels in one place, none that is needed left out. */
import { LEADING } from '../attributes/catalogue'
import { isNumberAttribute } from '../attributes/attribute'
import { canSpin, roleName, type ChannelRole } from '../attributes/channelRole'
import type { Channel, FixtureType } from '../show/entities'
import { typeAsWhole, typeOfCell } from '../show/cells'
import { partsOf } from '../show/colours'
import { channelsFor, placesOf } from './span'

export interface ModeFault {
  /** The channel it is about, by its place in the list; null for the mode as a whole. */
  readonly row: number | null
  /** The function of it, where it is about one. */
  readonly part: number | null
  readonly message: string
  readonly severity: 'wrong' | 'look'
}

type ChannelFunction = Channel['functions'][number]
type Say = (message: string, severity: ModeFault['severity'], part?: number) => void

/** Everything wrong with a mode's channels for a type, in the order of its rows. */
export function modeFaults(type: FixtureType, channels: readonly Channel[]): ModeFault[] {
  return [
    ...channels.flatMap((channel, row) => channelFaults(type, channels, channel, row)),
    ...missing(type, channels),
  ]
}

function channelFaults(type: FixtureType, channels: readonly Channel[], channel: Channel, row: number): ModeFault[] {
  const faults: ModeFault[] = []
  const say: Say = (message, severity, part) => faults.push({ row, part: part ?? null, message, severity })
  checkPlaces(channels, channel, row, say)
  checkRest(channel, say)
  const beside = channelsFor(channels, channel.cell ?? null)
  if (channel.follows !== null && !beside.some((other) => other !== channel && other.name === channel.follows))
    say(`follows ${channel.follows}, which no other channel of ${channel.cell ? 'its cell' : 'it'} is called`, 'wrong')
  if (channel.cell !== undefined && channel.cell > (type.cells?.count ?? 0))
    say(`is for cell ${channel.cell}, but there ${type.cells ? `are ${type.cells.count}` : 'are none'}`, 'wrong')
  for (const [part, one] of channel.functions.entries()) {
    checkFunction(type, channel, one, part, say)
    if (channel.follows === null) checkTwins(channels, channel, one, row, part, say)
  }
  return faults
}

function checkPlaces(channels: readonly Channel[], channel: Channel, row: number, say: Say): void {
  const places = placesOf(channel)
  for (const place of new Set(places)) {
    const other = channels.find((earlier, i) => i < row && placesOf(earlier).includes(place))
    if (other) say(`channel ${place} is taken by ${other.name} already`, 'wrong')
    if (places.filter((one) => one === place).length > 1) say(`two of its bytes are on channel ${place}`, 'wrong')
  }
  if (channel.fine === null && channel.finest !== null) say('has a finest byte without a fine one', 'wrong')
}

function checkRest({ functions: [first], rest }: Channel, say: Say): void {
  if (!first || first.from === first.to) return
  if (rest < Math.min(first.from, first.to) || rest > Math.max(first.from, first.to))
    say(`rests at ${rest}, outside its own range of ${first.from} to ${first.to}`, 'wrong')
}

/** An axis turns on the whole channel; nothing of it may be left over. */
function checkFunction(type: FixtureType, channel: Channel, one: ChannelFunction, part: number, say: Say): void {
  const other = channel.functions.find(
    (earlier, i) => i < part && earlier.first <= one.last && one.first <= earlier.last,
  )
  if (other && one.when === null && other.when === null)
    say(`levels ${one.first} to ${one.last} overlap ${other.first} to ${other.last}`, 'wrong', part)
  const axis = one.does === 'pan' || one.does === 'tilt' ? type[one.does] : null
  if (axis) return checkAxis(axis, channel, one, part, say)
  if (one.from === one.to && channel.functions.length === 1)
    say(`runs from ${one.from} to ${one.to}, so it can say one thing only`, 'wrong', part)
  if (one.spins && !canSpin(one.does)) say(`${roleName(one.does)} cannot spin`, 'wrong', part)
}

function checkAxis(axis: FixtureType['pan'], channel: Channel, one: ChannelFunction, part: number, say: Say): void {
  if (one.from === one.to) return say(`runs from ${one.from} to ${one.to}, so it can say one thing only`, 'wrong', part)
  if (Math.min(one.from, one.to) !== axis.min || Math.max(one.from, one.to) !== axis.max)
    say(
      `runs from ${one.from}° to ${one.to}°, but the ${one.does} stops are ${axis.min}° and ${axis.max}°`,
      'look',
      part,
    )
  if (axis.reversed !== one.from > one.to)
    say(
      axis.reversed ? 'runs upwards, but the axis is reversed' : 'runs downwards, but the axis is not reversed',
      'look',
      part,
    )
  if (channel.fine === null) say(`has 8 bit: one step is ${((axis.max - axis.min) / 255).toFixed(2)}°`, 'look', part)
}

/** Two channels that drive the same on their own would fight; one may follow the other. */
function checkTwins(
  channels: readonly Channel[],
  { cell }: Channel,
  { does }: ChannelFunction,
  row: number,
  part: number,
  say: Say,
): void {
  if (does === 'other') return
  const twin = channels.find(
    (other, i) =>
      i < row && other.cell === cell && other.follows === null && other.functions.some((one) => one.does === does),
  )
  if (twin) say(`${roleName(does)} is driven by ${twin.name} already; let this one follow it`, 'wrong', part)
}

/** What the type can do that no channel drives; of cells that are alike the first is told. */
function missing(type: FixtureType, channels: readonly Channel[]): ModeFault[] {
  const [ofCell] = Array.from({ length: type.cells?.count ?? 0 }, (_, i) =>
    missingOf(typeOfCell(type), channelsFor(channels, i + 1), ` of cell ${i + 1}`),
  ).filter((faults) => faults.length > 0)
  return [...missingOf(typeAsWhole(type), channelsFor(channels, null), ''), ...(ofCell ?? [])]
}

function missingOf(type: FixtureType, channels: readonly Channel[], whose: string): ModeFault[] {
  const there = new Set(channels.flatMap(({ functions }) => functions.map(({ does }) => does)))
  const isDimmed = channels.some(({ dims }) => dims)
  const parts = type.has.includes(LEADING.colour) ? partsOf(type) : []
  const axes: ChannelRole[] = type.has.includes(LEADING.place) ? ['pan', 'tilt'] : []
  const needed: ChannelRole[] = [...axes, ...type.has.filter(isNumberAttribute), ...parts]
  return needed
    .filter((role) => !there.has(role) && !(role === LEADING.light && isDimmed))
    .map((role) => ({
      row: null,
      part: null,
      message: `no channel for ${roleName(role)}${whose}`,
      severity: role === 'pan' || role === 'tilt' || role === LEADING.light ? 'wrong' : 'look',
    }))
}
