/** What is on stage at an instant: fixtures on their way are somewhere between. */
import type { FixtureId, PersonId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import { ATTRIBUTES, type Attribute } from '../show/families'
import { heldTrack, onTheMove } from './arrivals'
import { fadedTo } from './fade'
import { bringingOut, cueLookup, pictureOf, stageLookup, type Lookup, type StageFixture } from './onStage'
import { isMoving, litBy, progressOf, trackOf, type MovingFixture } from './playback'
import type { Track } from './tracks'

/** A track looked at as it is at an instant. */
interface TrackAt {
  readonly track: Track
  readonly at: number
}
type TracksAt = ReadonlyMap<Attribute, TrackAt>

/** What the hand holds is not moved by the cues: it comes in by itself. */
function tracksOf({ id, tracks: ofLists }: MovingFixture, end: PictureEnd, now: number): TracksAt {
  const tracks = new Map<Attribute, TrackAt>()
  for (const attribute of ATTRIBUTES) {
    const held = end.held(id, attribute)
    const listed = attribute === 'intensity' ? undefined : ofLists.get(attribute)
    if (held?.move) tracks.set(attribute, { track: held, at: now })
    else if (!held && listed) tracks.set(attribute, { track: trackOf(listed), at: now })
  }
  return tracks
}

function pictureOfTracks(show: Show, rigged: RiggedFixture, tracks: TracksAt, base: Lookup): StageFixture {
  const to = pictureOf(show, rigged, (fixture, attribute) => {
    const own = tracks.get(attribute)
    return (own && own.track.value) ?? base(fixture, attribute)
  })
  const moving = new Map([...tracks].filter(([, { track, at }]) => isMoving(track, at)))
  if (moving.size === 0) return to
  const before = new Map(tracks)
  for (const [attribute, { track }] of moving)
    if (track.move) before.set(attribute, { track: track.move.from, at: track.move.leftAt })
  const progress = (attribute: Attribute) => {
    const on = moving.get(attribute)
    return on?.track.move ? progressOf(on.track.move, on.at) : 1
  }
  const travel = moving.get('position')?.track.move?.travel ?? 'angle'
  return fadedTo(pictureOfTracks(show, rigged, before, base), to, progress, travel)
}

/** A picture's end, and what of it which hands hold: cues do not move that. */
export interface PictureEnd {
  readonly people: readonly PersonId[]
  readonly lookup: Lookup
  held(fixture: FixtureId, attribute: Attribute): Track | null
}

/** One fixture at an instant, without what is brought out; null where it has no place here. */
export function onItsWay(show: Show, moving: MovingFixture, end: PictureEnd, now: number): StageFixture | null {
  const rigged = rigOf(show).get(moving.id)
  if (!rigged) return null
  const picture = pictureOfTracks(show, rigged, tracksOf(moving, end, now), end.lookup)
  const lights = moving.tracks.get('intensity')
  const lit = lights && !end.held(moving.id, 'intensity') ? litBy(show, lights, now) : null
  return lit ? { ...picture, intensity: lit.level, seen: lit.level } : picture
}

/** The hand of a person over the cues. */
export function handOver(show: Show, person: PersonId): PictureEnd {
  return {
    people: [person],
    lookup: stageLookup(show, person),
    held: (fixture, attribute) => heldTrack(show, person, fixture, attribute),
  }
}

type Picture = ReadonlyMap<FixtureId, StageFixture>

/** `settled` is the picture once everything has arrived: it comes back as it is when nothing moves. */
function pictureAt(show: Show, person: PersonId, settled: Picture, now: number, end: PictureEnd): Picture {
  const moving = onTheMove(show, end.people, now)
  if (moving.length === 0) return settled
  const see = bringingOut(show, person, end.lookup)
  const picture = new Map(settled)
  for (const fixture of moving) {
    const plain = onItsWay(show, fixture, end, now)
    if (plain) picture.set(fixture.id, see(plain))
  }
  return picture
}

/** The stage as a person sees it at an instant, milliseconds by the server's clock. */
export function stagePictureAt(show: Show, person: PersonId, settled: Picture, now: number): Picture {
  return pictureAt(show, person, settled, now, handOver(show, person))
}

/** What the cues alone show at an instant. */
export function cuePictureAt(show: Show, person: PersonId, settled: Picture, now: number): Picture {
  return pictureAt(show, person, settled, now, {
    people: [],
    lookup: cueLookup(show),
    held: () => null,
  })
}
