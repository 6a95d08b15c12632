/** Gives fixtures their addresses by a rule, one after the other. */
import type { FixtureId } from '../show/ids'
import { UNIVERSE_SIZE, type Span } from './span'

/** Where to begin and how to go on. `gap` is the free channels kept between two fixtures. */
export interface PatchRule {
  readonly universe: number
  readonly address: number
  readonly gap: number
  /** What begins a universe of its own: nothing, each hang, or each type. */
  readonly apart: 'never' | 'by hang' | 'by type'
}

export interface PatchWish {
  readonly fixture: FixtureId
  readonly channels: number
  readonly hang: string
  readonly type: string
}

export interface Patched {
  readonly fixture: FixtureId
  readonly universe: number
  readonly address: number
}

/**
 * Addresses in the order of the wishes. A fixture that would run past the end of its universe
 * begins the next one, and channels in `taken` are stepped over. Throws RangeError for a fixture
 * that no universe can hold.
 */
export function autoPatch(wishes: readonly PatchWish[], rule: PatchRule, taken: readonly Span[]): Patched[] {
  let { universe, address } = rule
  let last: PatchWish | null = null
  return wishes.map((wish) => {
    if (wish.channels > UNIVERSE_SIZE) throw new RangeError(`${wish.channels} channels fit in no universe`)
    if (last && beginsApart(rule.apart, last, wish)) {
      universe += 1
      address = 1
    }
    const place = firstFree(universe, address, Math.max(1, wish.channels), taken)
    universe = place.universe
    address = place.address + Math.max(1, wish.channels) + rule.gap
    last = wish
    return { fixture: wish.fixture, ...place }
  })
}

function beginsApart(apart: PatchRule['apart'], last: PatchWish, wish: PatchWish): boolean {
  return (apart === 'by hang' && last.hang !== wish.hang) || (apart === 'by type' && last.type !== wish.type)
}

function firstFree(universe: number, address: number, channels: number, taken: readonly Span[]) {
  for (;;) {
    if (address + channels - 1 > UNIVERSE_SIZE) {
      universe += 1
      address = 1
      continue
    }
    const last = address + channels - 1
    const blocking = taken.find((span) => span.universe === universe && span.first <= last && span.last >= address)
    if (!blocking) return { universe, address }
    address = blocking.last + 1
  }
}
