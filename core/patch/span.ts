/** The channels fixtures take: universes count from 1, addresses from 1 to 512. */
import { derived } from '../show/derived'
import type { Channel, FixtureMode } from '../show/entities'
import { asFixtureId, type FixtureId } from '../show/ids'
import type { ShowPart } from '../show/show'

export const UNIVERSE_SIZE = 512

/** A fixture's channels in its universe, first to last. */
export interface Span {
  readonly fixture: FixtureId
  readonly number: number
  readonly universe: number
  readonly first: number
  readonly last: number
}

/** Where the bytes of a channel stand, the coarse one first. */
export function placesOf({ coarse, fine, finest }: Pick<Channel, 'coarse' | 'fine' | 'finest'>): number[] {
  return [coarse, fine, finest].filter((place) => place !== null)
}

/** The channels of a mode that are for one cell, from 1, or for the fixture as a whole. */
export function channelsFor(channels: readonly Channel[], cell: number | null): readonly Channel[] {
  return channels.filter((channel) => (channel.cell ?? null) === cell)
}

/** How many channels a mode takes. */
export function footprint(mode: Pick<FixtureMode, 'channels'>): number {
  return Math.max(...mode.channels.flatMap(placesOf))
}

/** How many channels a fixture takes by its mode; 0 without one. */
export function footprintOf(show: ShowPart<'fixture' | 'fixtureMode'>, fixture: string): number {
  const mode = show.all.fixtureMode.get(show.all.fixture.get(fixture)?.mode ?? '')
  return mode ? footprint(mode) : 0
}

/** Every patched fixture's span, by universe and address. A fixture without a mode counts one channel. */
export const spansOf = derived(['fixture', 'fixtureMode'], (show): readonly Span[] =>
  [...show.all.fixture]
    .flatMap(([id, { number, universe, address }]): Span[] => {
      if (universe === null || address === null) return []
      const channels = Math.max(1, footprintOf(show, id))
      return [{ fixture: asFixtureId(id), number, universe, first: address, last: address + channels - 1 }]
    })
    .sort((a, b) => a.universe - b.universe || a.first - b.first || a.number - b.number),
)

/** What is wrong with a fixture's patch. */
export interface PatchFault {
  /** Channels past 512, which never arrive. */
  readonly overflow: number
  /** Fixtures that share a channel with it, by number. */
  readonly clashes: readonly Span[]
}

/** The faults of the patch, by fixture; sound ones are left out. */
export const patchFaults = derived(['fixture', 'fixtureMode'], (show): ReadonlyMap<FixtureId, PatchFault> => {
  const clashes = new Map<FixtureId, Span[]>()
  const note = (of: Span, other: Span) => {
    const known = clashes.get(of.fixture)
    if (known) known.push(other)
    else clashes.set(of.fixture, [other])
  }
  const spans = spansOf(show)
  let open: Span[] = []
  for (const span of spans) {
    open = open.filter((other) => other.universe === span.universe && other.last >= span.first)
    for (const other of open) {
      note(span, other)
      note(other, span)
    }
    open.push(span)
  }
  const faults = spans.flatMap((span): [FixtureId, PatchFault][] => {
    const overflow = Math.max(0, span.last - UNIVERSE_SIZE)
    const others = clashes.get(span.fixture) ?? []
    return overflow > 0 || others.length > 0 ? [[span.fixture, { overflow, clashes: others }]] : []
  })
  return new Map(faults)
})

/** A patch fault in words: "channels 500 to 540 run past 512; shares channels with 12, 13". */
export function patchFaultInWords(fault: PatchFault, span: Span): string {
  const parts: string[] = []
  if (fault.overflow > 0) parts.push(`channels ${span.first} to ${span.last} run past ${UNIVERSE_SIZE}`)
  if (fault.clashes.length > 0)
    parts.push(`shares channels with ${fault.clashes.map(({ number }) => number).join(', ')}`)
  return parts.join('; ')
}
