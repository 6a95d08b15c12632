/** What palettes that give other numbers than before do to the cues that use them. */
import { cueValueId } from '../show/compositeIds'
import equal from 'fast-deep-equal'
import { listsInOrder, valuesByCue } from '../cues/tracking'
import { madeOf } from '../show/links'
import { paletteValueFor, resolveValue } from '../palettes/resolve'
import { isNumberAttribute, type Attribute } from '../attributes/attribute'
import type { CueId, FixtureId, PaletteId } from '../show/ids'
import { attributesInUse } from '../show/attributesKnown'
import { rigOf } from '../show/rig'
import type { Show } from '../show/show'
import { givenBy, type PlainValue, type Value } from '../show/values'

export interface CueEffect {
  readonly cue: CueId
  /** Whether the cue itself sets a value that follows, or only carries one on. */
  readonly how: 'set' | 'carried'
}

/** A palette that gives fixtures other numbers than before. */
export interface ValueEffect {
  readonly palette: PaletteId
  readonly attributes: readonly Attribute[]
  readonly fixtures: readonly FixtureId[]
}

/** By palette, the `fixture attribute` of every number that is another. */
type Changed = ReadonlyMap<PaletteId, ReadonlySet<string>>

const numbersOf = (attributes: readonly Attribute[]) => attributes.filter(isNumberAttribute)

/** Palettes and cues that give other levels, zooms, colours, gobos or shutters; places are told elsewhere. */
export function changedValues(before: Show, after: Show): { palettes: ValueEffect[]; cues: CueEffect[] } {
  if (before.all.paletteValue === after.all.paletteValue) return { palettes: [], cues: [] }
  const changed = changedIn(before, after)
  if (changed.size === 0) return { palettes: [], cues: [] }
  const palettes = [...changed].map(([palette, keys]) => ({
    palette,
    attributes: numbersOf(attributesInUse(before)).filter((attribute) =>
      [...keys].some((key) => key.endsWith(` ${attribute}`)),
    ),
    fixtures: [...rigOf(before)].flatMap(([id, { type }]) =>
      numbersOf(type.has).some((attribute) => keys.has(`${id} ${attribute}`)) ? [id] : [],
    ),
  }))
  return { palettes, cues: cuesGiving(before, after, changed) }
}

function changedIn(before: Show, after: Show): Changed {
  const touched = new Set<PaletteId>()
  for (const side of [before, after])
    for (const [id, { palette }] of side.all.paletteValue)
      if (!equal(before.all.paletteValue.get(id), after.all.paletteValue.get(id))) touched.add(palette)
  const all = new Set([...touched, ...[...touched].flatMap((id) => madeOf(after, id))])
  const changed = new Map<PaletteId, Set<string>>()
  for (const palette of all) {
    if (!before.all.palette.has(palette) || !after.all.palette.has(palette)) continue
    const keys = changedOf(before, after, palette)
    if (keys.size > 0) changed.set(palette, keys)
  }
  return changed
}

function changedOf(before: Show, after: Show, palette: PaletteId): Set<string> {
  const keys = new Set<string>()
  for (const [id, { type }] of rigOf(before))
    for (const attribute of numbersOf(type.has))
      if (!equal(valueFrom(before, palette, id, attribute), valueFrom(after, palette, id, attribute)))
        keys.add(`${id} ${attribute}`)
  return keys
}

/** What a palette comes to for a fixture; null for nothing. */
function valueFrom(show: Show, palette: PaletteId, fixture: FixtureId, attribute: Attribute): PlainValue | null {
  const rigged = rigOf(show).get(fixture)
  return worth(show, fixture, attribute, (rigged && paletteValueFor(show, palette, rigged, attribute)) ?? undefined)
}

/** What a value comes to for a fixture; null for nothing. */
function worth(show: Show, fixture: FixtureId, attribute: Attribute, value: Value | undefined): PlainValue | null {
  const rigged = rigOf(show).get(fixture)
  return rigged && value ? resolveValue(show, rigged, attribute, value).value : null
}

/** The cues that set a changed number, and those that carry it on. */
function cuesGiving(before: Show, after: Show, changed: Changed): CueEffect[] {
  const effects: CueEffect[] = []
  for (const list of listsInOrder(before)) {
    const carried = new Set<string>()
    for (const { id } of list.cues) {
      let sets = false
      for (const { fixture, attribute, value } of valuesByCue(before).get(id) ?? []) {
        const key = `${fixture} ${attribute}`
        const isChanged = value.kind === 'link' && changed.get(value.palette)?.has(key) === true
        const then = isChanged ? givenBy(after.all.cueValue.get(cueValueId(id, fixture, attribute))) : undefined
        const follows =
          isChanged &&
          !equal(worth(before, fixture, attribute, value), worth(after, fixture, attribute, then ?? undefined))
        if (follows) carried.add(key)
        else carried.delete(key)
        sets ||= follows
      }
      if (sets) effects.push({ cue: id, how: 'set' })
      else if (carried.size > 0) effects.push({ cue: id, how: 'carried' })
    }
  }
  return effects
}

/** Two lists of cues as one, in the order of the show; setting says more than carrying. */
export function bothIn(show: Show, some: readonly CueEffect[], others: readonly CueEffect[]): CueEffect[] {
  if (others.length === 0) return [...some]
  const how = new Map(some.map((effect) => [effect.cue, effect.how]))
  for (const effect of others) if (how.get(effect.cue) !== 'set') how.set(effect.cue, effect.how)
  return listsInOrder(show).flatMap(({ cues }) =>
    cues.flatMap(({ id }) => {
      const known = how.get(id)
      return known ? [{ cue: id, how: known }] : []
    }),
  )
}
