/** Whom palettes come to serve, and whom no longer, when what they hold changes. */
import { servedBy } from '../palettes/use'
import type { FixtureId, PaletteId } from '../show/ids'
import type { Show } from '../show/show'
import { palettesWithOtherContents } from './paletteLines'

/** The fixtures a palette holds something for afterwards and did not before, and the other way round. */
export interface MembersEffect {
  readonly palette: PaletteId
  readonly joining: readonly FixtureId[]
  readonly leaving: readonly FixtureId[]
}

export function changedMembers(before: Show, after: Show): MembersEffect[] {
  return palettesWithOtherContents(before, after).flatMap((palette) => {
    const [was, is] = [before, after].map((show) => servedBy(show, palette).map(({ id }) => id))
    const joining = without(is, was)
    const leaving = without(was, is)
    return joining.length + leaving.length > 0 ? [{ palette, joining, leaving }] : []
  })
}

function without(ids: readonly FixtureId[] = [], others: readonly FixtureId[] = []): FixtureId[] {
  const known = new Set(others)
  return ids.filter((id) => !known.has(id))
}
