/** What a value of intensity comes to. */
import { LEADING } from '../attributes/catalogue'
import { resolveValue } from '../palettes/resolve'
import type { FixtureId } from '../show/ids'
import { rigOf, type RigKind } from '../show/rig'
import type { ShowPart } from '../show/show'
import type { Value } from '../show/values'

/** An intensity, 0 to 1, or null where the value gives none. */
export function levelOf(
  show: ShowPart<'paletteValue' | 'touchUp' | RigKind>,
  fixture: FixtureId,
  value: Value | null,
): number | null {
  const rigged = rigOf(show).get(fixture)
  const plain = rigged && value ? resolveValue(show, rigged, LEADING.light, value).value : null
  return plain?.kind === 'number' ? plain.number : null
}
