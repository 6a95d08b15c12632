/** What fixtures show of their attributes at an instant, in the middle of a fade too. */
import { onTheMove } from '../cues/arrivals'
import { interpolate } from '../cues/fade'
import type { Lookup } from '../cues/onStage'
import { progressOf, trackOf, type MovingFixture } from '../cues/playback'
import { handOver, onItsWay, type PictureEnd } from '../cues/stageAt'
import { atRest } from '../cues/atRest'
import type { Track } from '../cues/tracks'
import { resolveValue } from '../palettes/resolve'
import { freeAim, type SolvedPosition } from '../palettes/solve'
import type { HandValue } from '../show/entities'
import type { Attribute } from '../show/families'
import type { FixtureId, PersonId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import type { Value } from '../show/values'
import { rangeOf } from './attributes'

/** The number a lookup gives an attribute; null where it gives none, or no plain number. */
export function numberSet(show: Show, rigged: RiggedFixture, attribute: Attribute, lookup: Lookup): number | null {
  const value = lookup(rigged.id, attribute)
  const plain = value && resolveValue(show, rigged, attribute, value).value
  return plain?.kind === 'number' ? plain.number : null
}

/** A way of looking at the stage, and what is seen where nothing moves. */
export interface SeenEnd extends PictureEnd {
  readonly seen: Lookup
}

/** A number of a fixture that moves, at an instant; slots of wheels change over as the move begins. */
export function numberAt(
  show: Show,
  moving: MovingFixture,
  attribute: Attribute,
  end: SeenEnd,
  now: number,
): number | null {
  const rigged = rigOf(show).get(moving.id)
  if (!rigged || attribute === 'position') return null
  const held = end.held(moving.id, attribute)
  const listed = moving.tracks.get(attribute)
  const track = held ?? (listed ? trackOf(listed) : null)
  if (!track?.move && !track?.under) return numberSet(show, rigged, attribute, end.seen)
  const { home, unit } = rangeOf(rigged.type, attribute)
  const numberOf = (value: Value | null) => {
    const set = value ?? atRest(show, rigged, attribute)
    const plain = set && resolveValue(show, rigged, attribute, set).value
    return plain?.kind === 'number' ? plain.number : home
  }
  const at = (on: Track, instant: number): number => {
    const arrived = () => (on.value === null && on.under ? at(on.under, now) : numberOf(on.value))
    if (!on.move) return arrived()
    const t = progressOf(on.move, instant)
    if (unit === 'slot') return t > 0 ? arrived() : at(on.move.from, on.move.leftAt)
    return t >= 1 ? arrived() : interpolate(at(on.move.from, on.move.leftAt), arrived(), t)
  }
  return at(track, now)
}

const still = (id: FixtureId): MovingFixture => ({ id, tracks: new Map() })

/** The place lit, so that the throw goes over evenly as well; angles where the light does not get there. */
function placeOf(position: SolvedPosition): Standing {
  const { pose, throwMetres, state } = position
  const side = pose.tilt < 0 ? 'negative' : 'positive'
  const aim = throwMetres === null || state === 'out of reach' ? null : freeAim({ ...position, side })
  return aim ? { ...aim, target: null } : { kind: 'angles', pan: pose.pan, tilt: pose.tilt }
}

export type Standing = NonNullable<HandValue['arrival']>['from']

/** What the stage of a person shows at an instant, as plain values; null for a fixture without a place here. */
export function standingAt(show: Show, person: PersonId, now: number) {
  const lookup = handOver(show, person)
  const end: SeenEnd = { ...lookup, seen: lookup.lookup }
  const moving = new Map(onTheMove(show, end.people, now).map((fixture) => [fixture.id, fixture]))
  return (rigged: RiggedFixture, attribute: Attribute): Standing | null => {
    const fixture = moving.get(rigged.id) ?? still(rigged.id)
    const picture = onItsWay(show, fixture, end, now)
    if (!picture) return null
    if (attribute === 'position') return placeOf(picture.position)
    if (attribute === 'zoom') return { kind: 'number', number: picture.zoom.angle }
    if (attribute === 'intensity') return { kind: 'number', number: picture.intensity }
    if (attribute === 'red' || attribute === 'green' || attribute === 'blue')
      return { kind: 'number', number: picture.colour[attribute] }
    const number = numberAt(show, fixture, attribute, end, now) ?? rangeOf(rigged.type, attribute).home
    return { kind: 'number', number }
  }
}
