/** Tells whether the contents of a palette are still what they were. */
import { group } from 'd3-array'
import type { CueContent } from '../show/values'
import type { PaletteValue } from '../show/entities'
import type { Show } from '../show/show'

type Contents = readonly PaletteValue[]
const NOTHING: Contents = []

export class PaletteVersions {
  #contents: ReadonlyMap<string, Contents> = new Map()
  #all: unknown = null

  /** From here on `of` tells by this show. */
  follow(show: Show): void {
    if (show.all.paletteValue === this.#all) return
    this.#all = show.all.paletteValue
    const known = this.#contents
    const now = group(show.all.paletteValue.values(), ({ palette }) => palette)
    this.#contents = new Map([...now].map(([palette, values]) => [palette, kept(known.get(palette), values)]))
  }

  /** What a stored value leans on: the same object as long as its palette holds the same; null for one that leans on none. */
  of(value: CueContent): Contents | null {
    return value.kind === 'link' ? (this.#contents.get(value.palette) ?? NOTHING) : null
  }
}

function kept(before: Contents | undefined, now: Contents): Contents {
  return before?.length === now.length && now.every((value, i) => value === before[i]) ? before : now
}
