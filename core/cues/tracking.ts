/** Tracking: a value set in a cue carries on through later cues of its list until one changes it. */
import { bisector, group } from 'd3-array'
import { changesBetween, generationsBefore, type EntryChange } from '../show/collectionChanges'
import { derived } from '../show/derived'
import type { Cue, CueValue } from '../show/entities'
import type { EntityOf } from '../show/kinds'
import { asCueId, asCueListId, type CueId, type CueListId } from '../show/ids'
import type { ShowPart } from '../show/show'

export interface CueInOrder {
  readonly id: CueId
  readonly cue: Cue
}

export interface ListInOrder {
  readonly id: CueListId
  readonly list: EntityOf['cueList']
  readonly cues: readonly CueInOrder[]
}

/** Cue lists by number, each with its cues by number. */
export const listsInOrder = derived(['cue', 'cueList'], (show): readonly ListInOrder[] => {
  const cues = [...show.all.cue].map(([id, cue]): CueInOrder => ({ id: asCueId(id), cue }))
  const cuesOf = group(cues, ({ cue }) => cue.list)
  return [...show.all.cueList]
    .map(([key, list]) => [asCueListId(key), list] as const)
    .map(([id, list]) => ({
      id,
      list,
      cues: (cuesOf.get(id) ?? []).sort((a, b) => a.cue.number - b.cue.number),
    }))
    .sort((a, b) => a.list.number - b.list.number)
})

/** The values set in each cue. */
export const valuesByCue = derived(['cueValue'], (show): ReadonlyMap<string, readonly CueValue[]> =>
  group(show.all.cueValue.values(), ({ cue }) => cue),
)

/** Where a cue stands: its list, and its place in it from 0. */
export interface CuePlace {
  readonly list: ListInOrder
  readonly at: number
}

const places = derived(['cue', 'cueList'], (show): ReadonlyMap<string, CuePlace> => {
  const found = new Map<string, CuePlace>()
  for (const list of listsInOrder(show)) list.cues.forEach(({ id }, at) => found.set(id, { list, at }))
  return found
})

/** Where a cue stands; null for one that is not in the show. */
export function placeOfCue(show: ShowPart<'cue' | 'cueList'>, cue: string): CuePlace | null {
  return places(show).get(cue) ?? null
}

/** A value set down a list, and at which place of the list. */
export interface TimelinePoint {
  readonly at: number
  readonly stored: CueValue
}

/** What is set down a list, in order, by `fixture attribute`. */
export type Timeline = ReadonlyMap<string, readonly TimelinePoint[]>

const NOTHING: Timeline = new Map()

/** Where cues stand in their lists, as their numbers have it. */
const standing = derived(['cue'], (show): ReadonlyMap<string, { readonly list: CueListId; readonly at: number }> => {
  const found = new Map<string, { readonly list: CueListId; readonly at: number }>()
  for (const [list, cues] of group(show.all.cue, ([, cue]) => cue.list))
    cues.sort(([, a], [, b]) => a.number - b.number).forEach(([id], at) => found.set(id, { list, at }))
  return found
})

/** What is set down a list; and by fixture, an object that stays the same as long as all that is set of it does. */
interface Course {
  readonly timeline: Timeline
  readonly versions: ReadonlyMap<string, object>
}

type Courses = ReadonlyMap<string, Course>

interface KnownCourses {
  readonly values: ReadonlyMap<string, CueValue>
  readonly courses: Courses
}
/** By the cues, what was worked out with them: by the values it was worked out of, and last. */
const known = new WeakMap<object, { readonly byValues: WeakMap<object, KnownCourses>; readonly newest: KnownCourses }>()

/** What is set differently since the nearest that is known is put into that, the rest stays the same arrays. */
const courses = derived(['cueValue', 'cue'], (show): Courses => {
  const { cueValue: values, cue: cues } = show.all
  const base = baseOf(show)
  const changes = base ? changesBetween(base.values, values) : []
  const found = base && changes.length < MOST_PUT_IN ? withChanges(show, base.courses, changes) : allCourses(show)
  const now = { values, courses: found }
  const byValues = known.get(cues)?.byValues ?? new WeakMap<object, KnownCourses>()
  known.set(cues, { byValues: byValues.set(values, now), newest: now })
  return found
})

/** What is known of these very values, or of what they came from, as far as its courses are known with the same cues; else the newest with these. */
function baseOf({ all }: ShowPart<'cueValue' | 'cue'>): KnownCourses | undefined {
  const withTheseCues = known.get(all.cue)
  const own = withTheseCues?.byValues.get(all.cueValue)
  if (own) return own
  for (const { before } of generationsBefore(all.cueValue)) {
    const found = withTheseCues?.byValues.get(before)
    if (found) return found
  }
  return withTheseCues?.newest
}

/** Where more than so many values are set differently, everything is worked out anew. */
const MOST_PUT_IN = 2000

type ValueChange = EntryChange<CueValue>

function withChanges(show: ShowPart<'cue'>, before: Courses, changes: readonly ValueChange[]): Courses {
  const changed = new Map<string, GrowingCourse>()
  for (const { was, is } of changes) {
    const stored = is ?? was
    const place = stored && standing(show).get(stored.cue)
    if (!stored || !place) continue
    const { timeline, versions } = changed.get(place.list) ?? copyOf(before.get(place.list))
    changed.set(place.list, { timeline, versions })
    versions.set(stored.fixture, {})
    const key = `${stored.fixture} ${stored.attribute}`
    const others = (timeline.get(key) ?? []).filter((point) => point.stored !== was)
    const points = is ? [...others, { at: place.at, stored: is }].sort((a, b) => a.at - b.at) : others
    if (points.length > 0) timeline.set(key, points)
    else timeline.delete(key)
  }
  return new Map([...before, ...changed])
}

interface GrowingCourse {
  readonly timeline: Map<string, readonly TimelinePoint[]>
  readonly versions: Map<string, object>
}

function copyOf(course: Course | undefined): GrowingCourse {
  return { timeline: new Map(course?.timeline), versions: new Map(course?.versions) }
}

/** Filed by fixture and attribute apart: tens of thousands of keys put together would take most of the time. */
type Filed = Map<string, Map<string, TimelinePoint[]>>

function allCourses(show: ShowPart<'cueValue' | 'cue'>): Courses {
  const byList = new Map<string, Filed>()
  for (const stored of show.all.cueValue.values()) {
    const place = standing(show).get(stored.cue)
    if (place) file(byList, place, stored)
  }
  return new Map([...byList].map(([list, filed]) => [list, courseFrom(filed)]))
}

function file(
  byList: Map<string, Filed>,
  { list, at }: { readonly list: CueListId; readonly at: number },
  stored: CueValue,
): void {
  const filed = byList.get(list) ?? new Map<string, Map<string, TimelinePoint[]>>()
  byList.set(list, filed)
  let ofFixture = filed.get(stored.fixture)
  if (!ofFixture) filed.set(stored.fixture, (ofFixture = new Map<string, TimelinePoint[]>()))
  const points = ofFixture.get(stored.attribute)
  if (points) points.push({ at, stored })
  else ofFixture.set(stored.attribute, [{ at, stored }])
}

function courseFrom(filed: Filed): Course {
  const timeline = new Map<string, TimelinePoint[]>()
  for (const [fixture, ofFixture] of filed)
    for (const [attribute, points] of ofFixture)
      timeline.set(
        `${fixture} ${attribute}`,
        points.sort((a, b) => a.at - b.at),
      )
  return { timeline, versions: new Map([...filed.keys()].map((fixture) => [fixture, {}])) }
}

export function timelineOf(show: ShowPart<'cueValue' | 'cue'>, list: CueListId): Timeline {
  return courses(show).get(list)?.timeline ?? NOTHING
}

/** The same object as long as all that a list sets of a fixture is the same; null where it never set anything of it. */
export function fixtureSetOf(show: ShowPart<'cueValue' | 'cue'>, list: CueListId, fixture: string): object | null {
  return courses(show).get(list)?.versions.get(fixture) ?? null
}

const byPlace = bisector(({ at }: { readonly at: number }) => at)

/** Which of some points is the latest at or before a place; -1 where nothing has been set yet. */
export function indexAt(points: ArrayLike<{ readonly at: number }>, at: number): number {
  return byPlace.right(points, at) - 1
}

/** The latest of some points at or before a place; null where nothing has been set yet. */
export function latestAt(points: readonly TimelinePoint[], at: number): TimelinePoint | null {
  return points[indexAt(points, at)] ?? null
}

/** What a list holds at a cue, by `fixture attribute`: the latest value at or before it. */
export type TrackedState = ReadonlyMap<string, CueValue>

/** What a list holds at a cue. A cue of another list throws RangeError: a programmer's fault. */
export function stateAt(show: ShowPart<'cueValue' | 'cue' | 'cueList'>, list: ListInOrder, cue: CueId): TrackedState {
  const place = placeOfCue(show, cue)
  if (place?.list.id !== list.id) throw new RangeError(`cue ${cue} does not stand in list ${list.id}`)
  return stateAtPlace(show, list.id, place.at)
}

/** What a list holds at a place in it; nothing before its first cue. */
export function stateAtPlace(
  show: ShowPart<'cueValue' | 'cue' | 'cueList'>,
  list: CueListId,
  at: number,
): TrackedState {
  return stateIn(timelineOf(show, list), at)
}

/** What a timeline holds at a place; nothing before its first cue. */
export function stateIn(timeline: Timeline, at: number): TrackedState {
  const state = new Map<string, CueValue>()
  if (at < 0) return state
  for (const [key, points] of timeline) {
    const latest = latestAt(points, at)
    if (latest) state.set(key, latest.stored)
  }
  return state
}
