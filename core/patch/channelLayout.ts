/** Laying out the channels of a mode. */
import { plainChannel, type Channel } from '../show/entities'
import { footprint } from './span'

/** One after the other in the order they stand, coarse before fine. */
export function laidOutChannels(channels: readonly Channel[]): Channel[] {
  let next = 1
  return channels.map((channel) => ({
    ...channel,
    coarse: next++,
    fine: channel.fine === null ? null : next++,
    finest: channel.fine === null || channel.finest === null ? null : next++,
  }))
}

/** A channel that comes after some, and drives nothing yet. */
export function channelAfter(channels: readonly Channel[]): Channel {
  const last = channels.length === 0 ? 0 : footprint({ channels: [...channels] })
  return plainChannel({ name: 'New channel', does: 'other', coarse: last + 1, fine: null, from: 0, to: 1, rest: 0 })
}

/** Channels without those for cells, and those for the first cell once for each of `count`. */
export function repeatedForCells(channels: readonly Channel[], count: number): Channel[] {
  const first = channels.filter(({ cell }) => cell === 1)
  const named = (name: string, cell: number) => `${name.replace(/ 1$/, '')} ${cell}`
  const ofCell = (cell: number) =>
    first.map((channel) => ({
      ...channel,
      name: named(channel.name, cell),
      cell,
      follows: channel.follows === null ? null : named(channel.follows, cell),
    }))
  const whole = channels.filter(({ cell }) => cell === undefined)
  return laidOutChannels([...whole, ...Array.from({ length: count }, (_, i) => ofCell(i + 1)).flat()])
}

/** A function over the levels that the functions of a channel leave free at its end; null where they leave none. */
export function functionAfter({ functions }: Channel): Channel['functions'][number] | null {
  const first = Math.max(...functions.map(({ last }) => last)) + 1
  return first > 255 ? null : { name: '', does: 'other', first, last: 255, from: 0, to: 1, spins: false, when: null }
}
