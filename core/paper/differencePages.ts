/** The difference sheet of two venues: each palette that changes, what hurts most first. */
import { byHurt, differencesOf, LOSS_WORDS, lossesOf, turnOf, type PaletteDifference } from '../refocus/difference'
import type { LightThere } from '../refocus/lightThere'
import { numberOfFixture } from '../show/cells'
import { counted } from '../show/counted'
import type { VenueId } from '../show/ids'
import { showRecordOf, type Show } from '../show/show'
import { ROOM, strong, TICK, words } from './cell'
import type { Column, Leaf, Row } from './leaf'

const COLUMNS: readonly Column[] = [
  { title: '' },
  { title: 'palette' },
  { title: 'no.' },
  { title: 'turns', align: 'right' },
  { title: 'throw', align: 'right' },
  { title: 'pool', align: 'right' },
  { title: 'lux', align: 'right' },
  { title: 'worse there' },
  { title: 'room to write', width: 'rest' },
]

/** From the venue in play to another. */
export function* differencePages(show: Show, there: VenueId): Generator<Leaf | null> {
  const here = showRecordOf(show).venue
  const found: PaletteDifference[] = []
  for (const { difference } of differencesOf(show, here, there)) {
    if (difference) found.push(difference)
    yield null
  }
  const rows = found.sort(byHurt).flatMap((one) => rowsOf(show, one))
  const nameOf = (venue: VenueId) => show.all.venue.get(venue)?.name ?? ''
  yield {
    key: `difference ${there}`,
    title: `${nameOf(here)} and ${nameOf(there)}`,
    under: `difference sheet: ${counted(found.length, 'palette')}, what hurts most first; first ${nameOf(here)}, then ${nameOf(there)}`,
    isLandscape: true,
    blocks: [{ kind: 'table', columns: COLUMNS, rows }],
  }
}

function rowsOf(show: Show, { palette, fixtures }: PaletteDifference): Row[] {
  const known = show.all.palette.get(palette)
  return fixtures.map((one, i) => {
    const turn = turnOf(one)
    return {
      key: `difference ${palette} ${one.fixture}`,
      cells: [
        TICK,
        strong(i === 0 ? `${known?.number ?? ''} ${known?.name ?? ''}` : ''),
        words(numberOfFixture(show, one.fixture)),
        words(turn === null ? '' : `${turn.toFixed(1)}°`),
        pair(one.here, one.there, ({ throwMetres }) => throwMetres?.toFixed(2)),
        pair(one.here, one.there, ({ poolMetres }) => poolMetres?.toFixed(2)),
        pair(one.here, one.there, ({ lux }) => (lux === null ? undefined : String(Math.round(lux)))),
        words(
          lossesOf(one)
            .map((loss) => LOSS_WORDS[loss])
            .join(', '),
        ),
        ROOM,
      ],
    }
  })
}

function pair(here: LightThere | null, there: LightThere | null, of: (light: LightThere) => string | undefined) {
  return words([here, there].map((light) => (light && of(light)) ?? '–').join(' to '))
}
