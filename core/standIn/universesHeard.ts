/** Levels by the numbers they come by, as the universes of a show: back along the ways its outputs send them. */
import { PROTOCOLS, type Protocol } from '../show/entities'
import { spansOf } from '../patch/span'
import type { Show } from '../show/show'
import type { Universes } from '../output/channelLevels'

/** Art-Net counts from 0 on the wire; what is heard is told counting from 1. */
const FROM_ONE: Readonly<Record<Protocol, number>> = { 'E1.31': 0, 'Art-Net': 1 }

interface Way {
  readonly protocol: Protocol
  /** The number it comes by, counting from 1, and the universe of the show it is. */
  readonly number: number
  readonly universe: number
}

/** Every way a universe of the show can come by; by its own number in both protocols where no output says otherwise. */
export function waysIn(show: Show): Way[] {
  const universes = [...new Set(spansOf(show).map(({ universe }) => universe))]
  return PROTOCOLS.flatMap((protocol) => {
    const outputs = [...show.all.output.values()].filter((one) => one.protocol === protocol)
    if (outputs.length === 0) return universes.map((universe) => ({ protocol, number: universe, universe }))
    return outputs.flatMap(({ first, last, sentAs }) =>
      universes
        .filter((universe) => universe >= first && universe <= last)
        .map((universe) => ({ protocol, universe, number: sentAs + universe - first + FROM_ONE[protocol] })),
    )
  })
}

/** What comes in by both protocols, by universe of the show; E1.31 where both bring the same one. */
export function universesHeard(ways: readonly Way[], levels: (protocol: Protocol) => Universes): Universes {
  const found = new Map<number, Uint8Array>()
  for (const { protocol, number, universe } of ways) {
    const heard = levels(protocol).get(number)
    if (heard && !found.has(universe)) found.set(universe, heard)
  }
  return found
}
