/**
 * What each list is doing with each value: where it stands, or what it is on its way from and to.
 * Nothing here asks what time it is, so it is worked out once for as long as the show stays as it is.
 *
 * A cue that is started while another still comes in goes from where things were at that moment:
 * `from` is looked at as it was then. No numbers are kept for it; it follows from when each began.
 */
import equal from 'fast-deep-equal'
import { derived } from '../show/derived'
import type { CueRun, CueValue } from '../show/entities'
import { ATTRIBUTES, type Attribute } from '../show/families'
import type { FixtureId } from '../show/ids'
import { lets } from '../show/masks'
import type { Show } from '../show/show'
import type { Value } from '../show/values'
import { courseOf, listsInOrder, placeOfCue, stateAtPlace, type ListInOrder, type TrackedState } from './tracking'
import { lengthOf, timingOf } from './times'

/** A value on its way; instants in milliseconds by the server's clock. */
export interface Move {
  readonly from: Track
  /** The instant at which `from` was left: it is looked at as it was then. */
  readonly leftAt: number
  readonly startsAt: number
  readonly lasts: number
  /** When its list was paused; null while it runs. */
  readonly stoppedAt: number | null
  readonly travel: 'straight' | 'angle'
}

/** Where a value ends, null for nowhere, and how it gets there. */
export interface Track {
  readonly value: Value | null
  readonly move: Move | null
}

/** A list's part in one value. */
export interface ListTrack extends Track {
  readonly fixture: FixtureId
  readonly attribute: Attribute
  readonly list: ListInOrder
  /** When the list took the value, milliseconds. */
  readonly since: number
}

const NOWHERE: Track = { value: null, move: null }

/** When a run has everything where it goes, milliseconds. */
export function endOf(show: Show, run: CueRun): number {
  const seconds = run.seconds ?? (run.cue === null ? 0 : lengthOf(show, run.cue))
  return run.startedAt + seconds * 1000
}

interface Run extends CueRun {
  readonly id: string
}

const runsByList = derived(['cueRun'], (show): ReadonlyMap<string, readonly Run[]> => {
  const byList = new Map<string, Run[]>()
  for (const [id, run] of show.all.cueRun) {
    const runs = byList.get(run.list)
    if (runs) runs.push({ id, ...run })
    else byList.set(run.list, [{ id, ...run }])
  }
  for (const runs of byList.values()) runs.sort((a, b) => a.startedAt - b.startedAt || inOrder(show, a, b))
  return byList
})

/** Cues started at once come in the order of the list. */
function inOrder(show: Show, a: CueRun, b: CueRun): number {
  const at = ({ cue }: CueRun) => (cue === null ? -1 : (placeOfCue(show, cue)?.at ?? -1))
  return at(a) - at(b)
}

/** The runs of a list, the first started first. */
export function runsOf(show: Show, list: string): readonly Run[] {
  return runsByList(show).get(list) ?? []
}

/** What a list does with every value, by `fixture attribute`. */
export function tracksOf(show: Show, list: ListInOrder): Map<string, ListTrack> {
  const running = runsOf(show, list.id).filter(({ settled }) => !settled)
  const since = sinceOf(show, list)
  const begin = running[0] ? running[0].from : list.list.onStage
  let state = stateOf(show, list, begin)
  const tracks = new Map<string, ListTrack>()
  const put = (key: string, stored: CueValue, track: Track, taken: number) =>
    tracks.set(key, { fixture: stored.fixture, attribute: stored.attribute, list, since: taken, ...track })
  for (const [key, stored] of state) put(key, stored, { value: stored.value, move: null }, since(stored.cue))
  for (const run of running) {
    const next = stateOf(show, list, run.cue)
    for (const key of new Set([...state.keys(), ...next.keys()])) {
      const stored = next.get(key) ?? state.get(key)
      const [was, is] = [state.get(key)?.value ?? null, next.get(key)?.value ?? null]
      if (!stored) continue
      const from = tracks.get(key) ?? NOWHERE
      if (was !== is && !equal(was, is))
        put(key, stored, { value: is, move: moveOf(show, list, run, stored, from) }, run.startedAt)
      else if (state.get(key)?.cue !== next.get(key)?.cue) put(key, stored, from, run.startedAt)
    }
    state = next
  }
  return tracks
}

function stateOf(show: Show, list: ListInOrder, cue: string | null): TrackedState {
  const place = cue === null ? null : placeOfCue(show, cue)
  const state = stateAtPlace(show, list.id, place?.at ?? -1)
  const { list: record } = list
  if (ATTRIBUTES.every((attribute) => lets(record, attribute))) return state
  return new Map([...state].filter(([, { attribute }]) => lets(record, attribute)))
}

function moveOf(show: Show, list: ListInOrder, run: Run, stored: CueValue, from: Track): Move {
  const cue = run.cue === null ? undefined : show.all.cue.get(run.cue)
  const own = cue && run.cue !== null && run.seconds === null
  const way = stored.attribute === 'intensity' && isFalling(from.value, stored.value) ? 'down' : 'up'
  const { delay, seconds } = own
    ? timingOf(show, run.cue, cue, stored.fixture, stored.attribute, way)
    : { delay: 0, seconds: run.seconds ?? 0 }
  return {
    from,
    leftAt: run.startedAt,
    startsAt: run.startedAt + delay * 1000,
    lasts: seconds * 1000,
    stoppedAt: list.list.pausedAt,
    travel: cue?.travel ?? 'angle',
  }
}

function isFalling(from: Value | null, to: Value): boolean {
  return from?.kind === 'number' && to.kind === 'number' && to.number < from.number
}

/** When a list took what a cue sets: when that cue ran, or the first after it that did. */
function sinceOf(show: Show, list: ListInOrder): (cue: string) => number {
  const ran = new Map<string, number>()
  for (const { cue, startedAt } of runsOf(show, list.id)) if (cue !== null) ran.set(cue, startedAt)
  const times: number[] = []
  let time = 0
  for (let at = list.cues.length - 1; at >= 0; at--) {
    time = ran.get(list.cues[at]?.id ?? '') ?? time
    times[at] = time
  }
  return (cue) => times[placeOfCue(show, cue)?.at ?? 0] ?? 0
}

/** Whether a list has anything on stage or on its way. */
export function isPlaying(show: Show, list: ListInOrder): boolean {
  return list.list.onStage !== null || runsOf(show, list.id).some(({ settled }) => !settled)
}

/** The parts of all lists in every value, the one that counts last: by priority, then by when it was taken. */
export const playing = derived(
  ['cueRun', 'cueValue', 'cue', 'cueList', 'cueTime'],
  (show): ReadonlyMap<string, readonly ListTrack[]> => {
    const all = new Map<string, ListTrack[]>()
    for (const list of listsInOrder(show)) {
      if (!isPlaying(show, list) || courseOf(show, list.id).size === 0) continue
      for (const [key, track] of tracksOf(show, list)) {
        const others = all.get(key)
        if (others) others.push(track)
        else all.set(key, [track])
      }
    }
    for (const tracks of all.values()) if (tracks.length > 1) tracks.sort(rank)
    return all
  },
)

/** Lists of one priority that took a value at the same time stand in the order of their numbers. */
function rank(a: ListTrack, b: ListTrack): number {
  return a.list.list.priority - b.list.list.priority || a.since - b.since || a.list.list.number - b.list.list.number
}

/** A list's track with what lies under it where the list itself has nothing: it comes from there or goes there. */
export function over(track: Track, under: Track): Track {
  if (track.value === null && track.move === null) return under
  const move = track.move && { ...track.move, from: over(track.move.from, under) }
  return { value: track.value ?? under.value, move }
}
