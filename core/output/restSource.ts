/** What a fixture does while nothing drives it, for the levels of its channels. */
import { LEADING } from '../attributes/catalogue'
import { isColourPart } from '../attributes/colourPart'
import { rangeOf } from '../show/attributeRange'
import { restParts } from '../show/colours'
import type { FixtureType } from '../show/entities'
import type { ChannelSource } from './channelFunction'

/** A fixture at rest and as bright as is said, 0 to 1; left out, as it rests. */
export function restSource(type: FixtureType, intensity?: number): ChannelSource {
  const restOf: ChannelSource['restOf'] = (role) =>
    isColourPart(role) ? (restParts(type).get(role) ?? 0) : rangeOf(type, role).home
  return {
    restOf,
    amountOf: (role) => {
      if (role === 'pan' || role === 'tilt') return { kind: 'number', number: 0 }
      return { kind: 'number', number: role === LEADING.light && intensity !== undefined ? intensity : restOf(role) }
    },
  }
}
