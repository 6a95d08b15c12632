/** Places of things in any venue, in the making. */
import { normalisedName } from '../../show/names'
import { placeId } from '../../show/compositeIds'
import type { Draft } from '../../show/draft'
import { PLACE_FIELDS, PLACE_OF, type PlacedKind } from '../../refocus/perVenueFields'
import { venuesInOrder } from '../../refocus/venueSheet'
import { asHangId, asFixtureId, type VenueId } from '../../show/ids'
import type { EntityOf } from '../../show/kinds'
import { showRecordOf, type Show } from '../../show/show'
import { wholeFixtures } from '../../show/cells'
import type { VenueCell } from './venueCell'
import { refuse, type Outcome } from '../command'
import { belowFloor, gone } from './refusals'

type PlaceOf<K extends PlacedKind> = EntityOf[(typeof PLACE_OF)[K]]
type Places = { readonly [K in PlacedKind]: Map<string, PlaceOf<K> | null> }

/** A place lies inside a kilometre. */
const FURTHEST = 1000
const TOO_FAR = 'it must lie within 1000 m'

export class PlacesInVenues {
  readonly #places: Places = { hang: new Map(), fixture: new Map(), setPiece: new Map(), target: new Map() }
  readonly #substitutes = new Map<string, EntityOf['substitute'] | null>()

  constructor(
    private readonly show: Show,
    private readonly draft: Draft,
  ) {}

  /** Sets one number of a place, or takes it away; refuses what is not there or cannot be. */
  set({ kind, id, what, venue, value }: VenueCell): Outcome | null {
    if (kind === 'hang' || kind === 'fixture' || kind === 'setPiece' || kind === 'target')
      return this.#set(kind, id, what, venue, value)
    return refuse('bad input', { field: 'cells', why: `${kind} has no place` })
  }

  #set<K extends PlacedKind>(kind: K, id: string, what: string, venue: VenueId, value: VenueCell['value']) {
    const field = PLACE_FIELDS[kind].find(({ name }) => name === what)
    if (!this.show.all[kind].has(id)) return gone(kind, 'cells')
    if (!field) return refuse('bad input', { field: what, why: 'there is no such line' })
    if (value === null) return this.takeOff(kind, id, venue)
    if (typeof value === 'string') return refuse('bad input', { field: what, why: `“${value}” is no number` })
    if (field.unit === 'm' && Math.abs(value) > FURTHEST) return refuse('bad input', { field: what, why: TOO_FAR })
    const place = this.placeOf(kind, id, venue) ?? this.#asElsewhere(kind, id, venue)?.place
    if (!place) return refuse('no place to copy', { kind }, 'cells')
    const unhung = kind === 'fixture' ? this.#hangWanting(id, venue) : null
    if (unhung) return refuse('hang absent', { name: unhung }, 'cells')
    const refusal = kind === 'hang' ? whyNoHangPlace(this.show.all.hang.get(id)?.name ?? '', what, value) : null
    if (refusal) return refusal
    if (kind === 'hang' && this.placeOf(kind, id, venue) === null) this.#hangAgain(id, venue)
    this.put(kind, id, venue, field.put(place, value))
    return null
  }

  /** The name of the hang a fixture would come on where that is not in a venue; null where it is. */
  #hangWanting(fixture: string, venue: VenueId): string | null {
    const place = this.placeOf('fixture', fixture, venue) ?? this.#asElsewhere('fixture', fixture, venue)?.place
    if (!place || this.placeOf('hang', place.hang, venue)) return null
    return this.show.all.hang.get(place.hang)?.name ?? ''
  }

  placeOf<K extends PlacedKind>(kind: K, id: string, venue: VenueId): PlaceOf<K> | null {
    const key = placeId(venue, id)
    const made = this.#places[kind].get(key)
    return made === undefined ? (this.show.all[PLACE_OF[kind]].get(key) ?? null) : made
  }

  /** A place as it is where the show plays, or else in any other venue. */
  #asElsewhere<K extends PlacedKind>(kind: K, id: string, venue: VenueId) {
    const venues = [showRecordOf(this.show).venue, ...venuesInOrder(this.show).map((one) => one.id)]
    for (const from of venues) {
      const place = from === venue ? null : this.placeOf(kind, id, from)
      if (place) return { from, place: { ...place, venue } }
    }
    return null
  }

  put<K extends PlacedKind>(kind: K, id: string, venue: VenueId, place: PlaceOf<K>): void {
    this.#places[kind].set(placeId(venue, id), place)
    if (kind === 'fixture') this.#substitutes.set(placeId(venue, id), null)
  }

  /** Takes something off a venue; a hang with what is on it. */
  takeOff(kind: PlacedKind, id: string, venue: VenueId): null {
    this.#places[kind].set(placeId(venue, id), null)
    if (kind === 'fixture') this.#substitutes.set(placeId(venue, id), null)
    if (kind === 'hang') for (const { fixture } of this.#on(id, venue)) this.takeOff('fixture', fixture, venue)
    return null
  }

  /** What is on a hang in a venue, as it is to be. */
  #on(hang: string, venue: VenueId): PlaceOf<'fixture'>[] {
    const known = [...this.show.all.fixturePlace.values()].map(({ fixture }) => fixture)
    return [...new Set(known)].flatMap((fixture) => {
      const place = this.placeOf('fixture', fixture, venue)
      return place?.hang === hang ? [place] : []
    })
  }

  /** What hangs on it where its place is taken from comes along, unless it is somewhere else here. */
  #hangAgain(hang: string, venue: VenueId): void {
    const from = this.#asElsewhere('hang', hang, venue)?.from
    if (!from) return
    for (const place of this.#on(hang, from))
      if (!this.placeOf('fixture', place.fixture, venue)) this.put('fixture', place.fixture, venue, { ...place, venue })
  }

  substitute(substitute: EntityOf['substitute']): void {
    this.#places.fixture.set(placeId(substitute.venue, substitute.fixture), null)
    this.#substitutes.set(placeId(substitute.venue, substitute.fixture), substitute)
  }

  write(): void {
    for (const kind of ['hang', 'fixture', 'setPiece', 'target'] as const) this.#writeKind(kind)
    for (const [id, substitute] of this.#substitutes)
      if (substitute) this.draft.put('substitute', id, substitute)
      else if (this.show.all.substitute.has(id)) this.draft.remove('substitute', id)
  }

  #writeKind<K extends PlacedKind>(kind: K): void {
    for (const [id, place] of this.#places[kind])
      if (place) this.draft.put(PLACE_OF[kind], id, place)
      else if (this.show.all[PLACE_OF[kind]].has(id)) this.draft.remove(PLACE_OF[kind], id)
  }
}

function whyNoHangPlace(name: string, what: string, value: number): Outcome | null {
  if (what === 'trim') return belowFloor(name, { x: 0, y: 0, z: value })
  if (what === 'length' && value <= 0) return refuse('bad input', { field: what, why: 'it must be above 0' })
  return null
}

/** Puts a fixture on a hang by its name, takes it off, or has another play its values. */
export function hangIn(show: Show, places: PlacesInVenues, { id, venue, value }: VenueCell): Outcome | null {
  if (!show.all.fixture.has(id)) return gone('fixture', 'cells')
  if (value === null) return places.takeOff('fixture', id, venue)
  const text = String(value)
  const by = /^by (\d+)$/i.exec(text.trim())?.[1]
  if (by) return substituteIn(show, places, { fixture: id, venue, by: Number(by) })
  const hang = [...show.all.hang].find(([, { name }]) => normalisedName(name) === normalisedName(text))
  if (!hang) return refuse('unknown hang', { name: text }, 'cells')
  if (!places.placeOf('hang', hang[0], venue)) return refuse('hang absent', { name: hang[1].name }, 'cells')
  const place = places.placeOf('fixture', id, venue)
  const fresh = { along: 0, out: 0, drop: 0, yaw: 0, pitch: 0, roll: 0 }
  places.put('fixture', id, venue, { ...fresh, ...place, venue, fixture: asFixtureId(id), hang: asHangId(hang[0]) })
  return null
}

function substituteIn(
  show: Show,
  places: PlacesInVenues,
  { fixture, venue, by: number }: { readonly fixture: string; readonly venue: VenueId; readonly by: number },
): Outcome | null {
  const by = wholeFixtures(show).find(([, one]) => one.number === number)?.[0]
  const refusal = by ? whyNoSubstitute(show, places, venue, fixture, by) : refuse('no such fixture', { number })
  if (refusal || !by) return refusal
  places.substitute({ venue, fixture: asFixtureId(fixture), by })
  return null
}

/** Why a fixture cannot play another's values in a venue; null where it can. */
function whyNoSubstitute(show: Show, places: PlacesInVenues, venue: VenueId, fixture: string, by: string) {
  const number = show.all.fixture.get(by)?.number ?? 0
  if (by === fixture) return refuse('same fixture', {})
  if (!places.placeOf('fixture', asFixtureId(by), venue)) return refuse('substitute absent', { number })
  const other = [...show.all.substitute.values()].find((one) => one.venue === venue && one.by === by)
  if (other && other.fixture !== fixture)
    return refuse('substitutes another', { number, other: show.all.fixture.get(other.fixture)?.number ?? 0 })
  return null
}
