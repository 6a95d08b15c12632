/** Palettes that say the same. */
import { derived } from '../show/derived'
import type { PaletteId } from '../show/ids'
import { palettesInOrder } from './resolve'

/** Groups of two and more palettes on one shelf with the same values for the same fixtures, by number. */
export const duplicatePalettes = derived(['paletteValue', 'palette'], (show): readonly (readonly PaletteId[])[] => {
  const contents = new Map<string, string[]>()
  for (const { palette, fixture, fixtureType, attribute, value } of show.all.paletteValue.values()) {
    const line = JSON.stringify([fixture, fixtureType, attribute, sorted(value)])
    const known = contents.get(palette)
    if (known) known.push(line)
    else contents.set(palette, [line])
  }
  const alike = new Map<string, PaletteId[]>()
  for (const { id, palette } of palettesInOrder(show)) {
    const lines = contents.get(id)
    if (!lines) continue
    const key = `${palette.shelf}\n${lines.sort().join('\n')}`
    const known = alike.get(key)
    if (known) known.push(id)
    else alike.set(key, [id])
  }
  return [...alike.values()].filter((group) => group.length > 1)
})

/** A value's parts in one order, so that the same value always reads the same. */
function sorted(value: unknown): unknown {
  if (typeof value !== 'object' || value === null) return value
  return Object.entries(value)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([key, part]) => [key, sorted(part)])
}
