/** What stands in the way of light: the first set piece a ray meets. */
import { dot, vec3, type Vec3 } from '../geometry/vector'
import { isInside } from './outline'
import type { PlacedPrism } from './solids'

export interface Hit {
  readonly prism: PlacedPrism
  /** Metres from where the ray starts. */
  readonly distance: number
  /** Outward unit normal of the side it meets. */
  readonly normal: Vec3
}

/** Nearer than this to its start or its end, a ray does not count as blocked; metres. */
const SKIN = 0.01

/**
 * The first prism met between `from` and `reach` metres along the unit vector `direction`; null
 * when the way is clear. Rays from inside a prism meet nothing of it.
 */
export function firstHit(prisms: readonly PlacedPrism[], from: Vec3, direction: Vec3, reach: number): Hit | null {
  let best: Hit | null = null
  for (const prism of prisms) {
    const hit = hitOn(prism, from, direction)
    if (hit && hit.distance > SKIN && hit.distance < reach - SKIN && (!best || hit.distance < best.distance)) best = hit
  }
  return best
}

/** Where a ray enters a prism: through its top or bottom, or through a side it faces. */
function hitOn(prism: PlacedPrism, from: Vec3, direction: Vec3): Hit | null {
  const hits = [cap(prism, from, direction), ...prism.outline.map((_, i) => side(prism, i, from, direction))]
  return hits.reduce<Hit | null>((best, hit) => (hit && (!best || hit.distance < best.distance) ? hit : best), null)
}

function cap(prism: PlacedPrism, from: Vec3, direction: Vec3): Hit | null {
  if (direction.z === 0) return null
  const z = direction.z < 0 ? prism.top : prism.bottom
  const distance = (z - from.z) / direction.z
  if (distance <= 0) return null
  const at = { x: from.x + direction.x * distance, y: from.y + direction.y * distance }
  return isInside(prism.outline, at) ? { prism, distance, normal: vec3(0, 0, -Math.sign(direction.z)) } : null
}

function side(prism: PlacedPrism, index: number, from: Vec3, direction: Vec3): Hit | null {
  const a = prism.outline[index]
  const b = prism.outline[(index + 1) % prism.outline.length]
  if (!a || !b) return null
  const width = Math.hypot(b.x - a.x, b.y - a.y)
  if (width === 0) return null
  const normal = vec3((b.y - a.y) / width, (a.x - b.x) / width, 0)
  const facing = dot(direction, normal)
  if (facing >= 0) return null
  const distance = ((a.x - from.x) * normal.x + (a.y - from.y) * normal.y) / facing
  if (distance <= 0) return null
  const x = from.x + direction.x * distance
  const y = from.y + direction.y * distance
  const along = ((x - a.x) * (b.x - a.x) + (y - a.y) * (b.y - a.y)) / width
  const z = from.z + direction.z * distance
  return along >= 0 && along <= width && z >= prism.bottom && z <= prism.top ? { prism, distance, normal } : null
}
