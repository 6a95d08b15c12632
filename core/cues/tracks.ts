/**
 * What each list is doing with each value: where it stands, or what it is on its way from and to.
 * Nothing here asks what time it is, so it is worked out once for as long as the show stays as it is.
 *
 * A cue that is started while another still comes in goes from where things were at that moment:
 * `from` is looked at as it was then. No numbers are kept for it; it follows from when each began.
 */
import { LEADING } from '../attributes/catalogue'
import { group } from 'd3-array'
import equal from 'fast-deep-equal'
import { derived } from '../show/derived'
import type { CueRun, CueValue } from '../show/entities'
import type { Attribute } from '../attributes/attribute'
import { NOWHERE, standing, type Move, type Track } from './track'
import type { FixtureId } from '../show/ids'
import { letsAll, lets } from '../show/masks'
import type { ShowPart } from '../show/show'
import { givenBy } from '../show/values'
import { DARK_KINDS } from './darkMoves'
import { DarkComings, darkOutlasts } from './darkComings'
import { playedStateAt, playedTimelineOf } from './playedTimeline'
import { latestAt, timelineOf, listsInOrder, placeOfCue, type ListInOrder, type TrackedState } from './tracking'
import { lengthOf, timingOf } from './times'
import { travelOf } from './travel'
import { poseInCue } from './ways'

/** What the tracks of the lists are worked out from. */
export const PLAYING_KINDS = ['cueRun', ...DARK_KINDS] as const
export type PlayingKind = (typeof PLAYING_KINDS)[number]

/** A list's part in one value. */
export interface ListTrack extends Track {
  readonly fixture: FixtureId
  readonly attribute: Attribute
  readonly list: ListInOrder
  /** Which start of the show's took the value. */
  readonly since: number
}

/** When a run has everything where it goes, milliseconds. */
export function endOfRun(show: ShowPart<'cueTime' | 'cue'>, run: CueRun): number {
  const seconds = run.seconds ?? (run.cue === null ? 0 : lengthOf(show, run.cue))
  return run.startedAt + seconds * 1000
}

/**
 * When everything has arrived that each of a list's runs moves, milliseconds, in the order of the
 * runs: what moves in the dark may wait for light that an earlier one takes away.
 */
export function endsOfMoves(show: ShowPart<PlayingKind>, list: ListInOrder): readonly number[] {
  const outlasts = darkOutlasts(show, list) * 1000
  let latest = 0
  return runsOf(show, list.id).map((run) => {
    latest = Math.max(latest, endOfRun(show, run))
    return outlasts === 0 ? endOfRun(show, run) : latest + outlasts
  })
}

interface Run extends CueRun {
  readonly id: string
}

const runsByList = derived(['cueRun'], (show): ReadonlyMap<string, readonly Run[]> => {
  const runs = [...show.all.cueRun].map(([id, run]): Run => ({ id, ...run }))
  return group(
    runs.sort((a, b) => a.order - b.order || a.startedAt - b.startedAt),
    ({ list }) => list,
  )
})

/** The runs of a list, the first started first. */
export function runsOf(show: ShowPart<'cueRun'>, list: string): readonly Run[] {
  return runsByList(show).get(list) ?? []
}

/** What a list does with every value, by `fixture attribute`. Where it does not go on it takes all it holds anew. */
export function tracksOf(show: ShowPart<PlayingKind>, list: ListInOrder): Map<string, ListTrack> {
  const running = runsOf(show, list.id).filter(({ settled }) => !settled)
  const since = sinceOf(show, list)
  const begin = running[0] ? running[0].from : list.list.onStage
  const takenAt = takenIn(show, list, begin)
  let state = stateOf(show, list, begin)
  const tracks = new Map<string, ListTrack>()
  const addTrack = (key: string, { fixture, attribute }: CueValue, track: Track, taken: number) =>
    tracks.set(key, { ...track, fixture, attribute, list, since: taken })
  for (const [key, stored] of state) {
    const value = givenBy(stored)
    if (value) addTrack(key, stored, standing(value, stored.cue), since(takenAt(key, stored.cue)))
  }
  for (const run of running) {
    const next = stateOf(show, list, run.cue)
    const isAnew = takesAnew(show, run.cue, run.from)
    const dark = new DarkComings(show, list, run, { state, next, tracks })
    for (const key of lightFirst(new Set([...state.keys(), ...next.keys()]))) {
      const [was, is] = [state.get(key), next.get(key)]
      const stored = is ?? was
      const isSet = was?.cue !== is?.cue
      if (!stored || !(isSet || isAnew)) continue
      const from = tracks.get(key) ?? NOWHERE
      if (!isSet || isSameLight(show, was, is)) addTrack(key, stored, from, run.order)
      else addTrack(key, stored, moveTo(show, list, run, stored, is, from, dark), run.order)
    }
    state = next
  }
  return tracks
}

/** What gives light before all else: moves in the dark wait for it. */
function lightFirst(keys: ReadonlySet<string>): string[] {
  const [lights, others]: [string[], string[]] = [[], []]
  for (const key of keys) (key.endsWith(` ${LEADING.light}`) ? lights : others).push(key)
  return lights.concat(others)
}

/** Whether a list that goes from one cue to another takes all it holds anew: it comes on stage, or does not go on. */
export function takesAnew(show: ShowPart<'cue' | 'cueList'>, to: string | null, from: string | null): boolean {
  const at = (cue: string | null) => (cue === null ? -1 : (placeOfCue(show, cue)?.at ?? -1))
  return from === null || at(to) <= at(from)
}

/** Whether two cues set the same, and a head to the same way round. */
function isSameLight(show: ShowPart<PlayingKind>, was: CueValue | undefined, is: CueValue | undefined): boolean {
  const [then, now] = [givenBy(was), givenBy(is)]
  if (then !== now && !equal(then, now)) return false
  if (!was || !is || is.attribute !== LEADING.place) return true
  const [before, after] = [poseInCue(show, was.fixture, was.cue), poseInCue(show, is.fixture, is.cue)]
  return before.pan === after.pan && before.tilt === after.tilt
}

function moveTo(
  show: ShowPart<PlayingKind>,
  list: ListInOrder,
  run: Run,
  stored: CueValue,
  is: CueValue | undefined,
  from: Track,
  dark: DarkComings,
): Track {
  const move = dark.moveOf(stored, moveOf(show, list, run, stored, from))
  return { value: givenBy(is), cue: is?.cue ?? null, move, under: null }
}

function stateOf(show: ShowPart<PlayingKind>, list: ListInOrder, cue: string | null): TrackedState {
  const place = cue === null ? null : placeOfCue(show, cue)
  const state = playedStateAt(show, list.id, place?.at ?? -1)
  const { list: record } = list
  if (letsAll(record)) return state
  return new Map([...state].filter(([, { attribute }]) => lets(record, attribute)))
}

function moveOf(
  show: ShowPart<PlayingKind>,
  list: ListInOrder,
  run: Run,
  { fixture, attribute }: CueValue,
  from: Track,
): Move {
  const cue = run.cue === null ? undefined : show.all.cue.get(run.cue)
  const timing = (way: 'up' | 'down') =>
    cue && run.cue !== null && run.seconds === null
      ? timingOf(show, run.cue, cue, fixture, attribute, way)
      : { delay: 0, seconds: run.seconds ?? 0 }
  const { delay, seconds } = timing('up')
  return {
    from,
    leftAt: run.startedAt,
    startsAt: run.startedAt + delay * 1000,
    lasts: seconds * 1000,
    falls: timing('down').seconds * 1000,
    stoppedAt: list.list.pausedAt,
    travel: run.cue === null ? 'angle' : travelOf(show, run.cue, fixture).travel,
  }
}

/** Which start took what is taken at a place: that of the cue there, or of the first after it that ran. */
function sinceOf(show: ShowPart<PlayingKind>, list: ListInOrder): (at: number) => number {
  const ran = new Map<string, number>()
  for (const { cue, order } of runsOf(show, list.id)) if (cue !== null) ran.set(cue, order)
  const orders: number[] = []
  let latest = 0
  for (let at = list.cues.length - 1; at >= 0; at--) {
    latest = ran.get(list.cues[at]?.id ?? '') ?? latest
    orders[at] = latest
  }
  return (at) => orders[at] ?? 0
}

/** The place at which a list took a value that it holds in a cue: where it is set, or moves in the dark ahead of that. */
function takenIn(show: ShowPart<PlayingKind>, list: ListInOrder, cue: string | null) {
  const at = cue === null ? -1 : (placeOfCue(show, cue)?.at ?? -1)
  const timeline = playedTimelineOf(show, list.id)
  const isPlanned = timeline !== timelineOf(show, list.id)
  return (key: string, setIn: string) =>
    (isPlanned ? latestAt(timeline.get(key) ?? [], at)?.at : placeOfCue(show, setIn)?.at) ?? 0
}

/** Whether a list has anything on stage or on its way. */
export function isPlaying(show: ShowPart<'cueRun'>, list: ListInOrder): boolean {
  return list.list.onStage !== null || runsOf(show, list.id).some(({ settled }) => !settled)
}

/** The parts of all lists in every value, the one that counts last: by priority, then by when it was taken. */
export const playing = derived(PLAYING_KINDS, (show): ReadonlyMap<string, readonly ListTrack[]> => {
  const all = new Map<string, ListTrack[]>()
  for (const list of listsInOrder(show)) {
    if (!isPlaying(show, list) || timelineOf(show, list.id).size === 0) continue
    for (const [key, track] of tracksOf(show, list)) {
      const others = all.get(key)
      if (others) others.push(track)
      else all.set(key, [track])
    }
  }
  for (const tracks of all.values()) if (tracks.length > 1) tracks.sort(rank)
  return all
})

/** Lists of one priority that took a value at the same time stand in the order of their numbers. */
function rank(a: ListTrack, b: ListTrack): number {
  return a.list.list.priority - b.list.list.priority || a.since - b.since || a.list.list.number - b.list.list.number
}

/** A list's track with what lies under it where the list itself has nothing: it comes from there or goes there. */
export function over(track: Track, under: Track): Track {
  return track.value === null && track.move === null ? under : laidOver(track, under)
}

function laidOver(track: Track, under: Track): Track {
  const move = track.move && { ...track.move, from: laidOver(track.move.from, under) }
  return { ...track, move, under: track.value === null ? under : null }
}
