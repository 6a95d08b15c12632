/** The carry sheet: for every cue and fixture, whether a value is set there, carried or absent. */
import { familyOf, type Family } from '../show/families'
import { valuesByCue, type ListInOrder } from './tracking'
import type { CueValue } from '../show/entities'
import type { CueId, FixtureId, PaletteId } from '../show/ids'
import type { Show } from '../show/show'

/** `set` here or `carried` from an earlier cue; `palette` is null for a loose value. */
export interface SheetCell {
  readonly how: 'set' | 'carried'
  readonly palette: PaletteId | null
}

export interface SheetRow {
  readonly cue: CueId
  readonly cells: ReadonlyMap<FixtureId, SheetCell>
}

/** The sheet of a list for one family. A fixture's first value of the family in a cue stands for it. */
export function carrySheet(show: Show, list: ListInOrder, family: Family): SheetRow[] {
  const byCue = valuesByCue(show)
  let carried: ReadonlyMap<FixtureId, SheetCell> = new Map()
  return list.cues.map(({ id }) => {
    const cells = new Map<FixtureId, SheetCell>(carried)
    for (const value of byCue.get(id) ?? [])
      if (familyOf(value.attribute) === family) cells.set(value.fixture, { how: 'set', palette: paletteOf(value) })
    carried = new Map([...cells].map(([fixture, { palette }]) => [fixture, { how: 'carried', palette }]))
    return { cue: id, cells }
  })
}

function paletteOf({ value }: CueValue): PaletteId | null {
  return value.kind === 'link' ? value.palette : null
}
