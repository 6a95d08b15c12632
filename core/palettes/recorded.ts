/** With which fixtures a palette was recorded, however widely its values serve. */
import { rollup } from 'd3-array'
import { recordedFixtureId } from '../show/compositeIds'
import { derived } from '../show/derived'
import type { Draft } from '../show/draft'
import type { FixtureId, PaletteId } from '../show/ids'
import type { Show, ShowPart } from '../show/show'

/** Notes fixtures that values of a palette were recorded from. */
export function noteRecorded(draft: Draft, palette: PaletteId, fixtures: Iterable<FixtureId>): void {
  for (const fixture of fixtures)
    draft.put('recordedFixture', recordedFixtureId(palette, fixture), { palette, fixture })
}

/** Forgets which fixtures a palette was recorded with: those that `isMeant`. */
export function forgetRecorded(
  show: Show,
  draft: Draft,
  palette: string,
  isMeant: (fixture: FixtureId) => boolean = () => true,
): void {
  for (const [id, recorded] of show.all.recordedFixture)
    if (recorded.palette === palette && isMeant(recorded.fixture)) draft.remove('recordedFixture', id)
}

const recordedByPalette = derived(['recordedFixture'], (show): ReadonlyMap<string, ReadonlySet<FixtureId>> =>
  rollup(
    show.all.recordedFixture.values(),
    (recorded) => new Set(recorded.map(({ fixture }) => fixture)),
    ({ palette }) => palette,
  ),
)

const NOBODY: ReadonlySet<FixtureId> = new Set()

/** The fixtures a palette was recorded with; none for one that was made from a target or a type. */
export function recordedWith(show: ShowPart<'recordedFixture'>, palette: string): ReadonlySet<FixtureId> {
  return recordedByPalette(show).get(palette) ?? NOBODY
}
