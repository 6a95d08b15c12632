/** Where palettes are used, whom they serve, and what they hold. */
import { derived, derivedEach } from '../show/derived'
import { RIG_KINDS, rigOf, type RiggedFixture } from '../show/rig'
import { asCueId, asPaletteId, type CueId, type PaletteId } from '../show/ids'
import type { Show, ShowPart } from '../show/show'
import { linksOf, madeOf } from '../show/links'
import { recordedWith } from './recorded'
import { attributesServed, contentsOf } from './resolve'
import { counted } from '../show/counted'

/** The cues that hold a link to each palette, directly. */
const cuesByPalette = derived(['cueValue'], (show): ReadonlyMap<string, ReadonlySet<string>> => {
  const cuesOf = new Map<string, Set<string>>()
  for (const { cue, value } of show.all.cueValue.values()) {
    if (value.kind !== 'link') continue
    const cues = cuesOf.get(value.palette)
    if (cues) cues.add(cue)
    else cuesOf.set(value.palette, new Set([cue]))
  }
  return cuesOf
})

/** How many cues use each palette, directly or by way of palettes made of it. */
export const cueCounts = derived(['cueValue', 'paletteValue'], (show): ReadonlyMap<string, number> => {
  const direct = cuesByPalette(show)
  const parts = new Set([...linksOf(show).values()].flatMap((ids) => [...ids]))
  const counts = new Map([...direct].map(([palette, cues]) => [palette, cues.size]))
  for (const part of parts) counts.set(part, cuesUsing(show, part).length)
  return counts
})

/** The cues that use a palette, directly or by way of palettes made of it. */
export function cuesUsing(show: ShowPart<'cueValue' | 'paletteValue'>, palette: PaletteId): CueId[] {
  const cues = new Set<string>()
  for (const id of [palette, ...madeOf(show, palette)])
    for (const cue of cuesByPalette(show).get(id) ?? []) cues.add(cue)
  return [...cues].map(asCueId)
}

/** Every fixture a palette holds something for, by number. */
export const servedBy = derivedEach(
  ['paletteValue', ...RIG_KINDS],
  (show, palette: PaletteId): readonly RiggedFixture[] => {
    const contents = contentsOf(show).get(palette)
    if (!contents) return []
    const rig = rigOf(show)
    if (contents.any.size > 0 || contents.kind.size > 0)
      return [...rig.values()].filter((rigged) => attributesServed(show, palette, rigged).length > 0)
    const named = new Set([...contents.own.values()].flatMap((byFixture) => [...byFixture.keys()]))
    return [...rig.values()].filter((rigged) => named.has(rigged.id))
  },
)

/** What a palette holds, at a glance. */
export interface Glance {
  /** The reaches its values have, narrowest first. */
  readonly reaches: readonly ('own' | 'kind' | 'any')[]
  readonly hasLinks: boolean
  readonly hasAngles: boolean
  readonly hasAims: boolean
}

const NOTHING: Glance = { reaches: [], hasLinks: false, hasAngles: false, hasAims: false }

const glances = derived(['paletteValue'], (show): ReadonlyMap<string, Glance> => {
  const seen = new Map<string, { reaches: Set<string>; kinds: Set<string> }>()
  for (const { palette, fixture, fixtureType, value } of show.all.paletteValue.values()) {
    const known = seen.get(palette) ?? { reaches: new Set<string>(), kinds: new Set<string>() }
    seen.set(palette, known)
    known.reaches.add(fixture !== null ? 'own' : fixtureType !== null ? 'kind' : 'any')
    known.kinds.add(value.kind)
  }
  return new Map(
    [...seen].map(([palette, { reaches, kinds }]) => [
      palette,
      {
        reaches: (['own', 'kind', 'any'] as const).filter((reach) => reaches.has(reach)),
        hasLinks: kinds.has('link'),
        hasAngles: kinds.has('angles'),
        hasAims: kinds.has('aim'),
      },
    ]),
  )
})

export function glanceAt(show: Show, palette: PaletteId): Glance {
  return glances(show).get(palette) ?? NOTHING
}

/** The palettes a palette is made of, and those made of it, by number. */
export function palettesWithin(show: Show, palette: PaletteId): PaletteId[] {
  return [...(linksOf(show).get(palette) ?? [])].map(asPaletteId)
}

/** Whom a palette is for, in words; each may be empty. */
export interface ServesWords {
  /** "6 fixtures": those it was recorded with. */
  readonly recorded: string
  /** "serves any": how much wider it serves. */
  readonly wider: string
}

export function servesInWords(show: Show, palette: PaletteId): ServesWords {
  const own = [...(contentsOf(show).get(palette)?.own.values() ?? [])].flatMap((byFixture) => [...byFixture.keys()])
  const { size } = new Set([...recordedWith(show, palette), ...own])
  const widest = glanceAt(show, palette).reaches.at(-1)
  return {
    recorded: size === 0 ? '' : counted(size, 'fixture'),
    wider: widest === 'any' ? 'serves any' : widest === 'kind' ? 'serves a type' : '',
  }
}
