/** Links from palette to palette: whom a palette is made of, and loops that may not be made. */
import { derived } from './derived'
import { asPaletteId, type PaletteId } from './ids'
import type { Show } from './show'

/** The palettes each palette links to, directly. */
export const linksOf = derived(['paletteValue'], (show): ReadonlyMap<string, ReadonlySet<PaletteId>> => {
  const links = new Map<string, Set<PaletteId>>()
  for (const { palette, value } of show.all.paletteValue.values()) {
    if (value.kind !== 'link') continue
    const known = links.get(palette)
    if (known) known.add(value.palette)
    else links.set(palette, new Set([value.palette]))
  }
  return links
})

/** The palettes that link to a palette, directly or through others. */
export function madeOf(show: Show, part: PaletteId): PaletteId[] {
  const found = new Set<string>([part])
  for (let grown = true; grown;) {
    grown = false
    for (const [palette, parts] of linksOf(show))
      if (!found.has(palette) && [...parts].some((id) => found.has(id))) grown = Boolean(found.add(palette))
  }
  found.delete(part)
  return [...found].map(asPaletteId)
}

/** The way from a palette over its links back to `palette`, both ends included; null when there is none. */
export function wayTo(show: Show, from: PaletteId, palette: PaletteId): PaletteId[] | null {
  const seen = new Set<PaletteId>()
  const walk = (at: PaletteId): PaletteId[] | null => {
    if (at === palette) return [at]
    if (seen.has(at)) return null
    seen.add(at)
    for (const next of linksOf(show).get(at) ?? []) {
      const rest = walk(next)
      if (rest) return [at, ...rest]
    }
    return null
  }
  return walk(from)
}

/** A chain of links may be this long: every palette in it counts. */
export const DEEPEST_LINK = 32

/** How many palettes the longest chain of links from each palette has, itself included; Infinity for one in a loop. */
export const depthsOf = derived(['paletteValue'], (show): ReadonlyMap<string, number> => {
  const depths = new Map<string, number>()
  const under = new Set<string>()
  const depth = (palette: string): number => {
    const known = depths.get(palette)
    if (known !== undefined) return known
    if (under.has(palette)) return Infinity
    under.add(palette)
    const parts = [...(linksOf(show).get(palette) ?? [])].map(depth)
    under.delete(palette)
    const found = 1 + Math.max(0, ...parts)
    depths.set(palette, found)
    return found
  }
  for (const palette of linksOf(show).keys()) depth(palette)
  return depths
})

/** A palette from which links nest deeper than they may; null when there is none. */
export function tooDeep(show: Show): PaletteId | null {
  for (const [palette, depth] of depthsOf(show)) if (depth > DEEPEST_LINK) return asPaletteId(palette)
  return null
}

/** A loop of links by way of one of these palettes, both ends included; null when there is none. */
export function loopThrough(show: Show, palettes: Iterable<string>): PaletteId[] | null {
  for (const palette of palettes)
    for (const part of linksOf(show).get(palette) ?? []) {
      const way = wayTo(show, part, asPaletteId(palette))
      if (way) return [asPaletteId(palette), ...way]
    }
  return null
}
