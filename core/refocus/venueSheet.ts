/**
 * Everything a show has per venue, a line each, all venues side by side: hangs with their trims,
 * fixtures, set pieces, free targets, the opening and what is kept clear, and touch-ups.
 */
import { byNumber, fixtureNumber, wholeFixtures } from '../show/cells'
import { placeId, touchUpId } from '../show/compositeIds'
import { derived } from '../show/derived'
import type { TouchUp, Venue } from '../show/entities'
import { asVenueId, type VenueId } from '../show/ids'
import type { Show } from '../show/show'
import { palettesInOrder } from '../palettes/resolve'
import { ON_HANG, PLACE_FIELDS, PLACE_OF, PLACED_KINDS, type PlacedKind, type PlaceKind } from './perVenueFields'
import { LEVEL_LINES, VENUE_LINES, ZONE_LINES, type StageLine } from './stageLines'

/** A number in metres or degrees, words, or nothing: it is not there in that venue. */
export type VenueValue = number | string | null

/** What a line is about: a thing of a kind, and what of it. */
export interface VenueLine {
  readonly kind: PlacedKind | 'opening' | 'zone' | 'level' | 'touchUp'
  /** The id of the thing; of zones and levels the name, of touch-ups palette and fixture. */
  readonly id: string
  readonly what: string
}

export interface VenueRow extends VenueLine {
  readonly name: string
  readonly unit: 'm' | '°' | '%' | ''
  /** One for each venue, in their order. */
  readonly values: readonly VenueValue[]
  readonly differs: boolean
}

/** Venues by the day they are played, then by name. */
export const venuesInOrder = derived(['venue'], (show): readonly { readonly id: VenueId; readonly venue: Venue }[] =>
  [...show.all.venue]
    .map(([id, venue]) => ({ id: asVenueId(id), venue }))
    .sort(
      (a, b) => (a.venue.date ?? '9').localeCompare(b.venue.date ?? '9') || a.venue.name.localeCompare(b.venue.name),
    ),
)

const SAME = 0.0005
const isOther = (a: VenueValue, b: VenueValue) =>
  typeof a === 'number' && typeof b === 'number' ? Math.abs(a - b) > SAME : a !== b

/** The line that says whether a thing is there at all: the first of it. */
function tellsAbsent({ kind, what }: VenueLine): boolean {
  if (kind === 'fixture') return what === ON_HANG
  if (kind === 'zone' || kind === 'level') return what === 'outline'
  return kind === 'opening' || kind === 'touchUp' || what === PLACE_FIELDS[kind][0]?.name
}

/** Whether venues differ in a line; those that have it not count in the line that tells so only. */
function isDifferent(values: readonly VenueValue[], withAbsent: boolean): boolean {
  const compared = withAbsent ? values : values.filter((value) => value !== null)
  return compared.some((value) => isOther(value, compared[0] ?? null))
}

/** All lines. */
export function venueSheet(show: Show): VenueRow[] {
  const venues = venuesInOrder(show)
  const row = (line: VenueLine, name: string, unit: VenueRow['unit'], of: (venue: VenueId) => VenueValue): VenueRow => {
    const values = venues.map(({ id }) => of(id))
    return { ...line, name, unit, values, differs: isDifferent(values, tellsAbsent(line)) }
  }
  return [...placedRows(show, row), ...stageRows(show, row), ...touchUpRows(show, row)]
}

type MakeRow = (line: VenueLine, name: string, unit: VenueRow['unit'], of: (venue: VenueId) => VenueValue) => VenueRow

function placedRows(show: Show, row: MakeRow): VenueRow[] {
  return PLACED_KINDS.flatMap((kind) =>
    thingsOf(show, kind).flatMap(({ id, name }) => {
      const on = (venue: VenueId) => whereHung(show, venue, id)
      const hung = kind === 'fixture' ? [row({ kind, id, what: ON_HANG }, name, '', on)] : []
      return [...hung, ...numberRows(show, row, kind, id, name)]
    }),
  )
}

function numberRows<K extends PlacedKind>(show: Show, row: MakeRow, kind: K, id: string, name: string): VenueRow[] {
  return PLACE_FIELDS[kind].map((field) =>
    row({ kind, id, what: field.name }, name, field.unit, (venue) => {
      const place = show.all[PLACE_OF[kind]].get(placeId(venue, id))
      return place === undefined ? null : field.get(place)
    }),
  )
}

/** The things that have places, each with the name a person knows it by, in their usual order. */
function thingsOf(show: Show, kind: PlacedKind): { id: string; name: string }[] {
  if (kind === 'fixture')
    return wholeFixtures(show)
      .sort(([, a], [, b]) => byNumber(a, b))
      .map(([id, fixture]) => ({ id, name: fixtureNumber(fixture) }))
  if (kind === 'target')
    return [...show.all.target].flatMap(([id, { name, setPiece }]) => (setPiece === null ? [{ id, name }] : []))
  return [...show.all[kind]].map(([id, { name }]) => ({ id, name }))
}

/** The hang a fixture is on in a venue, or "by 61" where a substitute plays it; null where it is absent. */
export function whereHung({ all }: Show, venue: string, fixture: string): string | null {
  const place = all.fixturePlace.get(placeId(venue, fixture))
  if (place) return all.hang.get(place.hang)?.name ?? null
  const substitute = all.substitute.get(placeId(venue, fixture))
  const by = substitute && all.fixture.get(substitute.by)
  return by ? `by ${fixtureNumber(by)}` : null
}

function stageRows(show: Show, row: MakeRow): VenueRow[] {
  const of = (id: VenueId) => show.all.venue.get(id)
  const stage = VENUE_LINES.map(({ what, unit, get }) =>
    row({ kind: 'opening', id: 'opening', what }, what === 'outline' ? 'Stage' : 'Opening', unit, (id) => {
      const venue = of(id)
      return venue ? get(venue) : null
    }),
  )
  const zones = partRows(show, row, 'zone', ZONE_LINES, ({ keepClear }) => keepClear)
  const levels = partRows(show, row, 'level', LEVEL_LINES, (venue) => venue.levels)
  return [...stage, ...zones, ...levels]
}

/** The lines of what venues have several of, known by name. */
function partRows<T extends { readonly name: string }>(
  show: Show,
  row: MakeRow,
  kind: 'zone' | 'level',
  lines: readonly StageLine<T>[],
  partsOf: (venue: Venue) => readonly T[],
): VenueRow[] {
  const parts = new Map([...show.all.venue].map(([id, venue]) => [id, partsOf(venue)]))
  const names = [...new Set([...parts.values()].flat().map(({ name }) => name))]
  return names.flatMap((name) =>
    lines.map(({ what, unit, get }) =>
      row({ kind, id: name, what }, name, unit, (venue) => {
        const part = parts.get(venue)?.find((one) => one.name === name)
        return part ? get(part) : null
      }),
    ),
  )
}

/** What of a touch-up there is a line for. */
interface Touch {
  readonly what: string
  readonly unit: 'm' | '°'
  readonly get: (touchUp: TouchUp) => number
  readonly put: (touchUp: TouchUp, value: number) => TouchUp
}
const along = (axis: 'x' | 'y' | 'z', what: string): Touch => ({
  what,
  unit: 'm',
  get: ({ offset }) => offset[axis],
  put: (touchUp, value) => ({ ...touchUp, offset: { ...touchUp.offset, [axis]: value } }),
})
const about = (axis: 'pan' | 'tilt'): Touch => ({
  what: axis,
  unit: '°',
  get: (touchUp) => touchUp[axis],
  put: (touchUp, value) => ({ ...touchUp, [axis]: value }),
})
export const TOUCHES: readonly Touch[] = [
  along('x', 'to stage left'),
  along('y', 'upstage'),
  along('z', 'up'),
  about('pan'),
  about('tilt'),
]

function touchUpRows(show: Show, row: MakeRow): VenueRow[] {
  const touchUps = [...show.all.touchUp.values()]
  return palettesInOrder(show).flatMap(({ id, palette }) => {
    const fixtures = new Set(touchUps.filter((one) => one.palette === id).map(({ fixture }) => fixture))
    return [...wholeFixtures(show)]
      .filter(([fixture]) => fixtures.has(fixture))
      .flatMap(([fixture, of]) => {
        const inVenue = (venue: string) => show.all.touchUp.get(touchUpId(venue, id, fixture))
        return TOUCHES.filter(({ get }) => touchUps.some((one) => isOf(one, id, fixture) && get(one) !== 0)).map(
          ({ what, unit, get }) =>
            row(
              { kind: 'touchUp', id: `${id} ${fixture}`, what },
              `${palette.name}, ${fixtureNumber(of)}`,
              unit,
              (venue) => {
                const found = inVenue(venue)
                return found ? get(found) : null
              },
            ),
        )
      })
  })
}

const isOf = (one: TouchUp, palette: string, fixture: string) => one.palette === palette && one.fixture === fixture

/** How many fixtures that hang in some venue have no place in one, and how many of them another plays there. */
export function absentIn(show: Show, venue: VenueId): { readonly absent: number; readonly played: number } {
  const hung = new Set([...show.all.fixturePlace.values()].map(({ fixture }) => fixture))
  const wanting = [...hung].filter((fixture) => !show.all.fixturePlace.has(placeId(venue, fixture)))
  const played = wanting.filter((fixture) => show.all.substitute.has(placeId(venue, fixture))).length
  return { absent: wanting.length - played, played }
}

/** What stands in a venue only and goes with it. */
export function belongingsOf({ all }: Show, venue: VenueId) {
  const count = (kind: PlaceKind | 'touchUp' | 'substitute') =>
    [...all[kind].values()].filter((one) => one.venue === venue).length
  const places = PLACED_KINDS.reduce((sum, kind) => sum + count(PLACE_OF[kind]), 0)
  return { places, touchUps: count('touchUp'), substitutes: count('substitute') }
}
