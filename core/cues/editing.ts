/** Changing what cues set: here and on, here only, or where it comes from; blocking, and repeats. */
import { cueValueId } from '../show/compositeIds'
import equal from 'fast-deep-equal'
import type { Draft } from '../show/draft'
import type { CueValue } from '../show/entities'
import { familyOf } from '../attributes/attribute'
import { type Family } from '../attributes/families'
import type { CueId, FixtureId } from '../show/ids'
import type { Show } from '../show/show'
import { BACK_TO_REST } from '../show/values'
import { putCueValue, removeCueValue, UNMARKED, type Setting } from './marks'
import { timelineOf, latestAt, placeOfCue, stateAtPlace, valuesByCue } from './tracking'

/**
 * How far a change goes: it is set in the cue and carries on; it is set there and the next cue goes
 * back to what it was; or it is set in the cue the present value comes from.
 */
export const WHERE = ['here and on', 'here only', 'where it comes from'] as const
export type Where = (typeof WHERE)[number]

/** Cues by fixtures by families; null fixtures are all there are. */
export interface CellChoice {
  readonly cues: readonly CueId[]
  readonly fixtures: readonly FixtureId[] | null
  readonly families: readonly Family[]
}

/** Sets values in cues, as far as `where` says. */
export function setInCues(show: Show, draft: Draft, settings: readonly Setting[], where: Where): void {
  const set = new Set(settings.map(idOf))
  for (const setting of settings) {
    const source = heldAt(show, setting)?.cue ?? setting.cue
    putCueValue(draft, where === 'where it comes from' ? { ...setting, cue: source } : setting)
    if (where === 'here only') giveBack(show, draft, setting, set)
  }
}

/** Takes what cues set out of them; for `here only` the next cue sets itself what it carries from there. */
export function removeFromCues(
  show: Show,
  draft: Draft,
  values: readonly CueValue[],
  where: Where,
  set: readonly Setting[] = [],
): void {
  const kept = new Set(set.map(idOf))
  for (const stored of values) {
    removeCueValue(draft, stored)
    if (where === 'here only') giveBack(show, draft, stored, kept)
  }
}

/** Lets the cue after one go back to what it has now, or to rest, unless it sets something itself. */
function giveBack(show: Show, draft: Draft, changed: Omit<Setting, 'value'>, set: ReadonlySet<string>): void {
  const place = placeOfCue(show, changed.cue)
  const next = place?.list.cues[place.at + 1]
  if (!next) return
  const { fixture, attribute } = changed
  const after = { cue: next.id, fixture, attribute }
  if (set.has(idOf(after)) || show.all.cueValue.has(idOf(after))) return
  const had = heldAt(show, changed)
  putCueValue(draft, { ...after, value: had?.value ?? BACK_TO_REST }, had?.mark === 'held' ? had : UNMARKED)
}

/** What a list holds of an attribute at a cue, set there or carried. */
function heldAt(show: Show, { cue, fixture, attribute }: Omit<Setting, 'value'>): CueValue | undefined {
  const place = placeOfCue(show, cue)
  const points = place && timelineOf(show, place.list.id).get(`${fixture} ${attribute}`)
  return points ? latestAt(points, place.at)?.stored : undefined
}

const idOf = ({ cue, fixture, attribute }: Omit<Setting, 'value'>) => cueValueId(cue, fixture, attribute)

/** Settings that let go, in each chosen cue, of whatever of the choice it holds. */
export function lettingGo(show: Show, choice: CellChoice): Setting[] {
  return choice.cues.flatMap((cue) => {
    const place = placeOfCue(show, cue)
    if (!place) return []
    return [...stateAtPlace(show, place.list.id, place.at).values()]
      .filter((stored) => stored.value.kind !== 'rest' && isChosen(choice)(stored))
      .map(({ fixture, attribute }) => ({ cue, fixture, attribute, value: BACK_TO_REST }))
  })
}

/** Whether a choice lets a fixture's attribute through. */
export function isChosen({ fixtures, families }: CellChoice): (stored: CueValue) => boolean {
  const wanted = fixtures && new Set<string>(fixtures)
  return (stored) => families.includes(familyOf(stored.attribute)) && (wanted === null || wanted.has(stored.fixture))
}

/** What is set in the chosen cells themselves. */
export function setWithin(show: Show, choice: CellChoice): CueValue[] {
  return choice.cues.flatMap((cue) => (valuesByCue(show).get(cue) ?? []).filter(isChosen(choice)))
}

/** What the chosen cells carry on from earlier cues without setting it. */
export function carriedWithin(show: Show, choice: CellChoice): { readonly cue: CueId; readonly stored: CueValue }[] {
  return choice.cues.flatMap((cue) => {
    const place = placeOfCue(show, cue)
    if (!place) return []
    return [...stateAtPlace(show, place.list.id, place.at).values()]
      .filter((stored) => stored.cue !== cue && isChosen(choice)(stored))
      .map((stored) => ({ cue, stored }))
  })
}

/** Makes what is carried stand by itself: changes of earlier cues end before it. Returns how many. */
export function block(show: Show, draft: Draft, choice: CellChoice): number {
  const carried = carriedWithin(show, choice)
  for (const { cue, stored } of carried) putCueValue(draft, { ...stored, cue }, { mark: 'blocked', source: null })
  return carried.length
}

/** Takes blocks away: what repeats the carried goes, what differs by now stays as a plain value. Returns how many. */
export function unblock(show: Show, draft: Draft, choice: CellChoice): number {
  const blocked = setWithin(show, choice).filter(({ mark }) => mark === 'blocked')
  for (const stored of blocked) {
    if (repeatsCarried(show, stored)) removeCueValue(draft, stored)
    else putCueValue(draft, stored)
  }
  return blocked.length
}

/** Whether a value says only what would be carried to it anyway. */
export function repeatsCarried(show: Show, stored: CueValue): boolean {
  const place = placeOfCue(show, stored.cue)
  const points = place && timelineOf(show, place.list.id).get(`${stored.fixture} ${stored.attribute}`)
  const before = points && latestAt(points, place.at - 1)
  return before ? equal(before.stored.value, stored.value) : stored.value.kind === 'rest'
}

/** Values that only repeat what is carried, and were not blocked on purpose. */
export function repeatsWithin(show: Show, choice: CellChoice): CueValue[] {
  return setWithin(show, choice).filter((stored) => stored.mark === null && repeatsCarried(show, stored))
}

/**
 * Keeps later cues as they look while some cues go: the next cue that stays sets itself what it
 * had carried from one that goes.
 */
export function keepLater(show: Show, draft: Draft, gone: ReadonlySet<string>): void {
  const lists = new Set([...gone].flatMap((cue) => placeOfCue(show, cue)?.list ?? []))
  for (const list of lists)
    for (const [at, { id }] of list.cues.entries()) {
      const isFirstAfter = !gone.has(id) && gone.has(list.cues[at - 1]?.id ?? '')
      if (!isFirstAfter) continue
      for (const points of timelineOf(show, list.id).values()) {
        const stored = latestAt(points, at)?.stored
        if (stored && gone.has(stored.cue)) putCueValue(draft, { ...stored, cue: id }, stored)
      }
    }
}
