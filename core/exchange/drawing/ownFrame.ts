/** The frames flat things of a drawing are drawn in. */
import { add, cross, normalise, scale, vec3, type Vec3 } from '../../geometry/vector'

/** Brings a point from one frame to another. */
export type Map3 = (point: Vec3) => Vec3

/**
 * From a flat thing's own frame to that of the drawing: its upright is the way it says, its x lies level
 * (DXF's rule for any axis: across y where the way is nearly upright, else across z).
 */
export function alongWay(way: { x: number; y: number; z: number } | undefined): Map3 {
  if (!way || Math.hypot(way.x, way.y, way.z) < 1e-9) return (point) => point
  const up = normalise(way)
  if (up.z > 1 - 1e-12) return (point) => point
  const isUpright = Math.abs(up.x) < 1 / 64 && Math.abs(up.y) < 1 / 64
  const x = normalise(cross(isUpright ? vec3(0, 1, 0) : vec3(0, 0, 1), up))
  const y = normalise(cross(up, x))
  return (point) => add(add(scale(x, point.x), scale(y, point.y)), scale(up, point.z))
}
