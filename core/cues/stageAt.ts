/** What is on stage at an instant: fixtures on their way are somewhere between. */
import { LEADING } from '../attributes/catalogue'
import type { FixtureId, PersonId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import { showRecordOf, type Show } from '../show/show'
import { kindOf, type Attribute } from '../attributes/attribute'
import { checkedTrack, heldTrack, onTheMove } from './arrivals'
import { fadedTo } from './fade'
import {
  bringingOut,
  cueLookup,
  onBar,
  pictureNear,
  stageLookup,
  underChecks,
  type Lookup,
  type StageFixture,
} from './onStage'
import { atRest } from './atRest'
import { isMoving, litBy, playedPose, progressOf, trackOf, type MovingFixture } from './playback'
import type { Move, Track } from './track'
import { snapsIn } from '../show/modes'
import { surfacesOf } from '../venue/surfaces'
import { poseInCue } from './ways'

/** A track looked at as it is at an instant. */
interface TrackAt {
  readonly track: Track
  readonly at: number
}
type TracksAt = ReadonlyMap<Attribute, TrackAt>

/** What the hand holds is not moved by the cues: it comes in by itself. */
function tracksOf(
  { type }: RiggedFixture,
  { id, tracks: ofLists }: MovingFixture,
  end: PictureEnd,
  now: number,
): TracksAt {
  const tracks = new Map<Attribute, TrackAt>()
  for (const attribute of type.has) {
    const held = end.held(id, attribute)
    const listed = kindOf(attribute).mixes === 'highest' ? undefined : ofLists.get(attribute)
    if (held?.move) tracks.set(attribute, settledAt(held, now, now))
    else if (!held && listed) tracks.set(attribute, settledAt(trackOf(listed), now, now))
  }
  return tracks
}

/** A track at an instant; what lies under it, as that is at present, where it has let go and arrived. */
function settledAt(track: Track, at: number, now: number): TrackAt {
  if (isMoving(track, at)) return { track, at }
  if (track.value === null && track.under) return settledAt(track.under, now, now)
  return { track: { ...track, move: null }, at }
}

/** Where a moving track goes: to its value, or to what lies under it. */
function goalOf({ track, at }: TrackAt, now: number): TrackAt {
  return track.move ? settledAt({ ...track, move: null }, at, now) : { track, at }
}

/** From where a moving track set out, as that was then. */
function startOf({ track, at }: TrackAt, now: number): TrackAt {
  return track.move ? settledAt(track.move.from, track.move.leftAt, now) : { track, at }
}

/** `tracks` are settled. */
function pictureOfTracks(show: Show, rigged: RiggedFixture, tracks: TracksAt, base: Lookup, now: number): StageFixture {
  const moves = new Map([...tracks].flatMap(([attribute, { track }]) => (track.move ? [[attribute, track.move]] : [])))
  if (moves.size === 0) return pictureOfStanding(show, rigged, tracks, base)
  const { from, to } = endsOf(show, rigged, tracks, base, now)
  return between(show, rigged, from, to, moves, (attribute) => tracks.get(attribute)?.at ?? now)
}

/** From where moving tracks set out, and where they go. */
function endsOf(show: Show, rigged: RiggedFixture, tracks: TracksAt, base: Lookup, now: number) {
  const goals = new Map([...tracks].map(([attribute, on]) => [attribute, goalOf(on, now)]))
  const left = [...tracks].filter(([, { track }]) => track.move !== null)
  const to = pictureOfTracks(show, rigged, goals, base, now)
  if (left.length === 0) return { from: to, stoodFirst: true, to }
  const starts = new Map([...goals, ...left.map(([attribute, on]) => [attribute, startOf(on, now)] as const)])
  const stoodFirst = [...starts.values()].every(({ track }) => track.move === null)
  return { from: pictureOfTracks(show, rigged, starts, base, now), stoodFirst, to }
}

/** A picture between two, each attribute as far as its move is at its instant. */
function between(
  show: Show,
  rigged: RiggedFixture,
  from: StageFixture,
  to: StageFixture,
  moves: ReadonlyMap<Attribute, Move>,
  instantOf: (attribute: Attribute) => number,
): StageFixture {
  const snaps = snapsIn(show, rigged.id)
  const progress = (attribute: Attribute) => {
    const move = moves.get(attribute)
    const part = move ? progressOf(move, instantOf(attribute)) : 1
    return part > 0 && snaps.has(attribute) ? 1 : part
  }
  const travel = moves.get(LEADING.place)?.travel ?? 'angle'
  return fadedTo(from, to, progress, surfacesOf(show), travel, showRecordOf(show).colourFade)
}

/** A picture in which nothing moves. What a list has let go of and nothing else sets is at rest. */
function pictureOfStanding(show: Show, rigged: RiggedFixture, tracks: TracksAt, base: Lookup): StageFixture {
  const place = tracks.get(LEADING.place)?.track
  const near = () => (place?.cue ? poseInCue(show, rigged.id, place.cue) : playedPose(show, (rigged.bar ?? rigged).id))
  const lookup: Lookup = (fixture, attribute) => {
    const own = tracks.get(attribute)
    return own ? (own.track.value ?? atRest(show, rigged, attribute)) : base(fixture, attribute)
  }
  return pictureNear(show, rigged, lookup, near)
}

/** A picture's end, and what of it which hands hold: cues do not move that. */
export interface PictureEnd {
  readonly people: readonly PersonId[]
  readonly lookup: Lookup
  held(fixture: FixtureId, attribute: Attribute): Track | null
}

/** What becomes of a picture that stands while what it is aimed at moves. */
export type Follow = (standing: StageFixture) => StageFixture
const asItStands: Follow = (standing) => standing

/** One fixture at an instant, without what is brought out; null where it has no place here. */
export function onItsWay(
  show: Show,
  moving: MovingFixture,
  end: PictureEnd,
  now: number,
  follow: Follow = asItStands,
): StageFixture | null {
  const rigged = rigOf(show).get(moving.id)
  if (!rigged) return null
  const own = pictureOnWay(show, rigged, moving, end, now, follow)
  const bar = moving.bar && onItsWay(show, moving.bar, end, now, follow)
  const picture = bar ? onBar(show, own, bar) : own
  const lights = moving.tracks.get(LEADING.light)
  const lit = lights && !end.held(moving.id, LEADING.light) ? litBy(show, lights, now) : null
  return lit ? { ...picture, intensity: lit.level, seen: lit.level } : picture
}

/** A fixture's way as long as nothing more of it begins or arrives: its two ends stay as they are. */
interface Stretch {
  readonly since: number
  readonly until: number
  readonly from: StageFixture
  /** Whether it set out from where it stood, and not on a way. */
  readonly stoodFirst: boolean
  readonly to: StageFixture
  readonly moves: ReadonlyMap<Attribute, Move>
}

const stretches = new WeakMap<PictureEnd, WeakMap<MovingFixture, Stretch>>()

/** The picture of what moves, from the ends of its way where those are known to stay. */
function pictureOnWay(
  show: Show,
  rigged: RiggedFixture,
  moving: MovingFixture,
  end: PictureEnd,
  now: number,
  follow: Follow,
): StageFixture {
  const known = stretches.get(end) ?? new WeakMap<MovingFixture, Stretch>()
  stretches.set(end, known)
  const last = known.get(moving)
  if (last && now >= last.since && now < last.until) return onStretch(show, rigged, last, now, follow)
  const tracks = tracksOf(rigged, moving, end, now)
  const fresh = stretchOf(show, rigged, tracks, end.lookup, now)
  if (![...tracks.values()].some(({ track }) => leansOnOthers(track))) known.set(moving, fresh)
  return onStretch(show, rigged, fresh, now, follow)
}

/** Whether what a track comes to, or comes from, goes by what other lists do just then. */
function leansOnOthers({ under, move }: Track): boolean {
  return under !== null || (move !== null && leansOnOthers(move.from))
}

function stretchOf(show: Show, rigged: RiggedFixture, tracks: TracksAt, base: Lookup, now: number): Stretch {
  const moves = new Map([...tracks].flatMap(([attribute, { track }]) => (track.move ? [[attribute, track.move]] : [])))
  const arrives = ({ startsAt, lasts, stoppedAt }: Move) =>
    stoppedAt === null ? startsAt + Math.max(0, lasts) : Infinity
  const ends = endsOf(show, rigged, tracks, base, now)
  return { since: now, until: Math.min(Infinity, ...[...moves.values()].map(arrives)), ...ends, moves }
}

function onStretch(show: Show, rigged: RiggedFixture, stretch: Stretch, now: number, follow: Follow): StageFixture {
  const { from, stoodFirst, to, moves } = stretch
  if (moves.size === 0) return follow(to)
  return between(show, rigged, stoodFirst ? follow(from) : from, follow(to), moves, () => now)
}

const overCues = new WeakMap<Show, Map<PersonId, PictureEnd>>()

/** The hand of a person over the cues: the same each time a show is asked for. */
export function handOver(show: Show, person: PersonId): PictureEnd {
  const known = overCues.get(show) ?? new Map<PersonId, PictureEnd>()
  overCues.set(show, known)
  const end = known.get(person) ?? freshHandOver(show, person)
  known.set(person, end)
  return end
}

function freshHandOver(show: Show, person: PersonId): PictureEnd {
  return {
    people: [person],
    lookup: underChecks(show, stageLookup(show, person)),
    held: (fixture, attribute) => checkedTrack(show, fixture, attribute) ?? heldTrack(show, person, fixture, attribute),
  }
}

type Picture = ReadonlyMap<FixtureId, StageFixture>

/** `settled` is the picture once everything has arrived: it comes back as it is when nothing moves. */
function pictureAt(
  show: Show,
  person: PersonId,
  settled: Picture,
  now: number,
  end: PictureEnd,
  follow?: Follow,
): Picture {
  const moving = onTheMove(show, end.people, now)
  if (moving.length === 0) return settled
  const see = bringingOut(show, person, end.lookup)
  const picture = new Map(settled)
  for (const fixture of moving) {
    const plain = onItsWay(show, fixture, end, now, follow)
    if (!plain) continue
    // Where only the cell moves, its bar may still follow.
    const bar = follow && !fixture.bar && plain.rigged.bar ? settled.get(plain.rigged.bar.id) : undefined
    picture.set(fixture.id, see(bar ? onBar(show, plain, bar) : plain))
  }
  return picture
}

/** The stage as a person sees it at an instant, milliseconds by the server's clock; what is settled may have been turned by `follow`. */
export function stagePictureAt(show: Show, person: PersonId, settled: Picture, now: number, follow?: Follow): Picture {
  return pictureAt(show, person, settled, now, handOver(show, person), follow)
}

/** What the cues alone show at an instant. */
export function cuePictureAt(show: Show, person: PersonId, settled: Picture, now: number, follow?: Follow): Picture {
  const end = {
    people: [],
    lookup: underChecks(show, cueLookup(show)),
    held: (fixture: FixtureId, attribute: Attribute) => checkedTrack(show, fixture, attribute),
  }
  return pictureAt(show, person, settled, now, end, follow)
}
