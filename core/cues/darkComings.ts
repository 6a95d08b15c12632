/** How values come in while fixtures are dark, as a list goes to a cue: moves planned for it, and what a jump finds dark. */
import { familyOf, type Attribute } from '../attributes/attribute'
import { LEADING } from '../attributes/catalogue'
import { moveTime } from '../kinematics/motorTime'
import { derived } from '../show/derived'
import type { CueRun, CueValue } from '../show/entities'
import type { FixtureId } from '../show/ids'
import { RIG_KINDS, rigOf, type RiggedFixture } from '../show/rig'
import { endToEndOf } from '../show/settleTime'
import { showRecordOf, type ShowPart } from '../show/show'
import { givenBy, type Value } from '../show/values'
import { atRest } from './atRest'
import type { DarkKind } from './darkMoves'
import { brightestElsewhere, DARK, lightsOf } from './darkness'
import { darkChoiceOf, hasDarkMoves } from './darkRules'
import { levelOf } from './level'
import { darkTimingAt } from './playedTimeline'
import { placeOfCue, type ListInOrder, type TrackedState } from './tracking'
import type { Move, Track } from './track'
import { poseInCue } from './ways'

/** What a list holds before and after a run, and what its values do by then, lights first. */
interface Held {
  readonly state: TrackedState
  readonly next: TrackedState
  readonly tracks: ReadonlyMap<string, Track>
}

const lightKey = (fixture: FixtureId) => `${fixture} ${LEADING.light}`

export class DarkComings {
  readonly #isPlanned: boolean
  /** The place of the cue that is gone to, where it is the one after that on stage. */
  readonly #next: number | null

  constructor(
    private readonly show: ShowPart<DarkKind>,
    private readonly list: ListInOrder,
    private readonly run: CueRun,
    private readonly held: Held,
  ) {
    const placeOf = (cue: string | null) => (cue === null ? -1 : (placeOfCue(show, cue)?.at ?? -1))
    this.#isPlanned = run.seconds !== 0 && hasDarkMoves(show, list.id)
    this.#next = placeOf(run.cue) === placeOf(run.from) + 1 ? placeOf(run.cue) : null
  }

  /** How a value comes in: as planned where it moves in the dark, at once where a jump finds its fixture dark, else as the cue says. */
  moveOf({ fixture, attribute }: CueValue, said: Move): Move {
    if (!this.#isPlanned || familyOf(attribute) === 'intensity') return said
    if (this.#next === null) return this.#jump(fixture, attribute, said)
    const planned = darkTimingAt(this.show, this.list.id, fixture, attribute, this.#next)
    return planned ? this.#inTheDark(fixture, said, planned.delay, planned.seconds) : said
  }

  #jump(fixture: FixtureId, attribute: Attribute, said: Move): Move {
    const rigged = rigOf(this.show).get(fixture)
    if (!rigged || !this.#isWanted(rigged, attribute) || !this.#isDark(rigged)) return said
    return this.#inTheDark(fixture, said, 0, this.#needs(rigged, attribute))
  }

  #isWanted({ id, bar }: RiggedFixture, attribute: Attribute): boolean {
    const cue = this.run.cue ?? this.run.from
    if (cue === null) return false
    const where = { list: this.list.id, cue }
    const choice = darkChoiceOf(this.show, where, bar ? [id, bar.id] : [id], familyOf(attribute))
    return choice !== null && choice.when !== 'live'
  }

  /** Whether nothing lights a fixture where the list comes from. */
  #isDark(rigged: RiggedFixture): boolean {
    return lightsOf(this.show, rigged).every((id) => {
      const level = this.#levelOf(id, givenBy(this.held.state.get(lightKey(id))))
      return level <= DARK && (brightestElsewhere(this.show, this.list.id, id) ?? 0) <= DARK
    })
  }

  #levelOf(id: FixtureId, value: Value | null): number {
    const rigged = rigOf(this.show).get(id)
    const shown = value ?? (rigged && atRest(this.show, rigged, LEADING.light))
    return (shown && levelOf(this.show, id, shown)) ?? 0
  }

  #needs(rigged: RiggedFixture, attribute: Attribute): number {
    if (attribute !== LEADING.place) return endToEndOf(rigged.type, attribute) ?? 0
    const poseOf = (state: TrackedState) =>
      poseInCue(this.show, rigged.id, state.get(`${rigged.id} ${attribute}`)?.cue ?? null)
    return moveTime(rigged.mount.head, poseOf(this.held.state), poseOf(this.held.next))
  }

  #inTheDark(fixture: FixtureId, said: Move, delay: number, seconds: number): Move {
    const rigged = rigOf(this.show).get(fixture)
    const gone = rigged ? Math.max(0, ...lightsOf(this.show, rigged).map((id) => this.#goneAt(id))) : 0
    const dark = gone > this.run.startedAt ? gone + showRecordOf(this.show).darkMargin * 1000 : 0
    const startsAt = Math.max(this.run.startedAt + delay * 1000, dark)
    return { ...said, startsAt, lasts: seconds * 1000, falls: seconds * 1000, travel: 'angle' }
  }

  /** The instant from which a light is out before it comes again; 0 where it has been all the time. */
  #goneAt(id: FixtureId): number {
    const isLit = ({ value }: Track) => this.#levelOf(id, value) > DARK
    let track = this.held.tracks.get(lightKey(id))
    while (track?.move && (isLit(track) || !isLit(track.move.from))) track = track.move.from
    return track?.move ? track.move.startsAt + track.move.falls : 0
  }
}

/** Seconds the slowest of the rig needs from one end of what it does to the other. */
const slowest = derived(RIG_KINDS, (show): number => {
  const needs = [...rigOf(show).values()].flatMap(({ mount: { head }, type }) => [
    moveTime(head, { pan: head.pan.min, tilt: head.tilt.min }, { pan: head.pan.max, tilt: head.tilt.max }),
    ...type.has.map((attribute) => endToEndOf(type, attribute) ?? 0),
  ])
  return Math.max(0, ...needs)
})

/** Seconds by which moves in the dark may outlast the cue they are made in. */
export function darkOutlasts(show: ShowPart<DarkKind>, list: ListInOrder): number {
  return hasDarkMoves(show, list.id) ? showRecordOf(show).darkMargin + slowest(show) : 0
}
