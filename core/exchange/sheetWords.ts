/** The carry sheet in words: a cell, and all of it as a table. */
import type { Sheet, SheetPoint } from '../cues/carrySheet'
import type { CueInOrder } from '../cues/tracking'
import { valueInWords } from '../refocus/paletteLines'
import { numberOfFixture } from '../show/cells'
import type { FixtureId } from '../show/ids'
import { rigOf } from '../show/rig'
import type { Show } from '../show/show'

/** What stands in a cell: the name of its palette, or its first value. */
export function sheetWords(show: Show, { stored, palette }: SheetPoint): string {
  const linked = palette && show.all.palette.get(palette)
  if (linked) return linked.name
  const [first] = stored
  if (!first) return ''
  return valueInWords(show, first.value, first.attribute, rigOf(show).get(first.fixture)?.type)
}

/** Cues down, fixtures across, the head first; what is carried stands in brackets, what is not there yet is empty. */
export function sheetTable(
  show: Show,
  sheet: Sheet,
  cues: readonly (CueInOrder & { readonly at: number })[],
  fixtures: readonly FixtureId[],
): string[][] {
  const numbers = fixtures.map((fixture) => numberOfFixture(show, fixture))
  const lines = cues.map(({ cue, at }) => {
    const cells = fixtures.map((fixture) => {
      const point = sheet.point(at, fixture)
      if (!point) return ''
      const words = sheetWords(show, point)
      return point.at === at ? words : `(${words})`
    })
    return [String(cue.number), cue.name, String(cue.rise), String(cue.fall), ...cells]
  })
  return [['cue', 'name', 'rise', 'fall', ...numbers], ...lines]
}
