/** What differs between two states of a show, in words: palettes, cues, and the rest by kind. */
import { cueValueId } from '../show/compositeIds'
import equal from 'fast-deep-equal'
import { valuesByCue } from '../cues/tracking'
import { comparedLines, valueInWords } from '../refocus/paletteLines'
import type { Cue, CueValue, Kind } from '../show/entities'
import { ATTRIBUTE_NAMES } from '../show/families'
import { asPaletteId } from '../show/ids'
import type { Show } from '../show/show'

export interface Difference {
  readonly section: 'Palettes' | 'Cues' | 'Rig and stage'
  /** "3 Lantern gallery", "Cue 14 Dory runs aground". */
  readonly what: string
  readonly how: 'new' | 'gone' | 'changed'
  /** What changed in it, a line each. */
  readonly lines: readonly string[]
}

/** What a later state has different from an earlier one. */
export function compareShows(earlier: Show, later: Show): Difference[] {
  return [...palettes(earlier, later), ...cues(earlier, later), ...stage(earlier, later)]
}

type How = Difference['how']

/** Ids of both sides with how they fare, in the order of the later show. */
function fates(earlier: Show, later: Show, kind: Kind): { readonly id: string; readonly how: How | 'both' }[] {
  const there = [...later.all[kind].keys()].map(
    (id) => ({ id, how: earlier.all[kind].has(id) ? 'both' : 'new' }) as const,
  )
  const gone = [...earlier.all[kind].keys()].filter((id) => !later.all[kind].has(id))
  return [...there, ...gone.map((id) => ({ id, how: 'gone' }) as const)]
}

/** Fields that differ, as "name: Bow → Stern"; fields that a reader cannot make sense of are only named. */
function changedFields(was: object, is: object, skip: readonly string[] = []): string[] {
  return Object.entries(is).flatMap(([field, value]) => {
    const before: unknown = Reflect.get(was, field)
    if (skip.includes(field) || equal(before, value)) return []
    const isPlain = [before, value].every((one) => typeof one === 'string' || typeof one === 'number')
    return [isPlain ? `${field}: ${String(before)} → ${String(value)}` : `${field} changed`]
  })
}

function palettes(earlier: Show, later: Show): Difference[] {
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
    const lines = [...changedFields(was, is), ...values]
    return lines.length ? [{ section: 'Palettes', what, how: 'changed', lines }] : []
  })
}

function cues(earlier: Show, later: Show): Difference[] {
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
      const lines = [...changedFields(was, is, ['list']), ...cueValues(earlier, later, id)]
      return lines.length ? [{ section: 'Cues', what: nameOf(later, is), how: 'changed', lines }] : []
    })
}

/** Values of a cue that differ; fixtures with the same change share a line. */
function cueValues(earlier: Show, later: Show, cue: string): string[] {
  const said = new Map<string, number[]>()
  const say = (stored: CueValue, was: CueValue | undefined, is: CueValue | undefined) => {
    const words = (show: Show, held: CueValue | undefined) =>
      held ? valueInWords(show, held.value, held.attribute) : 'not set'
    const line = `${ATTRIBUTE_NAMES[stored.attribute]}: ${words(earlier, was)} → ${words(later, is)}`
    const number = (later.all.fixture.get(stored.fixture) ?? earlier.all.fixture.get(stored.fixture))?.number ?? 0
    said.set(line, [...(said.get(line) ?? []), number])
  }
  const idOf = ({ fixture, attribute }: CueValue) => cueValueId(cue, fixture, attribute)
  for (const is of valuesByCue(later).get(cue) ?? []) {
    const was = earlier.all.cueValue.get(idOf(is))
    if (!was || !equal(was.value, is.value)) say(is, was, is)
  }
  for (const was of valuesByCue(earlier).get(cue) ?? [])
    if (!later.all.cueValue.has(idOf(was))) say(was, was, undefined)
  return [...said].map(([line, numbers]) => `${numbers.sort((a, b) => a - b).join(', ')}: ${line}`)
}

const REST = [
  ['hangPlace', 'hang', 'hang'],
  ['fixture', 'fixture', 'fixture'],
  ['fixturePlace', 'fixture', 'fixture'],
  ['setPiecePlace', 'setPiece', 'set piece'],
  ['targetPlace', 'target', 'target'],
  ['target', 'target', 'target'],
  ['venue', 'venue', 'venue'],
  ['group', 'group', 'group'],
  ['cueList', 'cueList', 'cue list'],
  ['fixtureType', 'fixtureType', 'type'],
] as const satisfies readonly (readonly [Kind, Kind, string])[]

function stage(earlier: Show, later: Show): Difference[] {
  const found = new Map<string, { how: How; lines: string[] }>()
  for (const [kind, of, word] of REST)
    for (const { id, how } of fates(earlier, later, kind)) {
      const was = earlier.all[kind].get(id)
      const is = later.all[kind].get(id)
      const either = is ?? was
      if (!either) continue
      const isPlace = kind !== of
      const lines =
        was && is ? changedFields(was, is, ['onStage', 'pausedAt', 'level']) : isPlace ? [`its place is ${how}`] : []
      if (how === 'both' && lines.length === 0) continue
      const what = `${word} ${nameOf(later, earlier, of, isPlace ? String(Reflect.get(either, of)) : id)}`
      const known = found.get(what)
      const fate = how === 'both' || isPlace ? 'changed' : how
      if (known) known.lines.push(...lines)
      else found.set(what, { how: fate, lines })
    }
  return [...found].map(([what, { how, lines }]) => ({
    section: 'Rig and stage',
    what: what.charAt(0).toUpperCase() + what.slice(1),
    how,
    lines,
  }))
}

function nameOf(later: Show, earlier: Show, kind: Kind, id: string): string {
  const thing = later.all[kind].get(id) ?? earlier.all[kind].get(id)
  if (!thing) return id
  if (kind === 'fixture') return String(Reflect.get(thing, 'number'))
  return String(Reflect.get(thing, 'name'))
}
