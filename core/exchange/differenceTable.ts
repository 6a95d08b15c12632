/** The difference sheet of two venues as a table: a line for each fixture of each palette, what hurts most first. */
import { lossesOf, turnOf, type PaletteDifference } from '../refocus/difference'
import type { LightThere } from '../refocus/lightThere'
import { numberOfFixture } from '../show/cells'
import type { VenueId } from '../show/ids'
import { shortNumber } from '../show/shortNumber'
import type { Show } from '../show/show'
import { withoutFormula } from './aimsTable'

/** What is told of the light in each of the two venues, with its heading. */
const MEASURES: readonly (readonly [heading: string, of: (light: LightThere) => number | null])[] = [
  ['pan, °', ({ pan }) => pan],
  ['tilt, °', ({ tilt }) => tilt],
  ['throw, m', ({ throwMetres }) => throwMetres],
  ['pool, m', ({ poolMetres }) => poolMetres],
  ['lux', ({ lux }) => lux],
  ['short, °', ({ shortDegrees }) => shortDegrees],
  ['misses by, m', ({ missMetres }) => missMetres],
]

/** The lines with their headings; `here` and `there` are the venues they were looked at in. */
export function differenceTable(
  show: Show,
  differences: readonly PaletteDifference[],
  here: VenueId,
  there: VenueId,
): string[][] {
  const [from, to] = [here, there].map((venue) => withoutFormula(show.all.venue.get(venue)?.name ?? ''))
  const headings = [
    ...['palette', 'name', 'fixture', 'worse', 'turns, °'],
    ...MEASURES.flatMap(([heading]) => [`${heading} (${from})`, `${heading} (${to})`]),
    ...[`in the way (${to})`, `keep clear (${to})`],
  ]
  const lines = differences.flatMap(({ palette, fixtures }) => {
    const known = show.all.palette.get(palette)
    return fixtures.map((one) => [
      ...[String(known?.number ?? ''), withoutFormula(known?.name ?? ''), numberOfFixture(show, one.fixture)],
      ...[lossesOf(one).join('; '), written(turnOf(one))],
      ...MEASURES.flatMap(([, of]) => [one.here, one.there].map((light) => written(light && of(light)))),
      withoutFormula(show.all.setPiece.get(one.there?.blockedBy ?? '')?.name ?? ''),
      withoutFormula(one.there?.zones.join('; ') ?? ''),
    ])
  })
  return [headings, ...lines]
}

const written = (number: number | null) => (number === null ? '' : shortNumber(number, 3))
