/**
 * Which way round a head takes to each of its aims down a whole list, chosen together: by dynamic
 * programming over every pose it could have there, cue by cue the cheapest way of having come to each.
 */
import { darkMovesOf } from '../cues/darkMoves'
import { DARK, levelElsewhere, lightsOf } from '../cues/darkness'
import { levelsOf } from '../cues/darkGaps'
import { listsInOrder, timelineOf, type ListInOrder, type TimelinePoint } from '../cues/tracking'
import { timingOf } from '../cues/times'
import { travelOf } from '../cues/travel'
import { poseAt } from '../cues/ways'
import { LEADING } from '../attributes/catalogue'
import { HOME, type Axis, type Mount, type Pose } from '../kinematics/head'
import { allWays, solveAim } from '../kinematics/inverse'
import { moveTime } from '../kinematics/motorTime'
import type { Side } from '../kinematics/solved'
import { resolveValue } from '../palettes/resolve'
import { solvePose } from '../palettes/solve'
import { isAlike } from '../show/isAlike'
import type { CueValue } from '../show/entities'
import type { CueId, CueListId, FixtureId } from '../show/ids'
import { isHead, rigOf, type RiggedFixture } from '../show/rig'
import { showRecordOf, type Show } from '../show/show'
import { aimPoint, targetsOf } from '../show/targets'
import { givenBy, type AimChoice, type CueContent } from '../show/values'

/** A pose a head could have in a cue; `side` is null where there is none to choose. */
export interface Candidate extends Pose {
  readonly side: Side | null
}

/** A place in a list that sets where a head points. */
export interface Stop {
  readonly cue: CueId
  readonly candidates: readonly Candidate[]
  /** Whether it is seen to move there, and whether its light is to go straight. */
  readonly isLit: boolean
  readonly isStraight: boolean
  /** How long it is to take. */
  readonly seconds: number
}

/** Every second a move that is seen takes too long counts as so many. */
const LATE = 5
/** Seconds of a move nobody sees count so much of one that is seen. */
const UNSEEN = 0.05
/** What it costs to arrive the other way round where the light is to go straight: as much as a move of so many seconds. */
const BENT = 10
/** Which part of an axis from its middle is free, and what the very end costs, as seconds. */
const FREE = 0.8
const AT_THE_STOP = 1

/** What a pose costs by itself: pan near its stops leaves little way to go on. */
function costOfPose(pan: Axis, at: number): number {
  const half = (pan.max - pan.min) / 2
  const off = Math.abs(at - (pan.min + pan.max) / 2) / half
  return off <= FREE ? 0 : AT_THE_STOP * ((off - FREE) / (1 - FREE)) ** 2
}

/**
 * What a move costs: long ones that are seen more than in proportion, so that one long move is worse
 * than two short ones: `s + s²` of the seconds the motors need, more where they have not that long, little where nobody sees it.
 */
function costOfMove(mount: Mount, stop: Stop, from: Candidate, to: Candidate): number {
  const seconds = moveTime(mount.head, from, to)
  if (!stop.isLit) return UNSEEN * seconds
  const isBent = stop.isStraight && from.side !== to.side
  const late = LATE * Math.max(0, seconds - stop.seconds)
  return seconds + seconds ** 2 + late + (isBent ? BENT : 0)
}

/** What poses cost down the stops of a head, one for each. */
export function costOf(mount: Mount, stops: readonly Stop[], chosen: readonly Candidate[]): number {
  return stops.reduce((sum, stop, i) => {
    const [from, to] = [chosen[i - 1], chosen[i]]
    if (!to) return sum
    return sum + costOfPose(mount.head.pan, to.pan) + (from ? costOfMove(mount, stop, from, to) : 0)
  }, 0)
}

/** The cheapest poses, one for each stop. */
export function cheapest(mount: Mount, stops: readonly Stop[]): readonly Candidate[] {
  /** For each candidate of a stop what it costs to be there at best, and from which one before. */
  const reached: { readonly cost: number; readonly before: number }[][] = []
  stops.forEach((stop, i) => {
    const [earlier, costs] = [stops[i - 1], reached[i - 1]]
    reached.push(
      stop.candidates.map((to) => {
        const own = costOfPose(mount.head.pan, to.pan)
        if (!earlier || !costs) return { cost: own, before: -1 }
        let best = { cost: Infinity, before: -1 }
        earlier.candidates.forEach((from, before) => {
          const cost = (costs[before]?.cost ?? Infinity) + costOfMove(mount, stop, from, to)
          if (cost < best.cost) best = { cost, before }
        })
        return { cost: best.cost + own, before: best.before }
      }),
    )
  })
  return walkedBack(stops, reached)
}

function walkedBack(stops: readonly Stop[], reached: readonly (readonly { cost: number; before: number }[])[]) {
  const chosen: Candidate[] = []
  const last = reached.at(-1) ?? []
  let at = last.reduce((best, { cost }, i) => (cost < (last[best]?.cost ?? Infinity) ? i : best), 0)
  for (let i = stops.length - 1; i >= 0; i--) {
    const candidate = stops[i]?.candidates[at]
    if (candidate) chosen.unshift(candidate)
    at = reached[i]?.[at]?.before ?? 0
  }
  return chosen
}

/** How much a head turns down a list. */
export interface Turning {
  /** Seconds of the longest move that is seen, and of all of them together. */
  readonly longest: number
  readonly seen: number
  /** Degrees of both axes, seen or not. */
  readonly degrees: number
  /** Moves in which pan turns by more than half round. */
  readonly longWays: number
  /** Moves seen that are to go straight and end the other way round. */
  readonly bent: number
}

/** Half round, with as much to spare as rounding takes. */
const HALF_ROUND = 180 + 1e-6

export function turningOf(mount: Mount, stops: readonly Stop[], chosen: readonly Candidate[]): Turning {
  const moves = stops.flatMap(({ isLit, isStraight }, i) => {
    const [from, to] = [chosen[i - 1], chosen[i]]
    if (!from || !to) return []
    const [pan, tilt] = [Math.abs(to.pan - from.pan), Math.abs(to.tilt - from.tilt)]
    const isBent = isLit && isStraight && from.side !== to.side
    return [{ pan, degrees: pan + tilt, seconds: isLit ? moveTime(mount.head, from, to) : 0, isBent }]
  })
  return {
    longest: Math.max(0, ...moves.map(({ seconds }) => seconds)),
    seen: moves.reduce((sum, { seconds }) => sum + seconds, 0),
    degrees: moves.reduce((sum, { degrees }) => sum + degrees, 0),
    longWays: moves.filter(({ pan }) => pan > HALF_ROUND).length,
    bent: moves.filter(({ isBent }) => isBent).length,
  }
}

/** A cue in which a head shall go another way; null for as its palette says. */
export interface OtherWay {
  readonly cue: CueId
  readonly fixture: FixtureId
  readonly way: AimChoice | null
}

export interface Unwound {
  readonly fixture: FixtureId
  readonly before: Turning
  readonly after: Turning
  readonly ways: readonly OtherWay[]
}

/** The stops of a head down a list; ways chosen by hand are the only ones there unless `isFreed`. */
export function stopsOf(show: Show, list: ListInOrder, rigged: RiggedFixture, isFreed: boolean): readonly Stop[] {
  const levelAt = levelsOf(show, list, rigged)
  const ahead = new Set(
    darkMovesOf(show, list, rigged).flatMap(({ family, place, at }) =>
      family === 'position' && place.kind === 'goes' ? [at] : [],
    ),
  )
  const secondsOf = (id: CueId) => {
    const cue = show.all.cue.get(id)
    return cue ? timingOf(show, id, cue, rigged.id, LEADING.place, 'up').seconds : 0
  }
  let before: readonly Candidate[] = []
  return placesOf(show, list, rigged).map(({ at, stored }) => {
    const candidates = candidatesAt(show, list, rigged, { at, stored }, isFreed, before)
    before = candidates
    const isLit = !ahead.has(at) && Math.max(levelAt(at - 1), levelAt(at)) > DARK
    const { cue } = stored
    const isStraight = travelOf(show, cue, rigged.id).travel === 'straight'
    return { cue, candidates, isLit, isStraight, seconds: secondsOf(cue) }
  })
}

function placesOf(show: Show, list: ListInOrder, rigged: RiggedFixture): readonly TimelinePoint[] {
  return timelineOf(show, list.id).get(`${rigged.id} ${LEADING.place}`) ?? []
}

/** Whether the way round of a value was chosen by a person in this very cue. */
function isByHand(value: CueContent): boolean {
  if (value.kind === 'link') return value.way?.byHand ?? false
  return value.kind === 'aim' && value.choice !== null
}

function candidatesAt(
  show: Show,
  list: ListInOrder,
  rigged: RiggedFixture,
  { at, stored }: TimelinePoint,
  isFreed: boolean,
  before: readonly Candidate[],
): readonly Candidate[] {
  const { mount } = rigged
  const fixed = [{ ...poseAt(show, rigged, list.id, at), side: null }]
  const given = givenBy(stored)
  const plain = given && resolveValue(show, rigged, LEADING.place, given).value
  if (plain?.kind !== 'aim' || (isByHand(stored.value) && !isFreed)) return fixed
  const point = aimPoint(targetsOf(show), plain)
  if (!point) return fixed
  // On its pan axis a head may stay as it was: the ways there go by those before.
  const references = before.length > 0 ? before : fixed
  const found = new Map<string, Candidate>()
  for (const reference of references)
    for (const { side, pan } of allWays(mount, point, reference)) {
      const solved = solveAim(mount, point, { reference: { pan, tilt: 0 }, side, turn: pan })
      if (!solved.reachable) continue
      const { pan: turned, tilt } = solved
      found.set(`${turned.toFixed(6)} ${tilt.toFixed(6)}`, { pan: turned, tilt, side: solved.side })
    }
  return found.size > 0 ? [...found.values()] : fixed
}

/** The candidates that are the poses a head has now, stop by stop. */
export function asItIs(show: Show, list: ListInOrder, rigged: RiggedFixture, stops: readonly Stop[]) {
  return placesOf(show, list, rigged).map(({ at }, i): Candidate => {
    const pose = poseAt(show, rigged, list.id, at)
    return stops[i]?.candidates.find((one) => isSamePose(one, pose)) ?? { ...pose, side: null }
  })
}

/** The best ways of a head down a list, and what is gained; null for a head that is best as it is. */
export function unwind(show: Show, list: ListInOrder, rigged: RiggedFixture, isFreed: boolean): Unwound | null {
  const { mount } = rigged
  const stops = stopsOf(show, list, rigged, isFreed)
  const now = asItIs(show, list, rigged, stops)
  const chosen = cheapest(mount, stops)
  if (costOf(mount, stops, chosen) > costOf(mount, stops, now) - WORTH_IT) return null
  const ways = placesOf(show, list, rigged).flatMap(({ stored }, i): OtherWay[] => {
    const [best, before] = [chosen[i], chosen[i - 1] ?? HOME]
    if (!best || best.side === null) return []
    const isItself = isSamePose(best, poseByItself(show, rigged, stored, before))
    const way = isItself ? null : { side: best.side, pan: best.pan }
    return isSameWay(way, wayOf(stored.value)) ? [] : [{ cue: stored.cue, fixture: rigged.id, way }]
  })
  return { fixture: rigged.id, before: turningOf(mount, stops, now), after: turningOf(mount, stops, chosen), ways }
}

/** How far it was looked for better ways, in heads; `unwound` is the one just looked at, where it has better ones. */
export interface Unwinding {
  readonly done: number
  readonly all: number
  readonly unwound: Unwound | null
}

/** Looks for better ways of some heads, or all, down a list; can be left off anywhere. */
export function* unwindAll(
  show: Show,
  id: CueListId,
  fixtures: readonly FixtureId[] | null,
  isFreed: boolean,
): Generator<Unwinding, void> {
  const list = listsInOrder(show).find((one) => one.id === id)
  if (!list) return
  const heads = [...rigOf(show).values()].filter((one) => isHead(one) && (fixtures?.includes(one.id) ?? true))
  for (const [i, rigged] of heads.entries())
    yield { done: i + 1, all: heads.length, unwound: unwoundOf(show, list, rigged, isFreed) }
}

interface KnownWays {
  readonly inputs: readonly unknown[]
  readonly unwound: Unwound | null
}
const knownWays = new WeakMap<RiggedFixture, Map<string, KnownWays>>()

/** As `unwind`, worked out anew only where something it goes by is another. */
function unwoundOf(show: Show, list: ListInOrder, rigged: RiggedFixture, isFreed: boolean): Unwound | null {
  const byList = knownWays.get(rigged) ?? new Map<string, KnownWays>()
  knownWays.set(rigged, byList)
  const key = `${list.id} ${isFreed}`
  const elsewhere = lightsOf(show, rigged).map((id) => levelElsewhere(show, list.id, id))
  // Moves in the dark are others as soon as cues, values, targets or the state at rest are.
  const dark = darkMovesOf(show, list, rigged)
  const inputs = [dark, list.list.travel, showRecordOf(show).travel, ...elsewhere]
  const known = byList.get(key)
  if (known && isAlike(known.inputs, inputs)) return known.unwound
  const unwound = unwind(show, list, rigged, isFreed)
  byList.set(key, { inputs, unwound })
  return unwound
}

/** What costs less than this, as seconds, is not worth turning anything another way. */
const WORTH_IT = 0.05

/** The pose a head comes to from another where nothing but the value itself says how. */
function poseByItself(show: Show, rigged: RiggedFixture, { value }: CueValue, before: Pose): Pose {
  const given = givenBy({ value: withWay(value, null) })
  const plain = given && resolveValue(show, rigged, LEADING.place, given).value
  return solvePose(rigged.mount, targetsOf(show), plain, before)
}

/** The way a value of a cue has of its own. */
function wayOf(value: CueContent): AimChoice | null {
  if (value.kind === 'aim') return value.choice
  return (value.kind === 'link' && value.way) || null
}

/** A value of a cue with another way round; for null as its palette says, an aim near the pose before. */
export function withWay(value: CueContent, way: AimChoice | null, byHand = false): CueContent {
  if (value.kind === 'aim') return { ...value, choice: way }
  if (value.kind !== 'link') return value
  const { kind, palette } = value
  return way ? { kind, palette, way: { ...way, byHand } } : { kind, palette }
}

function isSameWay(a: AimChoice | null, b: AimChoice | null): boolean {
  return a === b || (a?.side === b?.side && Math.abs((a?.pan ?? 0) - (b?.pan ?? 0)) < 1e-6)
}

function isSamePose(a: Pose, b: Pose): boolean {
  return Math.abs(a.pan - b.pan) < 1e-6 && Math.abs(a.tilt - b.tilt) < 1e-6
}
