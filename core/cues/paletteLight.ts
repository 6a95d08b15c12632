/** Where the light of a palette falls, kept while nothing moves. */
import { LEADING } from '../attributes/catalogue'
import { HOME } from '../kinematics/head'
import { paletteValueFor } from '../palettes/resolve'
import { servedBy } from '../palettes/use'
import { derivedEach } from '../show/derived'
import type { PaletteId } from '../show/ids'
import { RIG_KINDS } from '../show/rig'
import { STAGE_KINDS } from '../venue/stage'
import { pictureNear, type StageFixture } from './onStage'

/** The fixtures a palette gives a place, as it would have them. */
export const paletteLight = derivedEach(
  ['paletteValue', 'touchUp', ...STAGE_KINDS, ...RIG_KINDS],
  (show, palette: PaletteId): readonly StageFixture[] =>
    servedBy(show, palette)
      .filter((rigged) => paletteValueFor(show, palette, rigged, LEADING.place) !== null)
      .map((rigged) =>
        pictureNear(
          show,
          rigged,
          (_, attribute) => paletteValueFor(show, palette, rigged, attribute),
          () => HOME,
        ),
      ),
)
