/** Lists of swatches, in their order, and the colours a show has in its palettes. */
import { group } from 'd3-array'
import { derived } from './derived'
import type { EntityOf } from './kinds'

export interface ListedSwatch {
  readonly id: string
  readonly swatch: EntityOf['swatch']
}

/** The swatches of every list, by its name. */
export const swatchesIn = derived(['swatch'], (show): ReadonlyMap<string, readonly ListedSwatch[]> => {
  const all = [...show.all.swatch].map(([id, swatch]) => ({ id, swatch }))
  return group(
    all.sort((a, b) => a.swatch.order - b.swatch.order),
    ({ swatch }) => swatch.list,
  )
})

/** A colour a palette holds. */
export interface UsedColour {
  readonly name: string
  readonly x: number
  readonly y: number
  readonly level: number
}

/** The colours that palettes hold, by the number of the palette, each once. */
export const coloursUsed = derived(['palette', 'paletteValue'], (show): readonly UsedColour[] => {
  const found = new Map<string, UsedColour & { readonly number: number }>()
  for (const { palette, value } of show.all.paletteValue.values()) {
    const holder = show.all.palette.get(palette)
    if (value.kind !== 'colour' || !holder) continue
    const { x, y, level } = value
    const key = `${x} ${y} ${level}`
    const known = found.get(key)
    if (!known || holder.number < known.number)
      found.set(key, { name: holder.name, x, y, level, number: holder.number })
  }
  return [...found.values()].sort((a, b) => a.number - b.number)
})
