/** A mode as one fixture listens: with its axes inverted, or its further addresses elsewhere. */
import { UNIVERSE_SIZE } from '../../patch/span'
import type { Channel, FixtureMode } from '../../show/entities'
import type { ModeBreak } from './readModes'

export interface ModeUse {
  readonly inverted: readonly ('pan' | 'tilt')[]
  /** Where each further address begins, counted from the first channel as 1; null for what stays unpatched. */
  readonly starts: ReadonlyMap<number, number | null>
}

type NamedMode = Pick<FixtureMode, 'name' | 'channels'>

/** The mode of a use, under a name that says it; itself where nothing is other than usual. */
export function modeVariant(mode: NamedMode, breaks: readonly ModeBreak[], { inverted, starts }: ModeUse): NamedMode {
  const words = inverted.map((axis) => `${axis} inverted`)
  const moves = breaks.slice(1).flatMap((one) => {
    const start = starts.get(one.number)
    if (start === undefined || start === one.first) return []
    words.push(start === null ? `without address ${one.number}` : `address ${one.number} at +${start - 1}`)
    return [{ ...one, start }]
  })
  if (words.length === 0) return mode
  const channels = mode.channels.flatMap((channel) => {
    const move = moves.find(({ first, channels: size }) => channel.coarse >= first && channel.coarse < first + size)
    if (move?.start === null) return []
    return [turned(move ? shifted(channel, move.start - move.first) : channel, inverted)]
  })
  return { name: `${mode.name} (${words.join(', ')})`.slice(0, 120), channels }
}

/** Whether channels that begin at an address fit into its universe. */
export function fitsUniverse(address: number, start: number, channels: number): boolean {
  return address + start - 1 + channels - 1 <= UNIVERSE_SIZE
}

function shifted(channel: Channel, by: number): Channel {
  const on = (place: number | null) => (place === null ? null : place + by)
  return { ...channel, coarse: channel.coarse + by, fine: on(channel.fine), finest: on(channel.finest) }
}

function turned(channel: Channel, inverted: readonly string[]): Channel {
  if (!channel.functions.some(({ does }) => inverted.includes(does))) return channel
  const functions = channel.functions.map((one) =>
    inverted.includes(one.does) ? { ...one, from: one.to, to: one.from } : one,
  )
  return { ...channel, functions }
}
