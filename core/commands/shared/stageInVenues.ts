/** The stages and touch-ups of venues in the making, line by line. */
import { LEVEL_LINES, VENUE_LINES, ZONE_LINES, type StageLine } from '../../refocus/stageLines'
import { TOUCHES, venuesInOrder } from '../../refocus/venueSheet'
import { UNTOUCHED } from '../../refocus/touchUpBy'
import { touchUpId } from '../../show/compositeIds'
import type { Draft } from '../../show/draft'
import type { TouchUp, Venue } from '../../show/entities'
import { asFixtureId, asPaletteId, type PersonId, type VenueId } from '../../show/ids'
import { entity, type Show } from '../../show/show'
import { putTouchUp, removeTouchUp } from '../../palettes/touchUps'
import { refuse, type Outcome } from '../command'
import { gone } from './refusals'
import type { VenueCell } from './venueCell'

/** A venue has so many keep-clear zones and levels at most. */
const MOST_PARTS = 100

interface Named {
  readonly name: string
}

export class StageInVenues {
  readonly #venues = new Map<VenueId, Venue>()
  readonly #touchUps = new Map<string, TouchUp | null>()

  constructor(
    private readonly show: Show,
    private readonly draft: Draft,
    private readonly who: { readonly by: PersonId; readonly at: number },
  ) {}

  /** Sets a line of the stage, of what is kept clear or of a level; refuses what cannot be. */
  set(cell: VenueCell): Outcome | null {
    const venue = this.#venue(cell.venue)
    if (cell.kind === 'zone')
      return this.#setPart(
        cell,
        ZONE_LINES,
        ({ keepClear }) => keepClear,
        (keepClear) => ({ ...venue, keepClear }),
      )
    if (cell.kind === 'level')
      return this.#setPart(
        cell,
        LEVEL_LINES,
        ({ levels }) => levels,
        (levels) => ({ ...venue, levels }),
      )
    const line = VENUE_LINES.find(({ what }) => what === cell.what)
    if (cell.value === null) return refuse('bad input', { field: cell.what, why: 'every venue has one' })
    const changed = line ? line.put(venue, cell.value) : 'there is no such line'
    if (typeof changed === 'string') return refuse('bad input', { field: cell.what, why: changed })
    this.#venues.set(cell.venue, changed)
    return null
  }

  #venue(id: VenueId): Venue {
    return this.#venues.get(id) ?? entity(this.show, 'venue', id)
  }

  /** Sets a line of a part of a venue; one that is not there comes as it is in another venue. */
  #setPart<T extends Named>(
    { id, what, venue, value }: VenueCell,
    lines: readonly StageLine<T>[],
    partsOf: (venue: Venue) => readonly T[],
    withParts: (parts: T[]) => Venue,
  ): Outcome | null {
    const parts = partsOf(this.#venue(venue))
    const isIt = ({ name }: Named) => name === id
    const others = parts.filter((one) => !isIt(one))
    if (value === null) {
      this.#venues.set(venue, withParts(others))
      return null
    }
    const elsewhere = venuesInOrder(this.show).flatMap((other) => partsOf(this.#venue(other.id)).find(isIt) ?? [])
    const [part] = [...parts.filter(isIt), ...elsewhere]
    const changed = part && lines.find((line) => line.what === what)?.put(part, value)
    if (!part || changed === undefined) return refuse('bad input', { field: id, why: 'there is no such line' })
    if (typeof changed === 'string') return refuse('bad input', { field: what, why: changed })
    const isThere = parts.some(isIt)
    if (!isThere && parts.length >= MOST_PARTS)
      return refuse('bad input', { field: id, why: `a venue has ${MOST_PARTS} at most` })
    this.#venues.set(venue, withParts(isThere ? parts.map((one) => (isIt(one) ? changed : one)) : [...parts, changed]))
    return null
  }

  /** Sets a number of a touch-up, or takes all of it away. */
  setTouchUp({ id, what, venue, value }: VenueCell): Outcome | null {
    const [palette = '', fixture = ''] = id.split(' ')
    if (!this.show.all.palette.has(palette)) return gone('palette', 'cells')
    if (!this.show.all.fixture.has(fixture)) return gone('fixture', 'cells')
    const key = touchUpId(venue, palette, fixture)
    if (value === null) {
      this.#touchUps.set(key, null)
      return null
    }
    const touch = TOUCHES.find((one) => one.what === what)
    if (!touch || typeof value !== 'number') return refuse('bad input', { field: what, why: 'it takes a number' })
    if (touch.unit === 'm' && Math.abs(value) > 1000)
      return refuse('bad input', { field: what, why: 'it must lie within 1000 m' })
    const made = this.#touchUps.get(key)
    const known = made === undefined ? this.show.all.touchUp.get(key) : made
    const of = { venue, palette: asPaletteId(palette), fixture: asFixtureId(fixture) }
    this.#touchUps.set(key, touch.put({ note: '', ...UNTOUCHED, ...known, ...of, ...this.who }, value))
    return null
  }

  write(): void {
    for (const [id, { opening, outline, keepClear, levels }] of this.#venues) {
      this.draft.set('venue', id, 'opening', opening).set('venue', id, 'outline', outline)
      this.draft.set('venue', id, 'keepClear', keepClear).set('venue', id, 'levels', levels)
    }
    for (const [key, touchUp] of this.#touchUps) {
      const known = this.show.all.touchUp.get(key)
      if (touchUp) putTouchUp(this.draft, touchUp)
      else if (known) removeTouchUp(this.draft, known)
    }
  }
}
