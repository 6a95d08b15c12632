/** What stands in a cell of the carry sheet, in words. */
import type { SheetPoint } from '#core/cues/carrySheet'
import { valueInWords } from '#core/refocus/paletteLines'
import { rigOf } from '#core/show/rig'
import type { Show } from '#core/show/show'

/** The name of its palette, or its first value. */
export function sheetWords(show: Show, { stored, palette }: SheetPoint): string {
  const linked = palette && show.all.palette.get(palette)
  if (linked) return linked.name
  const [first] = stored
  if (!first) return ''
  return valueInWords(show, first.value, first.attribute, rigOf(show).get(first.fixture)?.type)
}
