/** Wandering: a way that never repeats and never jumps, the same for everybody who knows the seed. */
import type { Path } from './movement'
import type { Place } from './place'

type Wander = Extract<Path, { readonly form: 'wander' }>

/**
 * Waves that a way is made of, by how many go into a round: no two fit each other, so that the way does
 * not come back. Their heights add up to 1.
 */
const WAVES = [
  { pace: 1, height: 0.55 },
  { pace: Math.SQRT2 * 1.3, height: 0.3 },
  { pace: Math.E * 1.17, height: 0.15 },
] as const

/** Where a wanderer is after so many rounds: in the zone drawn in a box of 1 by 1, or in its ellipse. */
export function wanderedTo({ corners, seed }: Wander, rounds: number): Place {
  const [x, y] = [waveOf(seed * 2, rounds), waveOf(seed * 2 + 1, rounds)]
  // A square is pressed into a disc, so that no place in it is left out.
  const disc = { x: x * Math.sqrt(1 - (y * y) / 2), y: y * Math.sqrt(1 - (x * x) / 2) }
  if (!corners) return { along: disc.x / 2, across: disc.y / 2 }
  return inZone(corners, disc)
}

/** Up and down without ever coming back, from -1 to 1; another for every whole number. */
export function waveOf(seed: number, rounds: number): number {
  return WAVES.reduce(
    (sum, { pace, height }, i) => sum + height * Math.sin(2 * Math.PI * (pace * rounds + shareOf(seed * 3 + i))),
    0,
  )
}

/** A number from 0 up to 1 for a whole number: by Knuth's multiplication, its bits mixed. */
export function shareOf(whole: number): number {
  let bits = Math.imul(whole ^ (whole >>> 16), 0x9e3779b1)
  bits = Math.imul(bits ^ (bits >>> 15), 0x85ebca6b)
  return ((bits ^ (bits >>> 13)) >>> 0) / 2 ** 32
}

interface Corner {
  readonly x: number
  readonly y: number
}

/** As far from the heart of the zone towards its edge as a place in the disc is from its middle. */
function inZone(corners: readonly Corner[], disc: Corner): Place {
  const heart = heartOf(corners)
  const far = Math.hypot(disc.x, disc.y)
  if (far === 0) return { along: heart.x, across: heart.y }
  const way = { x: disc.x / far, y: disc.y / far }
  const reach = (toEdge(corners, heart, way) ?? 0) * far
  return { along: heart.x + way.x * reach, across: heart.y + way.y * reach }
}

const hearts = new WeakMap<readonly Corner[], Corner>()

/** A place well within: of a grid, the one furthest from the edge. */
function heartOf(corners: readonly Corner[]): Corner {
  const found = hearts.get(corners) ?? furthestIn(corners)
  hearts.set(corners, found)
  return found
}

const GRID = 24

function furthestIn(corners: readonly Corner[]): Corner {
  let best: Corner = corners[0] ?? { x: 0, y: 0 }
  let furthest = 0
  for (let i = 1; i < GRID; i++)
    for (let j = 1; j < GRID; j++) {
      const place = { x: i / GRID - 0.5, y: j / GRID - 0.5 }
      const far = isWithin(corners, place) ? fromEdge(corners, place) : 0
      if (far > furthest) [best, furthest] = [place, far]
    }
  return best
}

const edgesOf = (corners: readonly Corner[]) =>
  corners.map((from, i) => [from, corners[(i + 1) % corners.length] ?? from] as const)

/** By how many edges a line to the right crosses. */
export function isWithin(corners: readonly Corner[], { x, y }: Corner): boolean {
  const crossed = edgesOf(corners).filter(
    ([a, b]) => a.y > y !== b.y > y && x < a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x),
  )
  return crossed.length % 2 === 1
}

function fromEdge(corners: readonly Corner[], place: Corner): number {
  return Math.min(...edgesOf(corners).map(([a, b]) => fromLine(a, b, place)))
}

function fromLine(a: Corner, b: Corner, { x, y }: Corner): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y]
  const long = dx * dx + dy * dy
  const t = long === 0 ? 0 : Math.min(1, Math.max(0, ((x - a.x) * dx + (y - a.y) * dy) / long))
  return Math.hypot(x - a.x - t * dx, y - a.y - t * dy)
}

/** How far it is from a place to the first edge that way; null where there is none. */
function toEdge(corners: readonly Corner[], from: Corner, way: Corner): number | null {
  const far = edgesOf(corners).flatMap(([a, b]) => {
    const [ex, ey] = [b.x - a.x, b.y - a.y]
    const across = way.x * ey - way.y * ex
    if (across === 0) return []
    const [dx, dy] = [a.x - from.x, a.y - from.y]
    const t = (dx * ey - dy * ex) / across
    const u = (dx * way.y - dy * way.x) / across
    return t >= 0 && u >= 0 && u <= 1 ? [t] : []
  })
  return far.length > 0 ? Math.min(...far) : null
}
