/** Tells whether what a palette gives is still what it was. */
import { group } from 'd3-array'
import type { PaletteValue, TouchUp } from '../show/entities'
import { derived } from '../show/derived'
import type { PaletteId } from '../show/ids'
import type { ShowPart } from '../show/show'
import type { CueContent } from '../show/values'
import { isAlike } from '../show/isAlike'
import { touchUpsIn } from './touchUps'

/** What a palette holds, and of those its values link to; the same object as long as none of it changes. */
interface Version {
  readonly values: readonly PaletteValue[]
  readonly linked: readonly Version[]
  readonly touchUps: readonly (readonly TouchUp[])[]
}

const EMPTY: Version = { values: [], linked: [], touchUps: [] }

/** Those told last, as long as their show is there: what has not changed since stays the same object. */
let newest: WeakRef<ReadonlyMap<string, Version>> | null = null

const versions = derived(['paletteValue', 'touchUp'], (show): ReadonlyMap<string, Version> => {
  const before = newest?.deref()
  const values = group(show.all.paletteValue.values(), ({ palette }) => palette)
  const now = new Map<string, Version>()
  const versionOfPalette = (palette: PaletteId): Version => {
    const known = now.get(palette)
    if (known) return known
    // Links that ran in a circle would be refused; here they must not run for ever.
    now.set(palette, EMPTY)
    const own = values.get(palette) ?? []
    const linked = own.flatMap(({ value }) => (value.kind === 'link' ? [versionOfPalette(value.palette)] : []))
    const version = kept(before?.get(palette), { values: own, linked, touchUps: touchUpsIn(show, palette) })
    now.set(palette, version)
    return version
  }
  for (const palette of values.keys()) versionOfPalette(palette)
  newest = new WeakRef(now)
  return now
})

/** What a value leans on: the same object as long as its palette gives the same; null for one that leans on none. */
export function versionOf(show: ShowPart<'paletteValue' | 'touchUp'>, value: CueContent | null): object | null {
  return value?.kind === 'link' ? (versions(show).get(value.palette) ?? EMPTY) : null
}

function kept(before: Version | undefined, now: Version): Version {
  const isSame =
    before &&
    isAlike(before.values, now.values) &&
    isAlike(before.linked, now.linked) &&
    isAlike(before.touchUps, now.touchUps)
  return isSame ? before : now
}
