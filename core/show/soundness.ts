/**
 * Whether a change leaves a show sound: everything fits its kind, points at what is there, stands
 * once, and agrees with what it belongs to. Whatever is written is asked this first, be it a
 * command's result or what undo brings back. The database guards the same.
 */
import { z } from 'zod'
import {
  applyChanges,
  checkedEntity,
  EXISTENCE,
  registerParts,
  touchedBy,
  type ChangeSet,
  type MakeEntity,
} from './changes'
import { placeId } from './compositeIds'
import { hasItsId } from './kinds'
import { KINDS, type Kind } from './kinds'
import { loopThrough, tooDeep } from './links'
import type { PaletteId } from './ids'
import { danglingAfter, danglingReferences, type Dangling } from './references'
import type { Show } from './show'
import { clashAmong, type Clash } from './uniqueness'

export type Fault =
  /** A record that does not fit its kind. */
  | { readonly code: 'misfit'; readonly kind: Kind; readonly id: string; readonly issue: z.core.$ZodIssue | undefined }
  | ({ readonly code: 'missing' } & Dangling)
  | { readonly code: 'clash'; readonly clash: Clash }
  /** Palettes made of each other, the first named again at the end. */
  | { readonly code: 'loop'; readonly palettes: readonly PaletteId[] }
  /** Links of palettes that nest deeper than they may. */
  | { readonly code: 'too deep'; readonly palette: string }
  | { readonly code: 'other mode'; readonly fixture: string }
  /** A list that stands in, or runs, a cue of another list. */
  | { readonly code: 'other list'; readonly kind: 'cueList' | 'cueRun'; readonly id: string }
  /** A fixture on a hang that is not up in that venue. */
  | { readonly code: 'not hung'; readonly kind: 'fixturePlace'; readonly id: string }
  /** A thing under another id than the one its parts make. */
  | { readonly code: 'other id'; readonly kind: Kind; readonly id: string }

class Misfit extends Error {
  constructor(
    readonly kind: Kind,
    readonly id: string,
    readonly issue: z.core.$ZodIssue | undefined,
  ) {
    super(`${kind} ${id} does not fit its kind`)
  }
}

const fitting: MakeEntity = (kind, id, written) => {
  try {
    return checkedEntity(kind, id, written)
  } catch (error) {
    throw error instanceof z.ZodError ? new Misfit(kind, id, error.issues[0]) : error
  }
}

/** The show a change set leads to, or what is wrong with it; `after` is null where something does not fit its kind. */
export type Checked =
  | { readonly ok: true; readonly after: Show }
  | { readonly ok: false; readonly after: Show | null; readonly faults: readonly Fault[] }

/** Applies a change set that may be anything; a sound show it starts from is assumed. */
export function checkedChange(show: Show, changes: ChangeSet): Checked {
  try {
    const after = applyChanges(show, changes, fitting)
    const faults = faultsAfter(after, changes)
    return faults.length > 0 ? { ok: false, after, faults } : { ok: true, after }
  } catch (error) {
    if (!(error instanceof Misfit)) throw error
    const { kind, id, issue } = error
    return { ok: false, after: null, faults: [{ code: 'misfit', kind, id, issue }] }
  }
}

/** What is wrong with a show that fits its kinds, as far as a change can have brought it in. */
export function faultsAfter(after: Show, changes: ChangeSet): Fault[] {
  const touched = touchedBy(changes)
  const clash = clashAmong(after, touched)
  return [
    ...danglingAfter(after, changes).map((dangling) => ({ code: 'missing', ...dangling }) as const),
    ...(clash ? [{ code: 'clash', clash } as const] : []),
    ...deepLinks(after, touched.get('paletteValue') ?? []),
    ...otherModes(after, changes),
    ...otherLists(after, touched),
    ...notHung(after, changes, touched),
    ...[...touched].flatMap(([kind, ids]) => otherIds(after, kind, ids)),
  ]
}

function notHung(after: Show, changes: ChangeSet, touched: ReadonlyMap<Kind, ReadonlySet<string>>): Fault[] {
  const isHangGone = changes.some(
    ({ register, after: stays }) => stays === undefined && registerParts(register).kind === 'hangPlace',
  )
  return hungNowhere(after, isHangGone ? after.all.fixturePlace.keys() : (touched.get('fixturePlace') ?? []))
}

function hungNowhere(after: Show, places: Iterable<string>): Fault[] {
  return [...places].flatMap((id) => {
    const place = after.all.fixturePlace.get(id)
    if (!place || after.all.hangPlace.has(placeId(place.venue, place.hang))) return []
    return [{ code: 'not hung', kind: 'fixturePlace', id } as const]
  })
}

function otherIds<K extends Kind>(after: Show, kind: K, ids: Iterable<string>): Fault[] {
  return [...ids].flatMap((id) => {
    const entity = after.all[kind].get(id)
    return entity === undefined || hasItsId(kind, id, entity) ? [] : [{ code: 'other id', kind, id } as const]
  })
}

/** What is wrong with a whole show that fits its kinds: nothing of it is taken to be sound. */
export function faultsIn(show: Show): Fault[] {
  const everything = new Map<Kind, ReadonlySet<string>>(KINDS.map((kind) => [kind, new Set(show.all[kind].keys())]))
  const clash = clashAmong(show, everything)
  return [
    ...danglingReferences(show).map((dangling) => ({ code: 'missing', ...dangling }) as const),
    ...(clash ? [{ code: 'clash', clash } as const] : []),
    ...deepLinks(show, show.all.paletteValue.keys()),
    ...modesOfOthers(show, show.all.fixture.keys()),
    ...otherLists(show, everything),
    ...hungNowhere(show, show.all.fixturePlace.keys()),
    ...KINDS.flatMap((kind) => otherIds(show, kind, show.all[kind].keys())),
  ]
}

function deepLinks(after: Show, values: Iterable<string>): Fault[] {
  const linking = new Set<string>()
  for (const id of values) {
    const stored = after.all.paletteValue.get(id)
    if (stored?.value.kind === 'link') linking.add(stored.palette)
  }
  if (linking.size === 0) return []
  const loop = loopThrough(after, linking)
  if (loop) return [{ code: 'loop', palettes: loop }]
  const deepest = tooDeep(after)
  return deepest === null ? [] : [{ code: 'too deep', palette: deepest }]
}

/** A fixture's mode is one of its type's; a mode that changed its type matters to all that have it. */
function otherModes(after: Show, changes: ChangeSet): Fault[] {
  const touched = touchedBy(changes)
  const isModeMoved = changes.some(
    ({ register }) =>
      registerParts(register).kind === 'fixtureMode' && [EXISTENCE, 'type'].includes(registerParts(register).field),
  )
  return modesOfOthers(after, isModeMoved ? after.all.fixture.keys() : (touched.get('fixture') ?? []))
}

function modesOfOthers(after: Show, fixtures: Iterable<string>): Fault[] {
  return [...fixtures].flatMap((fixture) => {
    const known = after.all.fixture.get(fixture)
    const mode = known?.mode ? after.all.fixtureMode.get(known.mode) : undefined
    return mode && mode.type !== known?.type ? [{ code: 'other mode', fixture } as const] : []
  })
}

function otherLists(after: Show, touched: ReadonlyMap<Kind, ReadonlySet<string>>): Fault[] {
  const isConcerned = (['cue', 'cueList', 'cueRun'] as const).some((kind) => touched.has(kind))
  if (!isConcerned) return []
  const isElsewhere = (cue: string | null, list: string) => {
    const known = cue === null ? undefined : after.all.cue.get(cue)
    return known !== undefined && known.list !== list
  }
  return [
    ...[...after.all.cueList].flatMap(([id, { onStage }]) =>
      isElsewhere(onStage, id) ? [{ code: 'other list', kind: 'cueList', id } as const] : [],
    ),
    ...[...after.all.cueRun].flatMap(([id, { list, cue, from }]) =>
      isElsewhere(cue, list) || isElsewhere(from, list) ? [{ code: 'other list', kind: 'cueRun', id } as const] : [],
    ),
  ]
}
