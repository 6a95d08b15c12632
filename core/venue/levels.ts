/** Raised and raked parts of the stage, and how high the floor is at a place. */
import { DEGREE } from '../geometry/rotation'
import { normalise, vec3, type Vec3 } from '../geometry/vector'
import type { Level, Venue } from '../show/entities'
import { isInside, type PlanPoint } from './outline'

/** How far a point lies towards the rake's bearing, metres from the level's lowest edge. */
function climb(level: Level, p: PlanPoint): number {
  const c = Math.cos(level.rake.bearing * DEGREE)
  const s = Math.sin(level.rake.bearing * DEGREE)
  const along = (q: PlanPoint) => q.x * c + q.y * s
  return along(p) - Math.min(...level.outline.map(along))
}

/** The height of a level's surface at a point in plan, metres: `height + climb · percent / 100`. */
export function heightOf(level: Level, p: PlanPoint): number {
  return level.height + (climb(level, p) * level.rake.percent) / 100
}

/** The unit normal of a level's surface. */
export function normalOf({ rake }: Level): Vec3 {
  const slope = rake.percent / 100
  return normalise(vec3(-slope * Math.cos(rake.bearing * DEGREE), -slope * Math.sin(rake.bearing * DEGREE), 1))
}

/** The level a point stands on: the highest of those it lies in; null for the stage floor. */
export function levelAt(venue: Venue, p: PlanPoint): Level | null {
  return venue.levels
    .filter((level) => isInside(level.outline, p))
    .reduce<Level | null>((best, level) => (best && heightOf(best, p) >= heightOf(level, p) ? best : level), null)
}

/** The height of the floor at a point in plan, metres. */
export function floorAt(venue: Venue, p: PlanPoint): number {
  const level = levelAt(venue, p)
  return level ? heightOf(level, p) : 0
}
