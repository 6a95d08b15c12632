/** Travel troubles: every move that cannot be watched as it is meant. */
import { travelFindings, type TravelFindings } from '../travel/findings'
import { counted } from '../show/counted'
import type { Show } from '../show/show'
import { ROOM, strong, TICK, words } from './cell'
import type { Column, Leaf, Row } from './leaf'

const COLUMNS: readonly Column[] = [
  { title: '' },
  { title: 'list' },
  { title: 'cue', align: 'right' },
  { title: 'no.' },
  { title: 'trouble' },
  { title: 'room to write', width: 'rest' },
]

export function* travelTroubles(show: Show): Generator<Leaf> {
  const rows = troubleRows(travelFindings(show))
  yield {
    key: 'travel',
    title: 'Travel troubles',
    under: rows.length === 0 ? 'nothing is wrong with any move' : counted(rows.length, 'move'),
    isLandscape: false,
    blocks: rows.length === 0 ? [] : [{ kind: 'table', columns: COLUMNS, rows }],
  }
}

type Where = Pick<TravelFindings['tooFast'][number], 'list' | 'cue' | 'fixture'>
type Fast = TravelFindings['tooFast'][number]

function troubleRows({ tooFast, sweeps, wrongPlaces, noTime }: TravelFindings): Row[] {
  return [
    ...tooFast.map((one) => rowOf(one, `fast ${one.axis} ${one.what}`, `${one.axis} too fast: ${fastInWords(one)}`)),
    ...sweeps.map((one, i) =>
      rowOf(
        one,
        `sweep ${one.zone} ${sweeps.slice(0, i).filter((other) => isSameSweep(one, other)).length}`,
        `its beam goes through ${one.zone} ${one.fromSeconds.toFixed(1)} s in`,
      ),
    ),
    ...wrongPlaces.map((one) =>
      rowOf(one, `place ${one.family}`, `comes into ${one.family} while it is seen: ${one.why}`),
    ),
    ...noTime.map((one) =>
      rowOf(
        one,
        `time ${one.family}`,
        `${one.family} has no time in the dark, ${one.shortSeconds.toFixed(1)} s too short`,
      ),
    ),
  ]
}

type Swept = TravelFindings['sweeps'][number]
const isSameSweep = (a: Swept, b: Swept) =>
  a.list === b.list && a.cue === b.cue && a.fixture === b.fixture && a.zone === b.zone

/** More than any motor does is not told in numbers. */
const BEYOND = 99_999
const UNITS = { speed: '°/s', acceleration: '°/s²', time: 's' } as const
function fastInWords({ what, needed, possible, shortestSeconds, lagMetres }: Fast): string {
  const unit = UNITS[what]
  const needs = needed > BEYOND ? 'far more' : `${needed.toFixed(1)} ${unit}`
  const parts = [`needs ${needs}, does ${possible.toFixed(1)} ${unit}`]
  if (lagMetres !== null) parts.push(`${lagMetres.toFixed(2)} m behind`)
  if (shortestSeconds !== null) parts.push(`in ${shortestSeconds.toFixed(1)} s it would do`)
  return parts.join('; ')
}

function rowOf({ list, cue, fixture }: Where, what: string, trouble: string): Row {
  return {
    key: `travel ${list} ${cue} ${fixture} ${what}`,
    cells: [TICK, words(list), strong(String(cue)), words(fixture), words(trouble), ROOM],
  }
}
