/** Links from palette to palette: whom a palette is made of, and loops that may not be made. */
import { derived } from './derived'
import { asPaletteId, type PaletteId } from './ids'
import type { ShowPart } from './show'

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
export function madeOf(show: ShowPart<'paletteValue'>, part: PaletteId): PaletteId[] {
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
export function wayTo(show: ShowPart<'paletteValue'>, from: PaletteId, palette: PaletteId): PaletteId[] | null {
  const cameFrom = new Map<PaletteId, PaletteId | null>([[from, null]])
  // A map is walked in the order in which it grows.
  for (const [at] of cameFrom) {
    if (at === palette) return wayBack(cameFrom, at)
    for (const next of linksOf(show).get(at) ?? []) if (!cameFrom.has(next)) cameFrom.set(next, at)
  }
  return null
}

function wayBack(cameFrom: ReadonlyMap<PaletteId, PaletteId | null>, end: PaletteId): PaletteId[] {
  const way: PaletteId[] = []
  for (let at: PaletteId | null = end; at !== null; at = cameFrom.get(at) ?? null) way.unshift(at)
  return way
}

/** A chain of links may be this long: every palette in it counts. */
export const DEEPEST_LINK = 32
/** Chains are not followed further than this; they are too long by then. */
const FAR = 1000

/** How many palettes the longest chain of links from each palette has, itself included; Infinity for one in a loop or very far down. */
export const depthsOf = derived(['paletteValue'], (show): ReadonlyMap<string, number> => {
  const depths = new Map<string, number>()
  const under = new Set<string>()
  const depth = (palette: string): number => {
    const known = depths.get(palette)
    if (known !== undefined) return known
    if (under.has(palette) || under.size > FAR) return Infinity
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
export function tooDeep(show: ShowPart<'paletteValue'>): PaletteId | null {
  for (const [palette, depth] of depthsOf(show)) if (depth > DEEPEST_LINK) return asPaletteId(palette)
  return null
}

/** A loop of links that is met from one of these palettes, both ends included; null when there is none. */
export function loopThrough(show: ShowPart<'paletteValue'>, palettes: Iterable<string>): PaletteId[] | null {
  const links = linksOf(show)
  const isDone = new Set<string>()
  for (const start of palettes) {
    /** The way down to where we are, and what is still to be followed from each. */
    const way = [{ at: start, parts: links.get(start)?.values() }]
    const under = new Set([start])
    for (let last = way.at(-1); last; last = way.at(-1)) {
      const next = last.parts?.next()
      if (!next || next.done) {
        under.delete(last.at)
        isDone.add(last.at)
        way.pop()
        continue
      }
      const part: string = next.value
      if (under.has(part))
        return [...way.map(({ at }) => at).slice(way.findIndex(({ at }) => at === part)), part].map(asPaletteId)
      if (isDone.has(part)) continue
      under.add(part)
      way.push({ at: part, parts: links.get(part)?.values() })
    }
  }
  return null
}
