/** Palettes that say the same. */
import { group, rollup } from 'd3-array'
import { derived } from '../show/derived'
import type { PaletteValue } from '../show/entities'
import type { PaletteId } from '../show/ids'
import { palettesInOrder } from './resolve'

/** Groups of two and more palettes on one shelf with the same values for the same fixtures, by number. */
export const duplicatePalettes = derived(['paletteValue', 'palette'], (show): readonly (readonly PaletteId[])[] => {
  const contents = rollup(
    show.all.paletteValue.values(),
    (values) => values.map(lineOf).sort().join('\n'),
    ({ palette }) => palette,
  )
  const filled = palettesInOrder(show).filter(({ id }) => contents.has(id))
  const alike = group(filled, ({ id, palette }) => `${palette.shelf}\n${contents.get(id) ?? ''}`)
  return [...alike.values()].flatMap((same) => (same.length > 1 ? [same.map(({ id }) => id)] : []))
})

function lineOf({ fixture, fixtureType, attribute, value }: PaletteValue): string {
  return JSON.stringify([fixture, fixtureType, attribute, sorted(value)])
}

/** A value's parts in one order, so that the same value always reads the same. */
function sorted(value: unknown): unknown {
  if (typeof value !== 'object' || value === null) return value
  return Object.entries(value)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([key, part]) => [key, sorted(part)])
}
