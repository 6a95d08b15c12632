/** The stage as the house sees it: everybody's hand over the cues, but of those who work blind, under what is brought up to be checked. */
import type { Attribute } from '../attributes/attribute'
import { asPersonId, type FixtureId, type PersonId } from '../show/ids'
import type { Show } from '../show/show'
import {
  bringingOut,
  isBroughtOut,
  cueLookup,
  handOf,
  seenLookup,
  underChecks,
  type Lookup,
  type StageFixture,
} from './onStage'
import type { ValueMap } from './playback'
import { checkedTrack, heldTrack } from './arrivals'
import type { Track } from './track'

/** A way of looking at the stage. */
export interface AudienceView {
  /** Whose hands are seen. */
  readonly people: readonly PersonId[]
  /** What is set. */
  readonly lookup: Lookup
  /** What is seen, with what is brought out. */
  readonly seen: Lookup
  /** What a hand holds, which cues then do not move; null where none does. */
  held(fixture: FixtureId, attribute: Attribute): Track | null
  /** A fixture as it is seen, with what is brought out. */
  see(plain: StageFixture): StageFixture
  /** Whether anybody brings it out. */
  isBroughtOut(fixture: FixtureId): boolean
}

const views = new WeakMap<Show, AudienceView>()

/** Of two people who hold the same, the one who came later is seen. The same view each time a show is asked for. */
export function audienceView(show: Show): AudienceView {
  const known = views.get(show) ?? freshView(show)
  views.set(show, known)
  return known
}

function freshView(show: Show): AudienceView {
  const people = [...show.all.person].filter(([, { blind }]) => !blind).map(([id]) => asPersonId(id))
  const hands = people.map((person) => handOf(show, person))
  const cues = cueLookup(show)
  const holds = (fixture: FixtureId, attribute: Attribute) => (hand: ValueMap) => hand.get(fixture)?.has(attribute)
  const held: Lookup = (fixture, attribute) =>
    hands.findLast(holds(fixture, attribute))?.get(fixture)?.get(attribute) ?? null
  const lookup = underChecks(show, (fixture, attribute) => held(fixture, attribute) ?? cues(fixture, attribute))
  const sights = people.map((person) => bringingOut(show, person, lookup))
  return {
    people,
    lookup,
    seen: people.reduce<Lookup>((seen, person) => seenLookup(show, person, seen), lookup),
    held: (fixture, attribute) => {
      const checked = checkedTrack(show, fixture, attribute)
      if (checked) return checked
      const person = people[hands.findLastIndex(holds(fixture, attribute))]
      return person ? heldTrack(show, person, fixture, attribute) : null
    },
    see: (plain) => sights.reduce((seen, sight) => sight(seen), plain),
    isBroughtOut: (fixture) => people.some((person) => isBroughtOut(show, person, fixture)),
  }
}
