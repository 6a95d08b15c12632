/** What came as levels, put as a show would have it. */
import type { Attribute } from '../attributes/attribute'
import type { FixtureId } from '../show/ids'
import { rigOf } from '../show/rig'
import type { Show } from '../show/show'
import type { PlainValue, Value } from '../show/values'
import { paletteGiving } from './matching'
import { NEARBY } from './rawAngles'
import { tieOf } from './tie'

/** A link to the palette that gives the same, or an aim where the light lands; as it came where it is neither. */
export function linkedOrTied(show: Show, fixture: FixtureId, attribute: Attribute, value: PlainValue): Value {
  const rigged = rigOf(show).get(fixture)
  const palette = rigged ? paletteGiving(show, rigged, attribute, value) : null
  if (palette) return { kind: 'link', palette }
  const tie = value.kind === 'angles' ? tieOf(show, fixture, value, NEARBY) : null
  return tie && typeof tie !== 'string' ? tie.aim : value
}
