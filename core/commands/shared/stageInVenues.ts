/** The opening, heights and touch-ups of a venue, set number by number. */
import { touchUpId } from '../../show/compositeIds'
import type { Draft } from '../../show/draft'
import { entity, type Show } from '../../show/show'
import { asFixtureId, asPaletteId, type PersonId } from '../../show/ids'
import type { TouchUp, Venue } from '../../show/entities'
import { UNTOUCHED } from '../../refocus/touchUpBy'
import { OPENING, TOUCHES } from '../../refocus/venueSheet'
import type { VenueCell } from './venueCell'
import { refuse, type Outcome } from '../command'
import { gone } from './refusals'

/** Sets the opening, or how high a keep-clear zone or a level is; refuses what is not there. */
export function setStageIn(draft: Draft, { kind, id, what, venue, value }: VenueCell): Outcome | null {
  const known = entity(draft.result(), 'venue', venue)
  if (typeof value !== 'number') return refuse('bad input', { field: what, why: 'it takes a number' })
  if (Math.abs(value) > 1000 || (kind !== 'level' && value <= 0))
    return refuse('bad input', { field: what, why: 'it must lie above 0 and within 1000 m' })
  if (kind === 'opening') {
    const side = OPENING.find((one) => one === what)
    if (!side) return refuse('bad input', { field: what, why: 'there is no such line' })
    draft.set('venue', venue, 'opening', { ...known.opening, [side]: value })
    return null
  }
  const field = kind === 'zone' ? 'keepClear' : 'levels'
  const height = <T extends Venue['keepClear'][number] | Venue['levels'][number]>(all: readonly T[]) =>
    all.map((one) => (one.name === id ? { ...one, height: value } : one))
  if (!known[field].some(({ name }) => name === id))
    return refuse('bad input', { field: id, why: 'it is not in this venue' })
  if (kind === 'zone') draft.set('venue', venue, 'keepClear', height(known.keepClear))
  else draft.set('venue', venue, 'levels', height(known.levels))
  return null
}

/** Sets a number of a touch-up, or takes all of it away. */
export function setTouchUpIn(
  show: Show,
  draft: Draft,
  { id, what, venue, value }: VenueCell,
  who: { readonly by: PersonId; readonly at: number },
): Outcome | null {
  const [palette = '', fixture = ''] = id.split(' ')
  if (!show.all.palette.has(palette)) return gone('palette', 'cells')
  if (!show.all.fixture.has(fixture)) return gone('fixture', 'cells')
  const key = touchUpId(venue, palette, fixture)
  const known = draft.result().all.touchUp.get(key)
  if (value === null) {
    if (known) draft.remove('touchUp', key)
    return null
  }
  const touch = TOUCHES.find((one) => one.what === what)
  if (!touch || typeof value !== 'number') return refuse('bad input', { field: what, why: 'it takes a number' })
  if (touch.unit === 'm' && Math.abs(value) > 1000)
    return refuse('bad input', { field: what, why: 'it must lie within 1000 m' })
  const of = { venue, palette: asPaletteId(palette), fixture: asFixtureId(fixture) }
  draft.put('touchUp', key, {
    ...touch.put({ note: '', ...UNTOUCHED, ...known, ...of, ...who }, value),
  } satisfies TouchUp)
  return null
}
