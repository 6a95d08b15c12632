/** What a fixture rests at when nothing else sets it: the palette the show rests at. */
import { paletteValueFor } from '../palettes/resolve'
import type { Attribute } from '../attributes/attribute'
import type { RiggedFixture } from '../show/rig'
import { showRecordOf, type ShowPart } from '../show/show'
import type { Value } from '../show/values'

/** A link to the palette the show rests at, where it serves the fixture; null leaves it at home. */
export function atRest(
  show: ShowPart<'paletteValue' | 'touchUp' | 'show'>,
  rigged: RiggedFixture,
  attribute: Attribute,
): Value | null {
  const { rest } = showRecordOf(show)
  if (rest === null || paletteValueFor(show, rest, rigged, attribute) === null) return null
  return { kind: 'link', palette: rest }
}
