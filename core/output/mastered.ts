/** A grand master over what goes out: light is taken away, nothing else moves. */
import { LEADING } from '../attributes/catalogue'
import { UNIVERSE_SIZE } from '../patch/span'
import type { Channel } from '../show/entities'
import { derived } from '../show/derived'
import type { ShowPart } from '../show/show'
import { levelFor, meaningOf } from './channelFunction'
import type { Universes } from './channelLevels'
import { bytesOf, patchedIn, PATCHED_KINDS } from './patched'

/** A channel that light goes down with, and where its first byte stands, from 0. */
interface LightChannel {
  readonly channel: Channel
  /** The channel whose functions it goes by. */
  readonly by: Channel
  readonly bytes: readonly number[]
}

/** The channels light goes down with, by universe. */
const lightChannels = derived(PATCHED_KINDS, (show): ReadonlyMap<number, readonly LightChannel[]> => {
  const found = new Map<number, LightChannel[]>()
  for (const { universe, address, channels } of patchedIn(show).values())
    for (const channel of channels) {
      const by = channels.find(({ name }) => name === channel.follows) ?? channel
      const bytes = bytesOf(channel, address)
      if (!isLight(by) || bytes.some((at) => at >= UNIVERSE_SIZE)) continue
      found.set(universe, [...(found.get(universe) ?? []), { channel, by, bytes }])
    }
  return found
})

const isLight = ({ dims, functions }: Channel) => dims || functions.some(({ does }) => does === LEADING.light)

/**
 * Levels as they are with a grand master at `level`, 0 to 1: of channels that say how bright something is,
 * so much of it is left, by their own curve; those that go down with intensity go down with them. At 1 the
 * same levels come back.
 */
export function mastered(show: ShowPart<(typeof PATCHED_KINDS)[number]>, levels: Universes, level: number): Universes {
  if (level === 1) return levels
  return new Map([...levels].map(([universe, all]) => [universe, universeMastered(show, universe, all, level)]))
}

function universeMastered(
  show: ShowPart<(typeof PATCHED_KINDS)[number]>,
  universe: number,
  levels: Uint8Array,
  level: number,
): Uint8Array {
  const own = levels.slice()
  for (const one of lightChannels(show).get(universe) ?? []) {
    const now = one.bytes.reduce((sum, at) => sum * 256 + (own[at] ?? 0), 0)
    const meaning = meaningOf({ ...one.by, ...finenessOf(one.channel) }, now)
    if (!meaning || meaning.amount.kind !== 'number' || !goesDown(one.by, meaning.by.does)) continue
    const then = levelFor({ ...one.by, ...finenessOf(one.channel) }, meaning.by, meaning.amount.number, level)
    one.bytes.forEach((at, i) => (own[at] = Math.floor(then / 256 ** (one.bytes.length - 1 - i)) & 255))
  }
  return own
}

const finenessOf = ({ fine, finest }: Channel) => ({ fine, finest })
const goesDown = ({ dims }: Channel, does: string) => dims || does === LEADING.light
