/**
 * Moves made while a fixture has no light, ready for the cue in which it comes again: for each time
 * a fixture lights otherwise than it went dark, when it may go there, how long it needs, and in which
 * cue it goes. They follow from cues, rules, rig and venue, and are stored nowhere.
 */
import { group } from 'd3-array'
import { familyOf, type Attribute } from '../attributes/attribute'
import type { Family } from '../attributes/families'
import { LEADING } from '../attributes/catalogue'
import equal from 'fast-deep-equal'
import { moveTime } from '../kinematics/motorTime'
import { resolveValue } from '../palettes/resolve'
import { versionOf } from '../palettes/versions'
import { isAlike } from '../show/isAlike'
import { derived } from '../show/derived'
import type { CueId, CueListId, FixtureId } from '../show/ids'
import { lets } from '../show/masks'
import { rigOf, type RiggedFixture } from '../show/rig'
import { settleTime } from '../show/settleTime'
import { showRecordOf, type ShowPart } from '../show/show'
import { targetsOf } from '../show/targets'
import { givenBy, type PlainValue } from '../show/values'
import { atRest } from './atRest'
import { darkGapsOf, type DarkGap } from './darkGaps'
import { brightestElsewhere, DARK, lightsOf } from './darkness'
import { placeInDark, stays, type DarkPlace, type DarkTimes } from './darkPlace'
import { darkChoiceOf } from './darkRules'
import { beginningsOf, type Beginning } from './darkTimes'
import { setVersionOf } from './setVersion'
import { timingOf } from './times'
import { indexAt, listsInOrder, timelineOf, type ListInOrder, type TimelinePoint } from './tracking'
import { poseAt, WAY_KINDS } from './ways'

/** What moves in the dark are worked out from. */
export const DARK_KINDS = ['cueTime', 'darkRule', ...WAY_KINDS] as const
export type DarkKind = (typeof DARK_KINDS)[number]

/** What of a fixture is to be in place before it has light. */
export interface DarkMove {
  readonly fixture: FixtureId
  readonly family: Family
  readonly attributes: readonly Attribute[]
  /** The cue in which the light comes, which sets it; and its place in the list. */
  readonly cue: CueId
  readonly at: number
  /** The place of the cue in which it went dark; -1 where it has had no light yet. */
  readonly since: number
  /** Seconds its motors and wheels need. */
  readonly needs: number
  readonly place: DarkPlace
}

interface Known {
  readonly inputs: readonly unknown[]
  readonly moves: readonly DarkMove[]
}
/** The newest by list, and the one before it: a preview beside the real show does not throw that away. */
const known = new WeakMap<RiggedFixture, Map<string, readonly Known[]>>()

/** Everything a fixture ought to have in place before it lights in a list, in order; the same as long as nothing it goes by changes. */
export function darkMovesOf(show: ShowPart<DarkKind>, list: ListInOrder, rigged: RiggedFixture): readonly DarkMove[] {
  const byList = known.get(rigged) ?? new Map<string, readonly Known[]>()
  known.set(rigged, byList)
  const newest = byList.get(list.id) ?? []
  const inputs = inputsOf(show, list, rigged)
  const found = newest.find((one) => isAlike(one.inputs, inputs)) ?? {
    inputs,
    moves: new FixtureInList(show, list, rigged).moves(),
  }
  byList.set(list.id, [found, ...newest.filter((one) => one !== found)].slice(0, 2))
  return found.moves
}

/** How far a look at every fixture has come, in fixtures; and what the one just looked at ought to have in place. */
export interface DarkMovesFound {
  readonly done: number
  readonly all: number
  readonly moves: readonly DarkMove[]
}

/** The same of every fixture, one after the other; nothing of a list that is not there. Can be left off anywhere. */
export function* darkMovesByFixture(show: ShowPart<DarkKind>, id: CueListId): Generator<DarkMovesFound, void> {
  const list = listsInOrder(show).find((one) => one.id === id)
  if (!list) return
  const rig = [...rigOf(show).values()]
  for (const [i, rigged] of rig.entries())
    yield { done: i + 1, all: rig.length, moves: darkMovesOf(show, list, rigged) }
}

function inputsOf(show: ShowPart<DarkKind>, list: ListInOrder, rigged: RiggedFixture): readonly unknown[] {
  const { rest, darkWhen, darkMargin } = showRecordOf(show)
  const { take, heldBack } = list.list
  const resting = rest === null ? null : versionOf(show, { kind: 'link', palette: rest })
  const said = [show.all.cue, show.all.cueTime, show.all.darkRule, take, heldBack, darkWhen, darkMargin]
  const set = setVersionOf(show, list.id, rigged)
  return [...said, targetsOf(show), rest, resting, isLitElsewhere(show, list, rigged), set]
}

/** Whether another list may light a fixture while this one has it dark. */
function isLitElsewhere(show: ShowPart<DarkKind>, list: ListInOrder, rigged: RiggedFixture): boolean {
  return lightsOf(show, rigged).some((id) => (brightestElsewhere(show, list.id, id) ?? 0) > DARK)
}

const beginningsByList = derived(['cue', 'cueTime'], () => new WeakMap<ListInOrder['cues'], readonly Beginning[]>())

function timesOfList(show: ShowPart<DarkKind>, list: ListInOrder): DarkTimes {
  const all = beginningsByList(show)
  const beginnings = all.get(list.cues) ?? beginningsOf(show, list)
  all.set(list.cues, beginnings)
  return { list, beginnings, margin: showRecordOf(show).darkMargin }
}

/** One fixture down one list. */
class FixtureInList {
  readonly #times: DarkTimes

  constructor(
    private readonly show: ShowPart<DarkKind>,
    private readonly list: ListInOrder,
    private readonly rigged: RiggedFixture,
  ) {
    this.#times = timesOfList(show, list)
  }

  moves(): readonly DarkMove[] {
    const attributes = this.rigged.type.has.filter(
      (attribute) => familyOf(attribute) !== 'intensity' && lets(this.list.list, attribute),
    )
    return darkGapsOf(this.show, this.list, this.rigged, this.#times.beginnings)
      .filter(({ until }) => until > 0)
      .flatMap((gap) => {
        const late = attributes.filter((attribute) => this.#isLate(attribute, gap))
        return [...group(late, familyOf)].map(([family, ofFamily]) => this.#moveIn(gap, family, ofFamily))
      })
  }

  #points(attribute: Attribute): readonly TimelinePoint[] {
    return timelineOf(this.show, this.list.id).get(`${this.rigged.id} ${attribute}`) ?? []
  }

  #isSetAt(attribute: Attribute, at: number): boolean {
    const points = this.#points(attribute)
    return points[indexAt(points, at)]?.at === at
  }

  /** Whether the cue that brings the light moves an attribute, and not all before the light comes. */
  #isLate(attribute: Attribute, { until, lightAt }: DarkGap): boolean {
    const cue = this.list.cues[until]
    const begins = this.#times.beginnings[until]
    if (!cue || !begins || !this.#isSetAt(attribute, until)) return false
    if (!this.#isOther(attribute, until - 1, until)) return false
    const { delay, seconds } = timingOf(this.show, cue.id, cue.cue, this.rigged.id, attribute, 'up')
    const needs = Math.max(seconds, this.#needs(attribute, until - 1, until))
    return needs > 0 && begins.seconds + delay + needs > lightAt.seconds + 1e-9
  }

  #plainAt(attribute: Attribute, at: number): PlainValue | null {
    const points = this.#points(attribute)
    const value = givenBy(points[indexAt(points, at)]?.stored) ?? atRest(this.show, this.rigged, attribute)
    return value && resolveValue(this.show, this.rigged, attribute, value).value
  }

  #poseAt(at: number) {
    return poseAt(this.show, this.rigged, this.list.id, at)
  }

  #isOther(attribute: Attribute, before: number, after: number): boolean {
    if (attribute === LEADING.place) return this.#needs(attribute, before, after) > 0
    return !equal(this.#plainAt(attribute, before), this.#plainAt(attribute, after))
  }

  /** Seconds an attribute needs from what it has at one place to what it has at another. */
  #needs(attribute: Attribute, from: number, to: number): number {
    if (attribute === LEADING.place) return moveTime(this.rigged.mount.head, this.#poseAt(from), this.#poseAt(to))
    return settleTime(this.rigged.type, attribute, this.#plainAt(attribute, from), this.#plainAt(attribute, to))
  }

  #moveIn(gap: DarkGap, family: Family, attributes: readonly Attribute[]): DarkMove {
    const { until: at, since } = gap
    /** In the cue it goes dark in it is where that leaves it, later where the cue before left it. */
    const needsAt = (place: number) =>
      Math.max(...attributes.map((attribute) => this.#needs(attribute, Math.max(since, place - 1), at)))
    const place = this.#placeOf(gap, family, attributes, needsAt)
    const cue = this.list.cues[at]
    if (!cue) throw new RangeError(`the list has no cue at ${at}`)
    const needs = place.kind === 'goes' ? needsAt(place.at) : needsAt(at)
    return { fixture: this.rigged.id, family, attributes, cue: cue.id, at, since, needs, place }
  }

  #placeOf(
    gap: DarkGap,
    family: Family,
    attributes: readonly Attribute[],
    needsAt: (place: number) => number,
  ): DarkPlace {
    const { id, bar } = this.rigged
    const cue = this.list.cues[gap.until]
    const choice =
      cue && darkChoiceOf(this.show, { list: this.list.id, cue: cue.id }, bar ? [id, bar.id] : [id], family)
    if (!choice) return stays('nothing said')
    if (choice.when !== 'live' && isLitElsewhere(this.show, this.list, this.rigged)) return stays('lit elsewhere')
    const movesAsItGoesDark = attributes.some((attribute) => this.#isSetAt(attribute, gap.since))
    return placeInDark(this.#times, { gap, needsAt, movesAsItGoesDark }, choice)
  }
}
