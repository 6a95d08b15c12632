/** What fixtures show of their attributes at an instant, in the middle of a fade too. */
import { LEADING } from '../attributes/catalogue'
import { onTheMove } from '../cues/arrivals'
import type { Lookup } from '../cues/onStage'
import { progressOf, trackOf, unmoved, type MovingFixture } from '../cues/playback'
import { handOver, onItsWay, type PictureEnd } from '../cues/stageAt'
import { atRest } from '../cues/atRest'
import type { Track } from '../cues/track'
import { resolveValue } from '../palettes/resolve'
import { freeAim, type SolvedPosition } from '../palettes/solve'
import type { HandValue } from '../show/entities'
import { isNumberAttribute, kindOf, type Attribute } from '../attributes/attribute'
import type { PersonId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import { amountBetween, amountIn } from '../show/amounts'
import type { Amount, Value } from '../show/values'
import { rangeOf } from '../show/attributeRange'
import { snapsIn } from '../show/modes'

/** The amount a lookup gives an attribute; null where it gives none, or something else. */
export function amountSet(show: Show, rigged: RiggedFixture, attribute: Attribute, lookup: Lookup): Amount | null {
  const value = lookup(rigged.id, attribute)
  return value && amountIn(resolveValue(show, rigged, attribute, value).value)
}

/** A way of looking at the stage, and what is seen where nothing moves. */
export interface SeenEnd extends PictureEnd {
  readonly seen: Lookup
}

/** An amount of a fixture that moves, at an instant. */
export function amountAt(
  show: Show,
  moving: MovingFixture,
  attribute: Attribute,
  end: SeenEnd,
  now: number,
): Amount | null {
  const rigged = rigOf(show).get(moving.id)
  if (!rigged || !isNumberAttribute(attribute)) return null
  const held = end.held(moving.id, attribute)
  const listed = moving.tracks.get(attribute)
  const track = held ?? (listed ? trackOf(listed) : null)
  if (!track?.move && !track?.under) return amountSet(show, rigged, attribute, end.seen)
  const range = rangeOf(rigged.type, attribute)
  const fade = snapsIn(show, rigged.id).has(attribute) ? 'snaps' : kindOf(attribute).fade
  const valueOf = (value: Value | null): Amount => {
    const set = value ?? atRest(show, rigged, attribute)
    const amount = set && amountIn(resolveValue(show, rigged, attribute, set).value)
    return amount ?? { kind: 'number', number: range.home }
  }
  const at = (on: Track, instant: number): Amount => {
    const arrived = () => (on.value === null && on.under ? at(on.under, now) : valueOf(on.value))
    if (!on.move) return arrived()
    return amountBetween(at(on.move.from, on.move.leftAt), arrived(), progressOf(on.move, instant), fade, range)
  }
  return at(track, now)
}

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
    const fixture = moving.get(rigged.id) ?? unmoved(rigged.id)
    const picture = onItsWay(show, fixture, end, now)
    if (!picture) return null
    if (attribute === LEADING.place) return placeOf(picture.position)
    if (attribute === LEADING.width) return { kind: 'number', number: picture.zoom.angle }
    if (attribute === LEADING.light) return { kind: 'number', number: picture.intensity }
    if (!isNumberAttribute(attribute)) return picture.colour
    return (
      amountAt(show, fixture, attribute, end, now) ?? { kind: 'number', number: rangeOf(rigged.type, attribute).home }
    )
  }
}
