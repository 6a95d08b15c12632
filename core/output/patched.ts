/** Fixtures with where they listen. */
import { channelsFor } from '../patch/span'
import { derived } from '../show/derived'
import type { Channel } from '../show/entities'
import { RIG_KINDS, rigOf, type RiggedFixture } from '../show/rig'

/** A fixture with where it listens, and the channels that are for it: those of cells are for them alone. */
export interface Patched {
  readonly rigged: RiggedFixture
  readonly universe: number
  readonly address: number
  readonly channels: readonly Channel[]
}

/** What patches are worked out from. */
export const PATCHED_KINDS = ['fixtureMode', ...RIG_KINDS] as const

/** Every fixture of the venue in play that has a mode, a universe and an address, by its id. */
export const patchedIn = derived(PATCHED_KINDS, (show): ReadonlyMap<string, Patched> => {
  const found = new Map<string, Patched>()
  for (const rigged of rigOf(show).values()) {
    const { universe, address, mode } = (rigged.bar ?? rigged).fixture
    const all = show.all.fixtureMode.get(mode ?? '')?.channels
    if (universe === null || address === null || !all) continue
    const channels = channelsFor(all, rigged.fixture.cell)
    found.set(rigged.id, { rigged, universe, address, channels })
  }
  return found
})

/** Where the bytes of a channel stand among the levels of its universe, from 0, the coarse one first. */
export function bytesOf({ coarse, fine, finest }: Channel, address: number): number[] {
  return [coarse, fine, fine === null ? null : finest].flatMap((place) => (place === null ? [] : address + place - 2))
}
