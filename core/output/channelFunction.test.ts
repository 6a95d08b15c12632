import { isColourPart } from '../attributes/colourPart'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { OSTREL_TYPES, plover, tern } from '#demo/types'
import type { ChannelRole } from '../attributes/channelRole'
import { kindOf } from '../attributes/attribute'
import type { Channel } from '../show/entities'
import type { Amount } from '../show/values'
import { channelLevel, functionThatCounts, levelFor, levelsOf, meaningOf, type ChannelSource } from './channelFunction'

type Amounts = Partial<Record<ChannelRole, number | { readonly rpm: number }>>

/** A fixture that does what is said, and rests as the catalogue says in all else. */
function source(amounts: Amounts): ChannelSource {
  const restOf: ChannelSource['restOf'] = (role) => (isColourPart(role) ? 0 : kindOf(role).rest)
  return {
    restOf,
    amountOf: (role): Amount => {
      const said = amounts[role]
      if (typeof said === 'object') return { kind: 'spin', rpm: said.rpm }
      const rest = role === 'pan' || role === 'tilt' ? 0 : restOf(role)
      return { kind: 'number', number: said ?? rest }
    },
  }
}

function channelOf(modes: (typeof tern)['modes'], name: string): Channel {
  const channel = modes[0]?.channels.find((one) => one.name === name)
  if (!channel) throw new Error(`no channel ${name}`)
  return channel
}
const strobe = channelOf(tern.modes, 'Strobe')
const gobo = channelOf(plover.modes, 'Gobo')
const turn = channelOf(tern.modes, 'Gobo turn')
const colour = channelOf(plover.modes, 'Colour')

describe('a channel that does several things', () => {
  it.each<[string, Channel, Amounts, number]>([
    ['open while nothing strobes', strobe, {}, 8],
    ['strobing slowest', strobe, { strobe: 0.5 }, 16],
    ['strobing fastest', strobe, { strobe: 20 }, 131],
    ['strobing slower than it can', strobe, { strobe: 0.4 }, 16],
    ['in pulses', strobe, { strobePulse: 10 }, 193],
    ['at random rather than in pulses', strobe, { strobePulse: 10, strobeRandom: 0.5 }, 194],
    ['the open slot', gobo, {}, 0],
    ['the third slot', gobo, { gobo: 3 }, 30],
    ['the third slot shaking slowest', gobo, { gobo: 3, goboShake: 0.5 }, 114],
    ['the third slot shaking fastest', gobo, { gobo: 3, goboShake: 5 }, 125],
    ['spinning, whatever the slot', gobo, { gobo: 3, goboShake: 5, goboSpin: 30 }, 255],
    ['spinning the other way', gobo, { goboSpin: -30 }, 190],
    ['a colour', colour, { colourWheel: 13 }, 130],
    ['colours spinning', colour, { colourWheel: 13, colourSpin: 40 }, 255],
    ['turned as far as it goes', turn, { goboTurn: 180 }, 128 * 256 - 1],
    ['not turned', turn, { goboTurn: 0 }, Math.round((128 * 256 - 1) / 2)],
    ['turning left fastest', turn, { goboTurn: { rpm: -60 } }, 128 * 256],
    ['turning right fastest', turn, { goboTurn: { rpm: 60 } }, 65535],
    ['turning by nothing', turn, { goboTurn: { rpm: 0 } }, 190 * 256],
  ])('sends %s', (_, channel, amounts, level) => {
    expect(channelLevel(channel, source(amounts), channel.rest, 1)).toBe(level)
  })

  it('bends what it sends by its curve, and goes down with intensity where it is to', () => {
    const plain = channelOf(tern.modes, 'Cyan')
    const at = (curve: Channel['curve'], dimmed = 1) =>
      channelLevel({ ...plain, curve, dims: dimmed < 1 }, source({ 'part:Cyan': 0.5 }), 0, dimmed) / 65535
    expect(at('even')).toBeCloseTo(0.5, 4)
    expect(at('slow at first')).toBeCloseTo(0.25, 4)
    expect(at('fast at first')).toBeCloseTo(Math.SQRT1_2, 4)
    expect(at('slow at both ends')).toBeCloseTo(0.5, 4)
    expect(at('even', 0.5)).toBeCloseTo(0.25, 4)
  })

  it('has as many levels as it has bytes', () => {
    const bytes = (fine: number | null, finest: number | null) => levelsOf({ fine, finest })
    expect([bytes(null, null), bytes(2, null), bytes(2, 3), bytes(null, 3)]).toEqual([256, 65536, 16777216, 256])
  })
})

describe('levels and what they mean', () => {
  const channels = OSTREL_TYPES.flatMap(({ modes }) => modes.flatMap((mode) => mode.channels))

  it('go over into each other and back, to the level, for every function', () => {
    const some = fc.record({
      channel: fc.constantFrom(...channels),
      part: fc.double({ min: 0, max: 0.999999, noNaN: true }),
      curve: fc.constantFrom('even', 'slow at both ends'),
    } as const)
    fc.assert(
      fc.property(some, ({ channel: plain, part, curve }) => {
        const channel = { ...plain, curve }
        const level = Math.floor(part * levelsOf(channel))
        const meaning = meaningOf(channel, level)
        if (!meaning) return
        const { by, amount } = meaning
        const number = amount.kind === 'spin' ? amount.rpm : amount.number
        // A function that says one thing only says it with its first level.
        if (by.from !== by.to) expect(levelFor(channel, by, number)).toBe(level)
      }),
      { numRuns: 500 },
    )
  })

  it('are told by the function whose attribute they move', () => {
    for (const channel of channels)
      for (const one of channel.functions) {
        const { does, when } = one
        if (does === 'other' || does === 'pan' || does === 'tilt' || one.from === one.to) continue
        const middle = (one.from + one.to) / 2
        const amounts = { [does]: one.spins ? { rpm: middle } : middle, ...(when && { [when.attribute]: when.number }) }
        const rest = source({}).restOf(does)
        if (one.spins || middle !== rest) expect(functionThatCounts(channel, source(amounts))).toBe(one)
      }
  })
})
