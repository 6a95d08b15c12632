/** What of a show cannot be watched as it is meant: every step of every fixture in every list. */
import { group } from 'd3-array'
import { DARK_KINDS, darkMovesOf, type DarkMove } from '../cues/darkMoves'
import { levelElsewhere } from '../cues/darkness'
import { setVersionOf } from '../cues/setVersion'
import { timesOf } from '../cues/times'
import { fixtureSetOf, listsInOrder, placeOfCue, valuesByCue, type ListInOrder } from '../cues/tracking'
import { versionOf } from '../palettes/versions'
import { isAlike } from '../show/isAlike'
import { moveTime } from '../kinematics/motorTime'
import type { CueId, CueListId, FixtureId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import { showRecordOf, type Show } from '../show/show'
import { targetsOf } from '../show/targets'
import { SURFACE_KINDS, surfacesOf } from '../venue/surfaces'
import { isSeenToMove, pointsOf, stepAt, stepsOf, type Step } from './course'
import { tooFast, type TooFast } from './motors'
import { sweepsOf, type Sweep } from './sweep'
import { zonesOf } from './zones'

/** What a check goes by: where none of it changes there is nothing to look at anew. */
export const CHECKED_KINDS = [...DARK_KINDS, ...SURFACE_KINDS] as const

/** What a cue does with a fixture, and what of it cannot be watched as it is meant. */
export interface CheckedStep {
  readonly cue: CueId
  /** Whether its head turns. */
  readonly turns: boolean
  /** Whether it has light while it is to turn. */
  readonly isSeen: boolean
  /** Whether it moves in the dark ahead of the cue that sets it. */
  readonly isAhead: boolean
  /** When it sets out, and how long it is to take; seconds. */
  readonly begins: number
  readonly lasts: number
  /** How bright it is before and after, 0 to 1. */
  readonly levels: readonly [before: number, after: number]
  readonly tooFast: TooFast | null
  readonly sweeps: readonly Sweep[]
}

/** All that a list does with a fixture, in the order of its cues. */
export interface CheckedCourse {
  readonly list: CueListId
  readonly fixture: FixtureId
  readonly steps: readonly CheckedStep[]
  /** What of it ought to be in place before it lights, and whether it is. */
  readonly dark: readonly DarkMove[]
}

/** How far a check has come, in fixtures of lists; `course` is the one just looked at, where it is another than before. */
export interface Checked {
  readonly done: number
  readonly all: number
  readonly course: CheckedCourse | null
}

/** What a list does with a fixture it sets nothing of goes by nothing. */
const NOTHING_SET: readonly unknown[] = []

interface Known {
  /** What the course was worked out from, but for the cues. */
  readonly inputs: readonly unknown[]
  /** The cues and their times as they all were, and what of them the course goes by. */
  readonly cues: readonly unknown[]
  readonly cueInputs: readonly unknown[]
  readonly course: CheckedCourse
}

/** Checks a show, and again as it changes: what a fixture does is looked at anew only where something it goes by is another. */
export class TravelCheck {
  readonly #known = new Map<string, Known>()

  /** What a fixture does down a list; null where it does what it did. */
  #courseOf(show: Show, list: ListInOrder, rigged: RiggedFixture): CheckedCourse | null {
    const key = `${list.id} ${rigged.id}`
    const known = this.#known.get(key)
    const inputs = inputsOf(show, list, rigged)
    const cues = [list, show.all.cueTime]
    const isSame = known !== undefined && isAlike(known.inputs, inputs)
    if (isSame && isAlike(known.cues, cues)) return null
    const cueInputs = cueInputsOf(show, list, rigged)
    const isStill = isSame && isAlike(known.cueInputs, cueInputs)
    const course = isStill ? known.course : courseOf(show, list, rigged)
    this.#known.set(key, { inputs, cues, cueInputs, course })
    return isStill ? null : course
  }

  /** Looks at every fixture in every list; can be left off anywhere. */
  *check(show: Show): Generator<Checked, void> {
    const [lists, rig] = [listsInOrder(show), rigOf(show)]
    const all = lists.length * rig.size
    let done = 0
    for (const list of lists)
      for (const rigged of rig.values()) {
        const course = this.#courseOf(show, list, rigged)
        yield { done: (done += 1), all, course }
      }
  }
}

/** Everything but the cues that the steps of a fixture go by; the same objects as long as nothing of it changes. */
function inputsOf(show: Show, list: ListInOrder, rigged: RiggedFixture): readonly unknown[] {
  const whole = rigged.bar ? [rigged, rigged.bar] : [rigged]
  if (whole.every(({ id }) => fixtureSetOf(show, list.id, id) === null)) return NOTHING_SET
  const { travel, rest } = showRecordOf(show)
  const ofList = [list.list.travel, levelElsewhere(show, list.id, rigged.id)]
  const resting = [rest, rest === null ? null : versionOf(show, { kind: 'link', palette: rest })]
  const ground = [rigged, surfacesOf(show), zonesOf(show), targetsOf(show), travel]
  const set = whole.map((one) => setVersionOf(show, list.id, one))
  const dark = whole.map((one) => darkMovesOf(show, list, one))
  return [...ground, ...ofList, ...resting, ...set, ...dark]
}

/** What of the cues the steps of a fixture go by. */
function cueInputsOf(show: Show, list: ListInOrder, rigged: RiggedFixture): readonly unknown[] {
  return pointsOf(show, list.id, rigged).flatMap((points) =>
    points.flatMap(({ at, stored }) => [at === 0, list.cues[at]?.cue, timesOf(show, stored.cue)]),
  )
}

function courseOf(show: Show, list: ListInOrder, rigged: RiggedFixture): CheckedCourse {
  return {
    list: list.id,
    fixture: rigged.id,
    steps: stepsOf(show, list, rigged).map((step) => checkedStep(show, step)),
    dark: darkMovesOf(show, list, rigged),
  }
}

function checkedStep(show: Show, step: Step): CheckedStep {
  const [surfaces, zones] = [surfacesOf(show), zonesOf(show)]
  const { cue, from, to, place } = step
  return {
    cue,
    turns: moveTime(to.rigged.mount.head, from.position.pose, to.position.pose) > 0,
    isSeen: isSeenToMove(step),
    isAhead: step.isAhead,
    begins: place.delay,
    lasts: place.seconds,
    levels: [from.intensity, to.intensity],
    tooFast: tooFast(step, surfaces),
    sweeps: sweepsOf(step, zones, surfaces),
  }
}

/** A step with its fixture. */
export type FixtureStep = CheckedStep & Pick<CheckedCourse, 'fixture'>

const isFaulty = ({ tooFast, sweeps }: CheckedStep) => tooFast !== null || sweeps.length > 0

/** The steps of a course in which something is wrong. */
export function faultySteps({ fixture, steps }: CheckedCourse): FixtureStep[] {
  return steps.filter(isFaulty).map((step) => ({ fixture, ...step }))
}

/** Steps in which something is wrong, by cue. */
export function faultyByCue(courses: Iterable<CheckedCourse>): ReadonlyMap<CueId, readonly FixtureStep[]> {
  return group([...courses].flatMap(faultySteps), ({ cue }) => cue)
}

/** What is wrong in one cue. */
export function faultsIn(show: Show, cue: CueId): FixtureStep[] {
  const place = placeOfCue(show, cue)
  if (!place) return []
  const set = new Set((valuesByCue(show).get(cue) ?? []).map(({ fixture }) => fixture))
  return [...rigOf(show).values()].flatMap((rigged) => {
    if (!set.has(rigged.id) && !(rigged.bar && set.has(rigged.bar.id))) return []
    const step = stepAt(show, place.list, rigged, place.at)
    const checked = step && checkedStep(show, step)
    return checked && isFaulty(checked) ? [{ fixture: rigged.id, ...checked }] : []
  })
}
