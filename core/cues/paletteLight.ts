/** Where the light of a palette falls, kept while nothing moves. */
import { HOME } from '../kinematics/head'
import { paletteValueFor } from '../palettes/resolve'
import { servedBy } from '../palettes/use'
import { derived } from '../show/derived'
import type { PaletteId } from '../show/ids'
import type { Show } from '../show/show'
import { pictureOf, type StageFixture } from './onStage'

const pictures = derived(
  [
    'paletteValue',
    'fixturePlace',
    'hangPlace',
    'targetPlace',
    'setPiecePlace',
    'target',
    'fixture',
    'fixtureType',
    'hang',
    'show',
  ],
  (): Map<PaletteId, readonly StageFixture[]> => new Map(),
)

/** The fixtures a palette gives a place, as it would have them. */
export function paletteLight(show: Show, palette: PaletteId): readonly StageFixture[] {
  const known = pictures(show).get(palette)
  if (known) return known
  const lights = servedBy(show, palette)
    .filter((rigged) => paletteValueFor(show, palette, rigged, 'position') !== null)
    .map((rigged) => pictureOf(show, rigged, (_, attribute) => paletteValueFor(show, palette, rigged, attribute), HOME))
  pictures(show).set(palette, lights)
  return lights
}
