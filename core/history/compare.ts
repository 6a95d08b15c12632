/** What differs between two states of a show, in words: palettes, cues, and the rest by kind. */
import { byNumber, fixtureNumber } from '../show/cells'
import { cueValueId } from '../show/compositeIds'
import equal from 'fast-deep-equal'
import { valuesByCue } from '../cues/tracking'
import { comparedLines, valueInWords } from '../refocus/paletteLines'
import type { Cue, CueValue } from '../show/entities'
import { declarationOf, KINDS } from '../show/kinds'
import { attributeName } from '../attributes/attribute'
import { asPaletteId } from '../show/ids'
import type { Show } from '../show/show'
import { changedFields, fates, partLines, PASSING, type How, type PartLines } from './differences'

export interface Difference {
  readonly section: 'Palettes' | 'Cues' | 'Rig and stage'
  /** "3 Lantern gallery", "Cue 14 Dory runs aground". */
  readonly what: string
  readonly how: How
  /** What changed in it, a line each. */
  readonly lines: readonly string[]
}

/** What a later state has different from an earlier one. */
export function compareShows(earlier: Show, later: Show): Difference[] {
  const parts = partLines(earlier, later)
  return [...palettes(earlier, later, parts), ...cues(earlier, later, parts), ...stage(earlier, later, parts)]
}

function palettes(earlier: Show, later: Show, parts: PartLines): Difference[] {
  return fates(earlier, later, 'palette').flatMap(({ id, how }): Difference[] => {
    const was = earlier.all.palette.get(id)
    const is = later.all.palette.get(id)
    const named = is ?? was
    if (!named) return []
    const what = `${named.number} ${named.name}`
    if (how !== 'both' || !was || !is)
      return [{ section: 'Palettes', what, how: how === 'both' ? 'changed' : how, lines: [] }]
    const values = comparedLines(earlier, later, asPaletteId(id))
      .filter(({ before, after }) => before !== after)
      .map(
        ({ whom, attribute, before, after }) => `${whom}, ${attribute}: ${before ?? 'nothing'} → ${after ?? 'nothing'}`,
      )
    const lines = [...changedFields('palette', was, is), ...values, ...(parts.get(`palette/${id}`) ?? [])]
    return lines.length ? [{ section: 'Palettes', what, how: 'changed', lines }] : []
  })
}

function cues(earlier: Show, later: Show, parts: PartLines): Difference[] {
  const nameOf = (show: Show, { list, number, name }: Cue) => {
    const lists = show.all.cueList.size > 1 ? ` (${show.all.cueList.get(list)?.name ?? ''})` : ''
    return `Cue ${number} ${name}${lists}`
  }
  const number = ({ id }: { readonly id: string }) => (later.all.cue.get(id) ?? earlier.all.cue.get(id))?.number ?? 0
  return fates(earlier, later, 'cue')
    .sort((a, b) => number(a) - number(b))
    .flatMap(({ id, how }): Difference[] => {
      const was = earlier.all.cue.get(id)
      const is = later.all.cue.get(id)
      if (!was || !is || how !== 'both') {
        const named = is ?? was
        return named
          ? [{ section: 'Cues', what: nameOf(is ? later : earlier, named), how: is ? 'new' : 'gone', lines: [] }]
          : []
      }
      const lines = [
        ...changedFields('cue', was, is, ['list']),
        ...cueValues(earlier, later, id),
        ...(parts.get(`cue/${id}`) ?? []),
      ]
      return lines.length ? [{ section: 'Cues', what: nameOf(later, is), how: 'changed', lines }] : []
    })
}

type Numbered = Parameters<typeof fixtureNumber>[0]

/** Values of a cue that differ; fixtures with the same change share a line. */
function cueValues(earlier: Show, later: Show, cue: string): string[] {
  const said = new Map<string, Numbered[]>()
  const say = (stored: CueValue, was: CueValue | undefined, is: CueValue | undefined) => {
    const words = (show: Show, held: CueValue | undefined) =>
      held ? valueInWords(show, held.value, held.attribute) : 'not set'
    const line = `${attributeName(stored.attribute)}: ${words(earlier, was)} → ${words(later, is)}`
    const number = later.all.fixture.get(stored.fixture) ?? earlier.all.fixture.get(stored.fixture)
    if (number) said.set(line, [...(said.get(line) ?? []), number])
  }
  const idOf = ({ fixture, attribute }: CueValue) => cueValueId(cue, fixture, attribute)
  for (const is of valuesByCue(later).get(cue) ?? []) {
    const was = earlier.all.cueValue.get(idOf(is))
    if (!was || !equal(was.value, is.value)) say(is, was, is)
  }
  for (const was of valuesByCue(earlier).get(cue) ?? [])
    if (!later.all.cueValue.has(idOf(was))) say(was, was, undefined)
  return [...said].map(([line, numbers]) => `${numbers.sort(byNumber).map(fixtureNumber).join(', ')}: ${line}`)
}

/** All that is named by itself, besides palettes and cues. */
const STAGE = KINDS.filter((kind) => {
  const { concerns, partOf } = declarationOf(kind)
  return !concerns && !partOf && kind !== 'palette' && kind !== 'cue'
})

function stage(earlier: Show, later: Show, parts: PartLines): Difference[] {
  return STAGE.flatMap((kind) =>
    fates(earlier, later, kind).flatMap(({ id, how }): Difference[] => {
      const was = earlier.all[kind].get(id)
      const is = later.all[kind].get(id)
      // Cells come and go with their bar.
      const bar: unknown = Reflect.get(is ?? was ?? {}, 'bar')
      if (bar) return []
      const lines = was && is ? [...changedFields(kind, was, is, PASSING), ...(parts.get(`${kind}/${id}`) ?? [])] : []
      if (how === 'both' && lines.length === 0) return []
      const [word] = declarationOf(kind).words
      const what = `${word.charAt(0).toUpperCase()}${word.slice(1)} ${nameIn(is ?? was ?? {}, id)}`
      return [{ section: 'Rig and stage', what, how: how === 'both' ? 'changed' : how, lines }]
    }),
  )
}

/** What people call a thing: its number where it has one and no name is needed, else its name. */
function nameIn(thing: object, id: string): string {
  const fixtureNumber: unknown = 'address' in thing ? Reflect.get(thing, 'number') : undefined
  const name: unknown = fixtureNumber ?? Reflect.get(thing, 'name') ?? id
  return String(name)
}
