/** Where targets are in the venue the show plays. */
import { turnLevel } from '../geometry/rotation'
import { add, between, scale, type Vec3 } from '../geometry/vector'
import { derived } from './derived'
import type { EntityOf } from './entities'
import { asTargetId, type TargetId } from './ids'
import { placeId, showRecordOf } from './show'
import type { AimValue } from './values'

/** A target where it stands: `position` is its point, the start of its line or the middle of its ring. */
export interface PlacedTarget {
  readonly id: TargetId
  readonly target: EntityOf['target']
  readonly position: Vec3
  /** A line's far end. */
  readonly end: Vec3 | null
}

/** Every target with a place in the venue in play. A tied one moves and turns with its set piece. */
export const targetsOf = derived(
  ['setPiecePlace', 'targetPlace', 'target', 'show'],
  (show): ReadonlyMap<string, PlacedTarget> => {
    const { venue } = showRecordOf(show)
    const placed = new Map<string, PlacedTarget>()
    for (const [key, target] of show.all.target) {
      const at = frameOf(target, show.all.setPiecePlace, show.all.targetPlace, venue, key)
      if (!at) continue
      const end = target.form.kind === 'line' ? add(at.position, turnLevel(target.form.to, at.yaw)) : null
      placed.set(key, { id: at.id, target, position: at.position, end })
    }
    return placed
  },
)

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
  if (form.kind === 'line' && placed.end) return between(placed.position, placed.end, at ?? 0.5)
  if (form.kind !== 'ring' || at === null) return placed.position
  const turn = at * 2 * Math.PI
  return add(placed.position, scale({ x: Math.cos(turn), y: Math.sin(turn), z: 0 }, form.radius))
}

/** The point on the stage an aim speaks of; null when its target has no place in this venue. */
export function aimPoint(targets: ReadonlyMap<string, PlacedTarget>, aim: AimValue): Vec3 | null {
  if (aim.target === null) return aim.offset
  const placed = targets.get(aim.target)
  return placed ? add(pointOn(placed, aim.at), aim.offset) : null
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
