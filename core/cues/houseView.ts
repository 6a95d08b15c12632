/** The stage as the house sees it: everybody's hand over the cues, but of those who work blind. */
import type { Attribute } from '../show/families'
import { asPersonId, type FixtureId } from '../show/ids'
import type { Show } from '../show/show'
import { bringingOut, cueLookup, handOf, seenLookup, type Lookup, type StageFixture } from './onStage'
import { valueKey } from './playback'

/** A way of looking at the stage. */
export interface HouseView {
  /** What is set. */
  readonly lookup: Lookup
  /** What is seen, with what is brought out. */
  readonly seen: Lookup
  /** Whether a hand holds something, which cues then do not move. */
  isHeld(fixture: FixtureId, attribute: Attribute): boolean
  /** A fixture as it is seen, with what is brought out. */
  see(plain: StageFixture): StageFixture
}

/** Of two people who hold the same, the one who came later is seen. */
export function houseView(show: Show): HouseView {
  const people = [...show.all.person].filter(([, { blind }]) => !blind).map(([id]) => asPersonId(id))
  const hands = people.map((person) => handOf(show, person))
  const cues = cueLookup(show)
  const held = (key: string) => hands.findLast((hand) => hand.has(key))?.get(key)
  const lookup: Lookup = (fixture, attribute) => held(valueKey(fixture, attribute)) ?? cues(fixture, attribute)
  const sights = people.map((person) => bringingOut(show, person, lookup))
  return {
    lookup,
    seen: people.reduce<Lookup>((seen, person) => seenLookup(show, person, seen), lookup),
    isHeld: (fixture, attribute) => held(valueKey(fixture, attribute)) !== undefined,
    see: (plain) => sights.reduce((seen, sight) => sight(seen), plain),
  }
}
