/** Laying out the channels of a mode. */
import type { Channel } from '../show/entities'
import { footprint } from './span'

/** One after the other in the order they stand, coarse before fine. */
export function laidOutChannels(channels: readonly Channel[]): Channel[] {
  let next = 1
  return channels.map((channel) => {
    const coarse = next++
    return { ...channel, coarse, fine: channel.fine === null ? null : next++ }
  })
}

/** A channel that comes after some, and drives nothing yet. */
export function channelAfter(channels: readonly Channel[]): Channel {
  const last = channels.length === 0 ? 0 : footprint({ channels: [...channels] })
  return { name: 'New channel', does: 'other', coarse: last + 1, fine: null, from: 0, to: 1, rest: 0 }
}
