/** What is on stage at an instant: fixtures on their way are somewhere between. */
import type { FixtureId, PersonId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import type { Attribute } from '../show/families'
import { fadedTo } from './fade'
import { bringingOut, cueLookup, handOf, pictureOf, stageLookup, type Lookup, type StageFixture } from './onStage'
import { isMoving, litBy, movingFixtures, progressOf, trackOf, valueKey, type MovingFixture } from './playback'
import type { Track } from './tracks'

/** A track looked at as it is at an instant. */
interface TrackAt {
  readonly track: Track
  readonly at: number
}
type TracksAt = ReadonlyMap<Attribute, TrackAt>

/** What the hand holds is not moved by the cues. */
function tracksUnder(moving: MovingFixture, isHeld: (attribute: Attribute) => boolean, now: number): TracksAt {
  const tracks = new Map<Attribute, TrackAt>()
  for (const [attribute, ofLists] of moving.tracks)
    if (attribute !== 'intensity' && !isHeld(attribute)) tracks.set(attribute, { track: trackOf(ofLists), at: now })
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

/** One fixture at an instant, in a picture of which `lookup` tells the end. */
function onItsWay(show: Show, moving: MovingFixture, lookup: Lookup, isHeld: (key: string) => boolean, now: number) {
  const rigged = rigOf(show).get(moving.id)
  if (!rigged) return null
  const held = (attribute: Attribute) => isHeld(valueKey(moving.id, attribute))
  const picture = pictureOfTracks(show, rigged, tracksUnder(moving, held, now), lookup)
  const lights = moving.tracks.get('intensity')
  const lit = lights && !held('intensity') ? litBy(show, lights, now) : null
  return lit ? { ...picture, intensity: lit.level, seen: lit.level } : picture
}

type Picture = ReadonlyMap<FixtureId, StageFixture>

/** `settled` is the picture once everything has arrived: it comes back as it is when nothing moves. */
function pictureAt(
  show: Show,
  settled: Picture,
  now: number,
  lookup: Lookup,
  isHeld: (key: string) => boolean,
  see: (plain: StageFixture) => StageFixture,
): Picture {
  const moving = movingFixtures(show)
  if (moving.length === 0) return settled
  const picture = new Map(settled)
  for (const fixture of moving) {
    const seen = onItsWay(show, fixture, lookup, isHeld, now)
    if (seen) picture.set(fixture.id, see(seen))
  }
  return picture
}

/** The stage as a person sees it at an instant, milliseconds by the server's clock. */
export function stagePictureAt(show: Show, person: PersonId, settled: Picture, now: number): Picture {
  const lookup = stageLookup(show, person)
  const hand = handOf(show, person)
  return pictureAt(show, settled, now, lookup, (key) => hand.has(key), bringingOut(show, person, lookup))
}

/** What the cues alone show at an instant. */
export function cuePictureAt(show: Show, person: PersonId, settled: Picture, now: number): Picture {
  const lookup = cueLookup(show)
  return pictureAt(show, settled, now, lookup, () => false, bringingOut(show, person, lookup))
}
