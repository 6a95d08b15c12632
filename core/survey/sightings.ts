/** Every light seen on a surveyed place of the venue in play: those that were noted, and what touch-ups and checks say. */
import { AXES_RIGHT, askedPose, mechanicalPose } from '../kinematics/axesOff'
import { NO_FIXTURE_ERROR } from '../geometry/rigErrors'
import type { Vec3 } from '../geometry/vector'
import { sightingsIn } from '../refocus/sightings'
import type { Seen } from '../refocus/trueUp'
import { placeId } from '../show/compositeIds'
import { asSightingId, type FixtureId, type PaletteId, type SightingId, type TargetId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import { showRecordOf, type Show } from '../show/show'
import { LEADING } from '../attributes/catalogue'
import { storedFor } from '../palettes/resolve'

/** A light on a surveyed place, with its fixture as it is drawn but for mistakes that are known. */
export interface SurveySighting extends Seen {
  /** What it was noted as, or the palette that was touched up or found right. */
  readonly from: { readonly sighting: SightingId } | { readonly palette: PaletteId }
  readonly target: TargetId
  /** False for one that was dropped. */
  readonly counts: boolean
}

/** How exactly a light is steered onto a cross, metres: one standard deviation. */
export const STEERED = 0.01

/** How a light is measured on a place: on the floor where it lies there. */
export const steeredTo = (place: Vec3) => ({ within: STEERED, isOnLevel: Math.abs(place.z) < ON_FLOOR })
const ON_FLOOR = 0.05

const drawnShows = new WeakMap<Show, Show>()

/** The show with its rig as it is drawn, but for what is known to be the wrong way: errors are measured from there. */
export function asDrawn(show: Show): Show {
  const known = drawnShows.get(show)
  if (known) return known
  const fixtureCorrection = new Map(
    [...show.all.fixtureCorrection].map(([id, correction]) => [id, { ...correction, ...NO_FIXTURE_ERROR }]),
  )
  const drawn = { id: show.id, all: { ...show.all, fixtureCorrection, hangCorrection: new Map() } }
  drawnShows.set(show, drawn)
  return drawn
}

/** Whether a target was surveyed in the venue in play. */
export function isSurveyed(show: Show, target: string): boolean {
  return show.all.surveyed.has(placeId(showRecordOf(show).venue, target))
}

/** The fixture itself, where it plays another's values too. */
export const itself = ({ id, by }: Pick<RiggedFixture, 'id' | 'by'>): FixtureId => by ?? id

export function surveySightings(show: Show): SurveySighting[] {
  const { venue } = showRecordOf(show)
  const drawn = new Map([...rigOf(asDrawn(show)).values()].map((rigged) => [itself(rigged), rigged]))
  const found: SurveySighting[] = []
  for (const [id, { fixture, target, place, pan, tilt, counts, venue: where }] of show.all.sighting) {
    const rigged = drawn.get(fixture)
    if (where !== venue || !rigged) continue
    const pose = mechanicalPose(rigged.type, rigged.axes, { pan, tilt })
    found.push({ from: { sighting: asSightingId(id) }, rigged, pose, place, target, counts, ...steeredTo(place) })
  }
  for (const { palette, rigged: now, pose, place } of sightingsIn(show)) {
    const rigged = drawn.get(itself(now))
    const value = storedFor(show, palette, now, LEADING.place)?.value
    const target = value?.kind === 'aim' ? value.target : null
    if (!rigged || target === null || !isSurveyed(show, target)) continue
    const asked = askedPose(now.type, now.axes, pose)
    const turned = mechanicalPose(rigged.type, { ...AXES_RIGHT, ...rigged.axes }, asked)
    found.push({ from: { palette }, rigged, pose: turned, place, target, counts: true })
  }
  return found
}
