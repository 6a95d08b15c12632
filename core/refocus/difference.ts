/**
 * What two venues do to each palette, fixture by fixture: how far each head turns, how its light
 * changes, and what it can no longer do. The show itself is not changed for it.
 */
import { LEADING } from '../attributes/catalogue'
import { contentsOf, palettesInOrder, resolveValue, type PaletteContents } from '../palettes/resolve'
import type { FixtureId, PaletteId, VenueId } from '../show/ids'
import { rigOf } from '../show/rig'
import { showRecordOf, type Show } from '../show/show'
import type { LinkValue } from '../show/values'
import { GivenLights } from './givenLights'
import type { LightThere } from './lightThere'

/** A fixture of a palette or a cue in both; null where it does not hang, or is given no place or no light. */
export interface FixtureDifference {
  readonly fixture: FixtureId
  readonly here: LightThere | null
  readonly there: LightThere | null
  /** Whether its move got too fast for its motors there; only told of cues. */
  readonly isTooFast?: boolean
}

export interface PaletteDifference {
  readonly palette: PaletteId
  readonly fixtures: readonly FixtureDifference[]
}

/** How far a look at two venues has come, in palettes; and what it found of the one just looked at. */
export interface DifferenceFound {
  readonly done: number
  readonly all: number
  /** Null for a palette that gives no places. */
  readonly difference: PaletteDifference | null
}

/** A show as it plays in a venue. */
export function inVenue(show: Show, venue: VenueId): Show {
  const record = showRecordOf(show)
  if (record.venue === venue) return show
  return { id: show.id, all: { ...show.all, show: new Map([[show.id, { ...record, venue }]]) } }
}

/** Looks at every palette in two venues, one after the other; can be left off anywhere. */
export function* differencesOf(show: Show, here: VenueId, there: VenueId): Generator<DifferenceFound, void> {
  const [before, after] = [new GivenLights(inVenue(show, here)), new GivenLights(inVenue(show, there))]
  const palettes = palettesInOrder(show)
  for (const [i, { id }] of palettes.entries())
    yield { done: i + 1, all: palettes.length, difference: differenceOf(before, after, id) }
}

function differenceOf(before: GivenLights, after: GivenLights, palette: PaletteId): PaletteDifference | null {
  if (!givesPlaces(contentsOf(before.show).get(palette))) return null
  const [here, there] = [lightsOf(before, palette), lightsOf(after, palette)]
  const fixtures: FixtureDifference[] = []
  for (const [fixture, light] of here) fixtures.push({ fixture, here: light, there: there.get(fixture) ?? null })
  for (const [fixture, light] of there) if (!here.has(fixture)) fixtures.push({ fixture, here: null, there: light })
  return fixtures.length > 0 ? { palette, fixtures } : null
}

function givesPlaces(contents: PaletteContents | undefined): boolean {
  return [contents?.own, contents?.kind, contents?.any].some((values) => values?.has(LEADING.place))
}

/** The light of each fixture a palette gives a place; as wide as at home where it gives no size. */
function lightsOf(lights: GivenLights, palette: PaletteId): Map<FixtureId, LightThere> {
  const found = new Map<FixtureId, LightThere>()
  const link: LinkValue = { kind: 'link', palette }
  for (const rigged of rigOf(lights.show).values()) {
    if (rigged.bar !== null) continue
    const place = resolveValue(lights.show, rigged, LEADING.place, link)
    // What only a palette it links to lacks is given a place that cannot be had.
    if (place.broken === palette && place.through.length === 1) continue
    const width = resolveValue(lights.show, rigged, LEADING.width, link)
    found.set(rigged.id, lights.of(rigged, { place: place.value, width: width.value }))
  }
  return found
}

/** What is worse there than here. */
export const LOSSES = [
  ...(['absent', 'out of reach', 'in the way', 'keep clear'] as const),
  ...(['stays behind', 'too fast', 'too wide or narrow', 'darker'] as const),
] as const
export type Loss = (typeof LOSSES)[number]
export const LOSS_WORDS: Readonly<Record<Loss, string>> = {
  absent: 'absent there',
  'out of reach': 'out of reach',
  'in the way': 'set in the way',
  'keep clear': 'in a keep-clear zone',
  'stays behind': 'raw angles, stays behind',
  'too fast': 'too fast there',
  'too wide or narrow': 'zoom does not reach the size',
  darker: 'less than half as bright',
}

/** Light that keeps less than this part of what it was is told. */
const DARKER = 0.5

const isReached = ({ state }: LightThere) =>
  state !== 'out of reach' && state !== 'no place here' && state !== 'outside stops'

/** What a fixture loses on the way from the one venue to the other, the worst first. */
export function lossesOf({ here, there, isTooFast }: FixtureDifference): Loss[] {
  if (!here) return []
  if (!there) return ['absent']
  const losses: Loss[] = []
  if (isReached(here) && !isReached(there)) losses.push('out of reach')
  if (there.blockedBy !== null && there.blockedBy !== here.blockedBy) losses.push('in the way')
  if (there.zones.some((zone) => !here.zones.includes(zone))) losses.push('keep clear')
  // Raw angles follow nothing: what they light there is by chance.
  if (here.state === 'angles' && there.state === 'angles') losses.push('stays behind')
  if (isTooFast) losses.push('too fast')
  if (here.fits && !there.fits) losses.push('too wide or narrow')
  if (here.lux !== null && there.lux !== null && there.lux < here.lux * DARKER) losses.push('darker')
  return losses
}

/** The most either axis turns, degrees; null where it is not in both. */
export function turnOf({ here, there }: FixtureDifference): number | null {
  return here && there ? Math.max(Math.abs(there.pan - here.pan), Math.abs(there.tilt - here.tilt)) : null
}

/** How much a palette or a cue hurts: the worst loss first, then how many lose something, then how far heads turn. */
export function hurtOf({
  fixtures,
}: Pick<PaletteDifference, 'fixtures'>): readonly [worst: number, losing: number, turn: number] {
  const losses = fixtures.map(lossesOf)
  const worst = Math.min(LOSSES.length, ...losses.flat().map((loss) => LOSSES.indexOf(loss)))
  const turn = Math.max(0, ...fixtures.flatMap((one) => turnOf(one) ?? []))
  return [LOSSES.length - worst, losses.filter(({ length }) => length > 0).length, turn]
}

/** What hurts most comes first. */
export function byHurt(a: Pick<PaletteDifference, 'fixtures'>, b: Pick<PaletteDifference, 'fixtures'>): number {
  const [one, other] = [hurtOf(a), hurtOf(b)]
  return other[0] - one[0] || other[1] - one[1] || other[2] - one[2]
}
