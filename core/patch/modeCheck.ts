/** Whether a mode can drive its type: no two channels in one place, none that is needed left out. */
import type { Channel, FixtureType } from '../show/entities'
import type { ChannelRole } from '../show/families'

export interface ModeFault {
  /** The row it is about; null for the mode as a whole. */
  readonly row: number | null
  readonly message: string
  readonly severity: 'wrong' | 'look'
}

const ROLE_NAMES: Readonly<Partial<Record<ChannelRole, string>>> = {
  colourWheel: 'the colour wheel',
  gobo2: 'the second gobo wheel',
  gobo: 'the gobo wheel',
  shutterTop: 'the top shutter',
  shutterRight: 'the right shutter',
  shutterBottom: 'the bottom shutter',
  shutterLeft: 'the left shutter',
}

export function roleInWords(role: ChannelRole): string {
  return ROLE_NAMES[role] ?? role
}

/** Everything wrong with a mode's channels for a type, in the order of its rows. */
export function modeFaults(type: FixtureType, channels: readonly Channel[]): ModeFault[] {
  return [...channels.flatMap((channel, row) => rowFaults(type, channels, channel, row)), ...missing(type, channels)]
}

function rowFaults(type: FixtureType, channels: readonly Channel[], channel: Channel, row: number): ModeFault[] {
  const faults: ModeFault[] = []
  const wrong = (message: string) => faults.push({ row, message, severity: 'wrong' })
  const look = (message: string) => faults.push({ row, message, severity: 'look' })
  for (const place of placesOf(channel)) {
    const other = channels.find((earlier, i) => i < row && placesOf(earlier).includes(place))
    if (other) wrong(`channel ${place} is taken by ${other.name} already`)
  }
  if (channel.coarse === channel.fine) wrong(`coarse and fine are both on channel ${channel.coarse}`)
  if (channel.from === channel.to) wrong(`runs from ${channel.from} to ${channel.to}, so it can say one thing only`)
  else if (channel.rest < Math.min(channel.from, channel.to) || channel.rest > Math.max(channel.from, channel.to))
    wrong(`rests at ${channel.rest}, outside its own range of ${channel.from} to ${channel.to}`)
  const twin = channels.findIndex((earlier) => earlier.does === channel.does)
  if (channel.does !== 'other' && twin < row) wrong(`${roleInWords(channel.does)} stands on another row already`)
  const axis = channel.does === 'pan' ? type.pan : channel.does === 'tilt' ? type.tilt : null
  if (axis && (Math.min(channel.from, channel.to) !== axis.min || Math.max(channel.from, channel.to) !== axis.max))
    look(
      `runs from ${channel.from}° to ${channel.to}°, but the ${channel.does} stops are ${axis.min}° and ${axis.max}°`,
    )
  if (axis && axis.reversed !== channel.from > channel.to)
    look(`${axis.reversed ? 'runs upwards, but the axis is reversed' : 'runs downwards, but the axis is not reversed'}`)
  if (axis && channel.fine === null) look(`has 8 bit: one step is ${((axis.max - axis.min) / 255).toFixed(2)}°`)
  return faults
}

function placesOf({ coarse, fine }: Channel): number[] {
  return fine === null || fine === coarse ? [coarse] : [coarse, fine]
}

/** What the type can do that no channel drives. */
function missing(type: FixtureType, channels: readonly Channel[]): ModeFault[] {
  const there = new Set(channels.map(({ does }) => does))
  const needed: ChannelRole[] = ['pan', 'tilt', ...type.has.flatMap((a) => (a === 'position' ? [] : [a]))]
  return needed
    .filter((role) => !there.has(role))
    .map((role) => ({
      row: null,
      message: `no channel for ${roleInWords(role)}`,
      severity: role === 'pan' || role === 'tilt' || role === 'intensity' ? 'wrong' : 'look',
    }))
}
