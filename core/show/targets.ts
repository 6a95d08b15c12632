/** Where targets are in the venue the show plays. */
import { placeId } from './compositeIds'
import { turnLevel } from '../geometry/rotation'
import { SAME_PLACE } from '../geometry/tolerance'
import { add, pointBetween, distance, scale, type Vec3 } from '../geometry/vector'
import { derived } from './derived'
import type { EntityOf } from './kinds'
import { asTargetId, asVenueId, type TargetId } from './ids'
import { offsetIn, sameEverywhere } from './perVenue'
import { showRecordOf, type Show, type ShowPart } from './show'
import type { AimValue } from './values'

/** A target where it stands: `position` is its point, the start of its line or the middle of its ring. */
export interface PlacedTarget {
  readonly id: TargetId
  readonly target: EntityOf['target']
  readonly position: Vec3
  /** A line's far end. */
  readonly end: Vec3 | null
}

/** The targets that have a place in a venue, by id. */
export class PlacedTargets extends Map<string, PlacedTarget> {
  constructor(readonly venue: string) {
    super()
  }
}

/** What places of targets are worked out from. */
export const TARGET_KINDS = ['setPiecePlace', 'targetPlace', 'target', 'show'] as const
export type TargetKind = (typeof TARGET_KINDS)[number]

/** Every target with a place in the venue in play. A tied one moves and turns with its set piece. */
export const targetsOf = derived(TARGET_KINDS, (show): Readonly<PlacedTargets> =>
  targetsIn(show, showRecordOf(show).venue),
)

/** Every target with a place in a venue. */
export function targetsIn(show: ShowPart<TargetKind>, venue: string): Readonly<PlacedTargets> {
  const placed = new PlacedTargets(venue)
  for (const [key, target] of show.all.target) {
    const at = frameOf(target, show.all.setPiecePlace, show.all.targetPlace, venue, key)
    if (!at) continue
    const end = target.form.kind === 'line' ? add(at.position, turnLevel(target.form.to, at.yaw)) : null
    placed.set(key, { id: at.id, target, position: at.position, end })
  }
  return placed
}

function frameOf(
  target: EntityOf['target'],
  pieces: ReadonlyMap<string, EntityOf['setPiecePlace']>,
  places: ReadonlyMap<string, EntityOf['targetPlace']>,
  venue: string,
  key: string,
): { id: TargetId; position: Vec3; yaw: number } | null {
  const id = asTargetId(key)
  if (target.setPiece === null || target.local === null) {
    const place = places.get(placeId(venue, key))
    return place ? { id, position: place.position, yaw: 0 } : null
  }
  const piece = pieces.get(placeId(venue, target.setPiece))
  if (!piece) return null
  return { id, position: add(piece.position, turnLevel(target.local, piece.yaw)), yaw: piece.yaw }
}

/**
 * The point of a target at a place along it (0 to 1): along a line from its start, round a ring
 * from stage left. Null means the middle of a line or ring.
 */
export function pointOn(placed: PlacedTarget, at: number | null): Vec3 {
  const { form } = placed.target
  if (form.kind === 'line' && placed.end) return pointBetween(placed.position, placed.end, at ?? 0.5)
  if (form.kind !== 'ring' || at === null) return placed.position
  const turn = at * 2 * Math.PI
  return add(placed.position, scale({ x: Math.cos(turn), y: Math.sin(turn), z: 0 }, form.radius))
}

/** What is needed of the targets of a venue to find the places of aims. */
export type Targets = Pick<PlacedTargets, 'venue' | 'get'>

/** The point on the stage an aim speaks of; null when its target has no place in this venue. */
export function aimPoint(targets: Targets, aim: AimValue): Vec3 | null {
  const offset = offsetIn(aim, targets.venue)
  if (aim.target === null) return offset
  const placed = targets.get(aim.target)
  return placed ? add(pointOn(placed, aim.at), offset) : null
}

/**
 * An aim at the places another has, free of its target: at `here` in the venue in play, and in every
 * other venue where it has a place, there.
 */
export function freedAim(show: Show, aim: AimValue, here: Vec3): AimValue {
  const { venue: inPlay } = showRecordOf(show)
  const elsewhere = [...show.all.venue.keys()].map(asVenueId).flatMap((venue) => {
    const offset = venue === inPlay ? null : aimPoint(targetsIn(show, venue), aim)
    return offset && distance(offset, here) > SAME_PLACE ? [{ venue, offset }] : []
  })
  const free = { ...aim, target: null, at: null, offset: here }
  return elsewhere.length > 0 ? { ...free, elsewhere } : sameEverywhere(free, here)
}

/**
 * The numbered stations of a line or ring, as places along it (0 to 1): a line's from its start to
 * its end, a ring's evenly round from stage left. Empty without any.
 */
export function stationsOf(form: EntityOf['target']['form']): number[] {
  if (form.kind === 'point') return []
  const count = form.stations
  if (form.kind === 'ring') return Array.from({ length: count }, (_, i) => i / count)
  return Array.from({ length: count }, (_, i) => (count === 1 ? 0.5 : i / (count - 1)))
}
