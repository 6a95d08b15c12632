/** What two venues do to each cue: its lit fixtures, as a palette's are told, and moves that got too fast. */
import { DARK, levelElsewhere } from '../cues/darkness'
import type { StageFixture } from '../cues/onStage'
import { listsInOrder, type ListInOrder } from '../cues/tracking'
import type { CueId, FixtureId, VenueId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import { ownPictureAt, stepsOf } from '../travel/course'
import { tooFast } from '../travel/motors'
import { surfacesOf } from '../venue/surfaces'
import { inVenue, type FixtureDifference } from './difference'
import type { LightThere } from './lightThere'
import { StandingLights } from './standingLights'

export interface CueDifference {
  readonly cue: CueId
  readonly fixtures: readonly FixtureDifference[]
}

/** How far a look has come, in fixtures of lists and cues; and what it found of the cue just looked at. */
export interface CueDifferenceFound {
  readonly done: number
  readonly all: number
  readonly difference: CueDifference | null
}

/** Looks at every cue in two venues, list by list; can be left off anywhere. Cues with nothing lit in either are left out. */
export function* cueDifferencesOf(show: Show, here: VenueId, there: VenueId): Generator<CueDifferenceFound, void> {
  const [before, after] = [new StandingLights(inVenue(show, here)), new StandingLights(inVenue(show, there))]
  const [rigBefore, rigAfter] = [rigOf(before.show), rigOf(after.show)]
  const fixtures = [...new Set([...rigBefore.keys(), ...rigAfter.keys()])]
  const lists = listsInOrder(show)
  const all = lists.reduce((sum, { cues }) => sum + fixtures.length + cues.length, 0)
  let done = 0
  for (const list of lists) {
    const [was, is] = [new LightsOfList(before, list), new LightsOfList(after, list)]
    for (const fixture of fixtures) {
      was.take(rigBefore.get(fixture))
      is.take(rigAfter.get(fixture))
      yield { done: (done += 1), all, difference: null }
    }
    // A fixture that a cue does nothing with differs in it as in the cue before: the same object.
    const differences = new Map(fixtures.map((fixture) => [fixture, differenceOf(fixture, was, is)]))
    for (const [at, { id }] of list.cues.entries()) {
      for (const fixture of [...was.goTo(at), ...is.goTo(at)]) differences.set(fixture, differenceOf(fixture, was, is))
      const found = [...differences.values()].filter((one) => one !== null)
      yield { done: (done += 1), all, difference: found.length > 0 ? { cue: id, fixtures: found } : null }
    }
  }
}

function differenceOf(fixture: FixtureId, was: LightsOfList, is: LightsOfList): FixtureDifference | null {
  const [here, there] = [was.lit.get(fixture) ?? null, is.lit.get(fixture) ?? null]
  if (!here && !there) return null
  return { fixture, here, there, isTooFast: is.tooFast.has(fixture) && !was.tooFast.has(fixture) }
}

interface Change {
  readonly fixture: FixtureId
  /** Null where it is dark. */
  readonly light: LightThere | null
  readonly isTooFast: boolean
}

/** What a list has lit, gone through cue by cue: what a cue does not change stays as it is. */
class LightsOfList {
  readonly #changes = new Map<number, Change[]>()
  readonly lit = new Map<FixtureId, LightThere>()
  /** Those whose move in this cue is too fast for their motors. */
  readonly tooFast = new Set<FixtureId>()

  constructor(
    private readonly lights: StandingLights,
    private readonly list: ListInOrder,
  ) {}

  /** Takes in all that the list does with a fixture; nothing of one that does not hang. */
  take(rigged: RiggedFixture | undefined): void {
    if (!rigged) return
    const [{ show }, list, fixture] = [this.lights, this.list, rigged.id]
    const lightOf = (picture: StageFixture) => (picture.intensity > DARK ? this.lights.of(picture) : null)
    const atRest = lightOf(ownPictureAt(show, list, rigged, -1))
    if (atRest) this.lit.set(fixture, atRest)
    const isLitElsewhere = levelElsewhere(show, list.id, fixture) !== null
    for (const step of stepsOf(show, list, rigged)) {
      const light = lightOf(isLitElsewhere ? ownPictureAt(show, list, rigged, step.at) : step.to)
      const changes = this.#changes.get(step.at) ?? []
      changes.push({ fixture, light, isTooFast: tooFast(step, surfacesOf(show)) !== null })
      this.#changes.set(step.at, changes)
    }
  }

  /** Goes on to the next cue, by its place in the list from 0. Tells which fixtures may differ from the cue before. */
  goTo(at: number): FixtureId[] {
    const touched = [...this.tooFast]
    this.tooFast.clear()
    for (const { fixture, light, isTooFast } of this.#changes.get(at) ?? []) {
      if (light) this.lit.set(fixture, light)
      else this.lit.delete(fixture)
      if (isTooFast) this.tooFast.add(fixture)
      touched.push(fixture)
    }
    return touched
  }
}
