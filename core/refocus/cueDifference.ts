/** What two venues do to each cue: its lit fixtures, as a palette's are told, and moves that got too fast. */
import { cuePicture } from '../cues/comparedCue'
import { DARK } from '../cues/darkness'
import type { StageFixture } from '../cues/onStage'
import { listsInOrder } from '../cues/tracking'
import type { CueId, FixtureId, VenueId } from '../show/ids'
import type { RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import { TravelCheck } from '../travel/check'
import { zonesOf } from '../travel/zones'
import { stageOf } from '../venue/stage'
import { inVenue, lightOf, type FixtureDifference, type LightThere } from './difference'

export interface CueDifference {
  readonly cue: CueId
  readonly fixtures: readonly FixtureDifference[]
}

/** How far a look has come, in cues and courses looked at; and what it found of the cue just looked at. */
export interface CueDifferenceFound {
  readonly done: number
  readonly all: number
  readonly difference: CueDifference | null
}

/** Looks at every cue in two venues, list by list; can be left off anywhere. Cues with nothing lit in either are left out. */
export function* cueDifferencesOf(show: Show, here: VenueId, there: VenueId): Generator<CueDifferenceFound, void> {
  const [before, after] = [new CueLights(inVenue(show, here)), new CueLights(inVenue(show, there))]
  const cues = listsInOrder(show).flatMap((list) => list.cues)
  // Both checks of moves count as much as the cues.
  const all = 3 * cues.length
  const [fastHere, fastThere] = [new Set<string>(), new Set<string>()]
  yield* checked(before.show, fastHere, 0, all)
  yield* checked(after.show, fastThere, cues.length, all)
  for (const [i, { id }] of cues.entries()) {
    const [was, is] = [before.of(id), after.of(id)]
    const fixtures = [...new Set([...was.keys(), ...is.keys()])].map((fixture): FixtureDifference => {
      const key = `${id} ${fixture}`
      return {
        fixture,
        here: was.get(fixture) ?? null,
        there: is.get(fixture) ?? null,
        isTooFast: fastThere.has(key) && !fastHere.has(key),
      }
    })
    const difference = fixtures.length > 0 ? { cue: id, fixtures } : null
    yield { done: 2 * cues.length + i + 1, all, difference }
  }
}

/** Checks every move of a show and keeps which are too fast, as `cue fixture`. */
function* checked(show: Show, tooFast: Set<string>, from: number, all: number): Generator<CueDifferenceFound, void> {
  for (const { done, all: courses, course } of new TravelCheck().check(show)) {
    for (const step of course?.steps ?? []) if (step.tooFast) tooFast.add(`${step.cue} ${course?.fixture}`)
    yield { done: from + (done / courses) * (all / 3), all, difference: null }
  }
}

/** The light of cues in one venue; what stands as it stood in another cue is worked out once. */
class CueLights {
  readonly #known = new Map<RiggedFixture, Map<string, LightThere>>()

  constructor(readonly show: Show) {}

  of(cue: CueId): Map<FixtureId, LightThere> {
    const lit = [...cuePicture(this.show, cue).values()].filter(({ intensity }) => intensity > DARK)
    return new Map(lit.map((one) => [one.rigged.id, this.#light(one)]))
  }

  #light(one: StageFixture): LightThere {
    const { rigged, position, zoom } = one
    const known = this.#known.get(rigged) ?? new Map<string, LightThere>()
    this.#known.set(rigged, known)
    const { point } = position
    const key = `${position.pose.pan} ${position.pose.tilt} ${zoom.angle} ${point?.x} ${point?.y} ${point?.z}`
    const light = known.get(key) ?? lightOf(this.show, stageOf(this.show), zonesOf(this.show), one)
    known.set(key, light)
    return light
  }
}
