/** What is played down a list: what is set in its cues, and what moves in the dark earlier than it is set. */
import type { Attribute } from '../attributes/attribute'
import { LEADING } from '../attributes/catalogue'
import type { Pose } from '../kinematics/head'
import { derivedEach } from '../show/derived'
import type { CueListId, FixtureId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import type { ShowPart } from '../show/show'
import { DARK_KINDS, darkMovesOf, type DarkKind, type DarkMove } from './darkMoves'
import { hasDarkMoves } from './darkRules'
import type { Timing } from './times'
import { indexAt, latestAt, listsInOrder, stateIn, timelineOf, type TimelinePoint, type TrackedState } from './tracking'
import { poseInCue } from './ways'

/** A value that is taken down a list; where it moves in the dark, at the place where it does that. */
export interface PlayedPoint extends TimelinePoint {
  readonly dark?: DarkMove
}

export type PlayedTimeline = ReadonlyMap<string, readonly PlayedPoint[]>

/** What is played down a list, by `fixture attribute`. */
export const playedTimelineOf = derivedEach(DARK_KINDS, (show, id: CueListId): PlayedTimeline => {
  const recorded = timelineOf(show, id)
  const list = listsInOrder(show).find((one) => one.id === id)
  if (!list || !hasDarkMoves(show, id)) return recorded
  const played = new Map<string, readonly PlayedPoint[]>(recorded)
  for (const rigged of rigOf(show).values())
    for (const [key, points] of broughtForward(recorded, darkMovesOf(show, list, rigged))) played.set(key, points)
  return played
})

/** By the moves of a fixture: they are the same as long as all that is set of it is. */
const forward = new WeakMap<readonly DarkMove[], PlayedTimeline>()

/** What of a fixture is played otherwise than it is set. */
function broughtForward(recorded: PlayedTimeline, moves: readonly DarkMove[]): PlayedTimeline {
  const known = forward.get(moves)
  if (known) return known
  const played = new Map<string, readonly PlayedPoint[]>()
  for (const { key, ...moved } of moves.flatMap(valuesMoved)) {
    const points = played.get(key) ?? recorded.get(key) ?? []
    const set = latestAt(points, moved.dark.at)
    if (!set) continue
    const before = points.slice(0, indexAt(points, moved.at - 1) + 1)
    played.set(key, [...before, { ...moved, stored: set.stored }, ...points.slice(indexAt(points, moved.dark.at) + 1)])
  }
  forward.set(moves, played)
  return played
}

function valuesMoved(dark: DarkMove) {
  const { place, fixture, attributes } = dark
  if (place.kind === 'stays') return []
  return attributes.map((attribute) => ({ key: `${fixture} ${attribute}`, at: place.at, dark }))
}

/** What is played of an attribute of a fixture at a place of a list; null where nothing is set yet. */
export function playedAt(
  timeline: PlayedTimeline,
  fixture: string,
  attribute: Attribute,
  at: number,
): PlayedPoint | null {
  const points = byAttributeOf(timeline, fixture)?.get(attribute)
  return points?.[indexAt(points, at)] ?? null
}

/** Timelines by fixture, then attribute: keys put together at every look cost more than the look. */
const byFixture = new WeakMap<PlayedTimeline, ReadonlyMap<string, ReadonlyMap<string, readonly PlayedPoint[]>>>()

function byAttributeOf(timeline: PlayedTimeline, fixture: string) {
  const known = byFixture.get(timeline)
  if (known) return known.get(fixture)
  const found = new Map<string, Map<string, readonly PlayedPoint[]>>()
  for (const [key, points] of timeline) {
    const [of = '', attribute = ''] = key.split(' ')
    found.set(of, (found.get(of) ?? new Map<string, readonly PlayedPoint[]>()).set(attribute, points))
  }
  byFixture.set(timeline, found)
  return found.get(fixture)
}

/** What a list shows at a place in it, by `fixture attribute`. */
export function playedStateAt(show: ShowPart<DarkKind>, list: CueListId, at: number): TrackedState {
  return stateIn(playedTimelineOf(show, list), at)
}

/** The pose a head is played in at a place of a list; home before anything is set. */
export function playedPoseAt(show: ShowPart<DarkKind>, rigged: RiggedFixture, list: CueListId, at: number): Pose {
  const point = playedAt(playedTimelineOf(show, list), rigged.id, LEADING.place, at)
  return poseInCue(show, rigged.id, point?.stored.cue ?? null)
}

/** How a value comes in that moves in the dark in the cue at a place; null for one that comes in the cue's own time. */
export function darkTimingAt(
  show: ShowPart<DarkKind>,
  list: CueListId,
  fixture: FixtureId,
  attribute: Attribute,
  at: number,
): Timing | null {
  const point = playedAt(playedTimelineOf(show, list), fixture, attribute, at)
  if (point?.at !== at || point.dark?.place.kind !== 'goes') return null
  return { delay: point.dark.place.delay, seconds: point.dark.needs }
}
