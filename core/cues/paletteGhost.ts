/** What recalling a palette would do to the stage picture, before it is recalled. */
import { LEADING } from '../attributes/catalogue'
import { attributesServed, paletteValueFor } from '../palettes/resolve'
import type { FixtureId, PaletteId, PersonId } from '../show/ids'
import { rigOf } from '../show/rig'
import type { Show } from '../show/show'
import { pictureOf, stageLookup, type StageFixture } from './onStage'

/**
 * Fixtures as a person's recall would have them: what the palette leaves alone stays as it stands.
 * Left out are those it does not serve, those that show all of it already, and, where it gives no
 * place, those in the dark: `isSeen` tells which are not.
 */
export function paletteGhost(
  show: Show,
  person: PersonId,
  palette: PaletteId,
  fixtures: readonly FixtureId[],
  isSeen: (fixture: FixtureId) => boolean,
): StageFixture[] {
  const rig = rigOf(show)
  const stands = stageLookup(show, person)
  return fixtures.flatMap((id) => {
    const rigged = rig.get(id)
    if (!rigged) return []
    const served = attributesServed(show, palette, rigged)
    const isShown = served.every((attribute) => {
      const value = stands(id, attribute)
      return value?.kind === 'link' && value.palette === palette
    })
    if (isShown || (!served.includes(LEADING.place) && !isSeen(id))) return []
    return pictureOf(
      show,
      rigged,
      (of, attribute) => paletteValueFor(show, palette, rigged, attribute) ?? stands(of, attribute),
    )
  })
}
