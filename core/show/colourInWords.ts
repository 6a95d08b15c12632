/** Colours as people read them. */
import { hexOf } from '../colour/colour'
import { colourPartName, isColourPart } from '../attributes/colourPart'
import type { PlainColour } from './values'

const percent = (level: number) => `${Math.round(level * 100)} %`

/** "#ffb347", "#ffb347 at 40 %", "Red 50 %, Blue 100 %", "all parts out". */
export function colourInWords(colour: PlainColour): string {
  if (colour.kind === 'colour') {
    const hex = hexOf({ ...colour, level: 1 })
    return colour.level < 0.995 ? `${hex} at ${percent(colour.level)}` : hex
  }
  const said = Object.entries(colour.parts).filter(([, level]) => level > 0)
  if (said.length === 0) return 'all parts out'
  return said.map(([part, level]) => `${isColourPart(part) ? colourPartName(part) : part} ${percent(level)}`).join(', ')
}
