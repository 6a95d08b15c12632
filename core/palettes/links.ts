/** Links from palette to palette: whom a palette is made of, and loops that may not be made. */
import { derived } from '../show/derived'
import { asPaletteId, type PaletteId } from '../show/ids'
import type { Show } from '../show/show'
import type { Value } from '../show/values'

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

/** The loop that storing values in a palette would make, as names: "Look → Bow → Look"; null for none. */
export function loopMade(show: Show, palette: PaletteId, values: readonly { readonly value: Value }[]): string | null {
  for (const { value } of values) {
    const way = value.kind === 'link' ? wayTo(show, value.palette, palette) : null
    if (way) return [palette, ...way].map((id) => show.all.palette.get(id)?.name ?? '').join(' → ')
  }
  return null
}
