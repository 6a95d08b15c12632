/** What the types a palette serves make of its colour. */
import { LEADING } from '../attributes/catalogue'
import { madeColour, type MadeColour } from '../show/colours'
import type { FixtureType } from '../show/entities'
import type { PaletteId } from '../show/ids'
import type { Show } from '../show/show'
import { colourIn, type PlainColour } from '../show/values'
import { paletteValueFor, resolveValue } from './resolve'
import { servedBy } from './use'

/** A colour asked of a type, and what the type makes of it. */
export interface ColourOfType {
  readonly type: FixtureType
  readonly fixtures: number
  readonly asked: PlainColour
  readonly made: MadeColour
}

/** One for each type and colour asked of it, in the order of the fixtures. */
export function paletteColours(show: Show, palette: PaletteId): ColourOfType[] {
  const found = new Map<string, ColourOfType>()
  for (const rigged of servedBy(show, palette)) {
    const stored = paletteValueFor(show, palette, rigged, LEADING.colour)
    const asked = stored && colourIn(resolveValue(show, rigged, LEADING.colour, stored).value)
    if (!asked) continue
    const key = `${rigged.fixture.type ?? ''} ${JSON.stringify(asked)}`
    const known = found.get(key)
    const { type } = rigged
    found.set(
      key,
      known ? { ...known, fixtures: known.fixtures + 1 } : { type, fixtures: 1, asked, made: madeColour(type, asked) },
    )
  }
  return [...found.values()]
}
