/** What one fixture does down a list, step by step: each cue that changes where, how wide or how bright its light is. */
import { LEADING } from '../attributes/catalogue'
import type { Attribute } from '../attributes/attribute'
import { atRest } from '../cues/atRest'
import { DARK, levelElsewhere } from '../cues/darkness'
import { pictureNear, type StageFixture } from '../cues/onStage'
import { darkTimingAt, playedAt, playedPoseAt, playedTimelineOf, type PlayedPoint } from '../cues/playedTimeline'
import { timingOf, type Timing } from '../cues/times'
import type { ListInOrder } from '../cues/tracking'
import { travelOf, type Travel } from '../cues/travel'
import type { CueId, CueListId, FixtureId } from '../show/ids'
import type { RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import { givenBy } from '../show/values'

/** What a cue does with a fixture; times in seconds from the start of the cue. */
export interface Step {
  readonly cue: CueId
  /** The place of the cue in its list, from 0. */
  readonly at: number
  /** As the cue before has it, and as this one does. */
  readonly from: StageFixture
  readonly to: StageFixture
  readonly travel: Travel
  readonly place: Timing
  readonly width: Timing
  readonly light: Timing
  /** Whether where it points is set or moves here. */
  readonly isPlaced: boolean
  /** Whether it moves here in the dark, ahead of the cue that sets it. */
  readonly isAhead: boolean
}

/** What a step can be told by. */
const WATCHED: readonly Attribute[] = [LEADING.place, LEADING.width, LEADING.light]

/** The points that set something of a fixture that a step is made of, and of its bar where it is a cell. */
export function pointsOf(show: Show, list: CueListId, rigged: RiggedFixture): readonly (readonly PlayedPoint[])[] {
  const course = playedTimelineOf(show, list)
  const owners = rigged.bar ? [rigged.id, rigged.bar.id] : [rigged.id]
  return owners.flatMap((id) => WATCHED.flatMap((attribute) => [course.get(`${id} ${attribute}`) ?? []]))
}

/** Every step of a fixture down a list, in order. */
export function stepsOf(show: Show, list: ListInOrder, rigged: RiggedFixture): Step[] {
  const places = new Set(pointsOf(show, list.id, rigged).flatMap((points) => points.map(({ at }) => at)))
  const pictureAt = picturesOf(show, list, rigged)
  const steps: Step[] = []
  for (const at of [...places].sort((a, b) => a - b)) {
    const step = stepBetween(show, list, at, steps.at(-1)?.to ?? pictureAt(at - 1), pictureAt(at))
    if (step) steps.push(step)
  }
  return steps
}

/** What a fixture does in the cue at a place of a list; null where there is none. */
export function stepAt(show: Show, list: ListInOrder, rigged: RiggedFixture, at: number): Step | null {
  const pictureAt = picturesOf(show, list, rigged)
  return stepBetween(show, list, at, pictureAt(at - 1), pictureAt(at))
}

function stepBetween(show: Show, list: ListInOrder, at: number, from: StageFixture, to: StageFixture): Step | null {
  const cue = list.cues[at]
  if (!cue) return null
  const { rigged } = to
  const pointing = (rigged.bar ?? rigged).id
  const timing = (fixture: FixtureId, attribute: Attribute, way: 'up' | 'down' = 'up') =>
    darkTimingAt(show, list.id, fixture, attribute, at) ?? timingOf(show, cue.id, cue.cue, fixture, attribute, way)
  const placed = playedAt(playedTimelineOf(show, list.id), rigged.id, LEADING.place, at)
  const isAhead = placed?.at === at && placed.dark !== undefined
  return {
    cue: cue.id,
    at,
    from,
    to,
    travel: isAhead ? 'angle' : travelOf(show, cue.id, pointing).travel,
    place: timing(pointing, LEADING.place),
    width: timing(rigged.type.has.includes(LEADING.width) ? rigged.id : pointing, LEADING.width),
    light: timing(rigged.id, LEADING.light, to.intensity < from.intensity ? 'down' : 'up'),
    isPlaced: placed?.at === at,
    isAhead,
  }
}

/** A fixture as a list alone has it at a place, from 0; at rest before the first one. */
export function ownPictureAt(show: Show, list: ListInOrder, rigged: RiggedFixture, at: number): StageFixture {
  const course = playedTimelineOf(show, list.id)
  return pictureNear(
    show,
    rigged,
    (id, attribute) => givenBy(playedAt(course, id, attribute, at)?.stored) ?? atRest(show, rigged, attribute),
    () => playedPoseAt(show, rigged.bar ?? rigged, list.id, at),
  )
}

/** As {@link ownPictureAt}, but as bright as other lists ever have it where this one never lights it. */
function picturesOf(show: Show, list: ListInOrder, rigged: RiggedFixture): (at: number) => StageFixture {
  const elsewhere = levelElsewhere(show, list.id, rigged.id)
  if (elsewhere === null) return (at) => ownPictureAt(show, list, rigged, at)
  return (at) => ({ ...ownPictureAt(show, list, rigged, at), intensity: elsewhere, seen: elsewhere })
}

/** How far something has come at an instant, 0 to 1. */
export function progressAt({ delay, seconds }: Timing, instant: number): number {
  if (instant < delay) return 0
  return seconds <= 0 ? 1 : Math.min(1, (instant - delay) / seconds)
}

/** How bright it is at an instant, 0 to 1. */
function levelThen({ from, to, light }: Pick<Step, 'from' | 'to' | 'light'>, instant: number): number {
  return from.intensity + (to.intensity - from.intensity) * progressAt(light, instant)
}

/** Whether it has light while its head is to turn: as its light only comes or goes, at one end of that it has the most. */
export function isSeenToMove(step: Pick<Step, 'from' | 'to' | 'light' | 'place'>): boolean {
  const { delay, seconds } = step.place
  return Math.max(levelThen(step, delay), levelThen(step, delay + seconds)) > DARK
}
