/** The patch by fixture number, and the hook-up by address. */
import { group } from 'd3-array'
import { footprintOf, patchFaultInWords, patchFaults, spansOf } from '../patch/span'
import { whereHung } from '../refocus/venueSheet'
import { counted } from '../show/counted'
import { byNumber, fixtureNumber, wholeFixtures } from '../show/cells'
import type { FixtureId } from '../show/ids'
import { showRecordOf, type Show } from '../show/show'
import { ROOM, strong, TICK, words } from './cell'
import type { Column, Leaf, Row } from './leaf'

const PATCH_COLUMNS: readonly Column[] = [
  { title: 'no.' },
  { title: 'name' },
  { title: 'type' },
  { title: 'mode' },
  { title: 'universe', align: 'right' },
  { title: 'address', align: 'right' },
  { title: 'channels', align: 'right' },
  { title: 'hangs on' },
  { title: 'note', width: 'rest' },
]
const HOOK_UP_COLUMNS: readonly Column[] = [
  { title: '' },
  { title: 'address', align: 'right' },
  { title: 'to', align: 'right' },
  { title: 'no.' },
  { title: 'type' },
  { title: 'mode' },
  { title: 'hangs on' },
  { title: 'room to write', width: 'rest' },
]

export function* patchSheets(show: Show): Generator<Leaf> {
  const fixtures = wholeFixtures(show).sort(([, a], [, b]) => byNumber(a, b))
  if (fixtures.length === 0) return
  yield {
    key: 'patch',
    title: 'Patch',
    under: counted(fixtures.length, 'fixture'),
    isLandscape: false,
    blocks: [{ kind: 'table', columns: PATCH_COLUMNS, rows: fixtures.map(([id]) => patchRow(show, id)) }],
  }
}

function patchRow(show: Show, id: FixtureId): Row {
  const fixture = show.all.fixture.get(id)
  const span = spansOf(show).find((one) => one.fixture === id)
  const fault = patchFaults(show).get(id)
  const said = fault && span ? patchFaultInWords(fault, span) : ''
  return {
    key: `patch ${id}`,
    cells: [
      strong(fixture ? fixtureNumber(fixture) : ''),
      words(fixture?.name ?? ''),
      words(typeOf(show, id)),
      words(modeOf(show, id)),
      words(String(fixture?.universe ?? '')),
      words(String(fixture?.address ?? '')),
      words(span ? String(footprintOf(show, id)) : ''),
      words(whereHung(show, showRecordOf(show).venue, id) ?? 'does not hang here'),
      words([said, fixture?.note ?? ''].filter(Boolean).join('; ')),
    ],
  }
}

/** A leaf for each universe that something is patched in. */
export function* hookUpSheets(show: Show): Generator<Leaf> {
  for (const [universe, spans] of group(spansOf(show), (span) => span.universe)) {
    const rows = spans.map(({ fixture, first, last }) => ({
      key: `hook-up ${fixture}`,
      cells: [
        TICK,
        strong(String(first)),
        words(String(last)),
        words(fixtureNumber(show.all.fixture.get(fixture) ?? { number: 0, cell: null })),
        words(typeOf(show, fixture)),
        words(modeOf(show, fixture)),
        words(whereHung(show, showRecordOf(show).venue, fixture) ?? 'does not hang here'),
        ROOM,
      ],
    }))
    yield {
      key: `hook-up ${universe}`,
      title: `Universe ${universe}`,
      under: 'hook-up by address',
      isLandscape: false,
      blocks: [{ kind: 'table', columns: HOOK_UP_COLUMNS, rows }],
    }
  }
}

function typeOf({ all }: Show, id: FixtureId): string {
  return all.fixtureType.get(all.fixture.get(id)?.type ?? '')?.name ?? 'no type'
}

function modeOf({ all }: Show, id: FixtureId): string {
  return all.fixtureMode.get(all.fixture.get(id)?.mode ?? '')?.name ?? ''
}
