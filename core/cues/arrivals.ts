/** What people have recalled over a time, as it comes in: tracks like those of the lists. */
import { derived } from '../show/derived'
import type { HandValue } from '../show/entities'
import type { Attribute } from '../attributes/attribute'
import type { FixtureId, PersonId } from '../show/ids'
import type { Show } from '../show/show'
import { broughtUp } from './broughtUp'
import { handOf } from './onStage'
import { listsMoveUntil, movingFixtures, unmoved, withCellsMoving, type MovingFixture } from './playback'
import { standing, type Track } from './track'

type Arrivals = ReadonlyMap<FixtureId, ReadonlyMap<Attribute, Track>>

/** By person, what came or comes in over a time. */
const arrivalsByPerson = derived(['handValue'], (show): ReadonlyMap<PersonId, Arrivals> => {
  const people = new Map<PersonId, Map<FixtureId, Map<Attribute, Track>>>()
  for (const held of show.all.handValue.values()) {
    const track = trackOf(held)
    if (!track) continue
    const arrivals = people.get(held.person) ?? new Map<FixtureId, Map<Attribute, Track>>()
    people.set(held.person, arrivals)
    const fixture = arrivals.get(held.fixture) ?? new Map<Attribute, Track>()
    arrivals.set(held.fixture, fixture.set(held.attribute, track))
  }
  return people
})

function trackOf({ value, arrival }: HandValue): Track | null {
  if (!arrival) return null
  const { startedAt, seconds, from } = arrival
  const lasts = seconds * 1000
  const move = { from: standing(from, null), leftAt: startedAt, startsAt: startedAt, lasts, falls: lasts }
  return { ...standing(value, null), move: { ...move, stoppedAt: null, travel: 'angle' } }
}

const NONE: Arrivals = new Map()

/** What a person's hand brings in, by fixture; what has arrived long ago too. */
export function arrivalsOf(show: Show, person: PersonId): Arrivals {
  return arrivalsByPerson(show).get(person) ?? NONE
}

/** What a person's hand holds of an attribute, on its way or not; null where it holds nothing. */
export function heldTrack(show: Show, person: PersonId, fixture: FixtureId, attribute: Attribute): Track | null {
  const coming = arrivalsOf(show, person).get(fixture)?.get(attribute)
  if (coming) return coming
  const value = handOf(show, person).get(fixture)?.get(attribute)
  return value ? standing(value, null) : null
}

/** What is brought up to be checked stands; null where nothing is. */
export function checkedTrack(show: Show, fixture: FixtureId, attribute: Attribute): Track | null {
  const value = broughtUp(show).get(fixture)?.get(attribute)
  return value ? standing(value, null) : null
}

const isComing = (tracks: ReadonlyMap<Attribute, Track>, now: number) =>
  [...tracks.values()].some(({ move }) => move !== null && move.startsAt + move.lasts > now)

/** Fixtures something of which is on its way at an instant, by the lists or by the hands of some people. */
export function onTheMove(show: Show, people: readonly PersonId[], now: number): readonly MovingFixture[] {
  const byLists = movingFixtures(show)
  const known = new Set(byLists.map(({ id }) => id))
  const coming = people.flatMap((person) =>
    [...arrivalsOf(show, person)].flatMap(([id, tracks]) => (!known.has(id) && isComing(tracks, now) ? [id] : [])),
  )
  if (coming.length === 0) return byLists
  return withCellsMoving(show, [...byLists, ...[...new Set(coming)].map(unmoved)])
}

const handsMoveUntil = derived(['handValue'], (show): number => {
  let until = 0
  for (const { arrival } of show.all.handValue.values())
    if (arrival) until = Math.max(until, arrival.startedAt + arrival.seconds * 1000)
  return until
})

/** Until when something is on its way, milliseconds; 0 when nothing runs or everything is paused. */
export function movesUntil(show: Show): number {
  return Math.max(listsMoveUntil(show), handsMoveUntil(show))
}
