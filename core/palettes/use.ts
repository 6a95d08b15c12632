/** Where palettes are used, and whom they serve. */
import { derived } from '../show/derived'
import { rigOf, type RiggedFixture } from '../show/rig'
import type { PaletteId } from '../show/ids'
import type { Show } from '../show/show'
import { attributesServed, contentsOf } from './resolve'

/** How many cues hold a link to each palette, directly. */
export const cueCounts = derived(['cueValue'], (show): ReadonlyMap<string, number> => {
  const cuesOf = new Map<string, Set<string>>()
  for (const { cue, value } of show.all.cueValue.values()) {
    if (value.kind !== 'link') continue
    const cues = cuesOf.get(value.palette)
    if (cues) cues.add(cue)
    else cuesOf.set(value.palette, new Set([cue]))
  }
  return new Map([...cuesOf].map(([palette, cues]) => [palette, cues.size]))
})

/** Every fixture a palette holds something for, by number. */
export function servedBy(show: Show, palette: PaletteId): RiggedFixture[] {
  const contents = contentsOf(show).get(palette)
  if (!contents) return []
  const rig = rigOf(show)
  if (contents.any.size > 0 || contents.kind.size > 0)
    return [...rig.values()].filter((rigged) => attributesServed(show, palette, rigged).length > 0)
  const named = new Set([...contents.own.values()].flatMap((byFixture) => [...byFixture.keys()]))
  return [...rig.values()].filter((rigged) => named.has(rigged.id))
}
