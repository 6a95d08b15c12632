import { expect, it } from 'vitest'
import { OSTREL_TYPES } from '#demo/types'
import { channelAfter, laidOutChannels } from './channelLayout'
import { footprint } from './span'

it('lays channels out without a gap, in their order, and puts a new one after the last', () => {
  for (const { modes } of OSTREL_TYPES)
    for (const { channels } of modes) {
      const scattered = channels.map((channel, i) => ({
        ...channel,
        coarse: 500 - 2 * i,
        fine: channel.fine && 499 - 2 * i,
      }))
      const laid = laidOutChannels(scattered)
      const taken = laid.flatMap(({ coarse, fine }) => (fine === null ? [coarse] : [coarse, fine]))
      expect(taken).toEqual(taken.map((_, i) => i + 1))
      expect(laid.map(({ name }) => name)).toEqual(channels.map(({ name }) => name))
      expect(channelAfter(laid).coarse).toBe(footprint({ channels: laid }) + 1)
    }
  expect(channelAfter([]).coarse).toBe(1)
})
