/** A drawing as lines to trace on: all that is drawn in a layer, seen from above. */
import { counted } from '../../show/counted'
import type { Vec3 } from '../../geometry/vector'
import { turnLevel } from '../../geometry/rotation'
import { add, vec3 } from '../../geometry/vector'
import type { ReadPiece, ReadUnderlay } from '../mvr/rigReading'
import type { Notes } from '../notes'

/** Corners of a line of a drawing, in the order they are drawn. */
export interface DrawnLine {
  readonly layer: string
  readonly points: readonly Vec3[]
}

/** What is drawn under a plan is drawn anew with every zoom: more would make that slow. */
const MOST_CORNERS = 120_000
/** A drawing that reaches further, in its units, is no plan of anything. */
const FURTHEST = 1e9
/** Finer than anyone can see: a twentieth of a millimetre where the unit is a metre. */
const DIGITS = 4

interface Layer {
  readonly lines: (readonly Vec3[])[]
  hasLines: boolean
}

/** Lines and the outlines of bodies, by layer; null where there are none. `name` is that of the file. */
export function underlayOf(
  lines: readonly DrawnLine[],
  pieces: readonly ReadPiece[],
  name: string,
  notes: Notes,
): ReadUnderlay | null {
  const layers = new Map<string, Layer>()
  const layerOf = (layer: string) => {
    const known = layers.get(layer.slice(0, 120)) ?? { lines: [], hasLines: false }
    layers.set(layer.slice(0, 120), known)
    return known
  }
  let left = MOST_CORNERS
  let dropped = 0
  const draw = (layer: Layer, points: readonly Vec3[]) => {
    left -= points.length
    if (left >= 0) layer.lines.push(points)
    else dropped += 1
  }
  for (const { layer, points } of lines) {
    const into = layerOf(layer)
    into.hasLines = true
    draw(into, points)
  }
  for (const piece of pieces) for (const ring of outlinesOf(piece)) draw(layerOf(piece.layer), ring)
  if (dropped > 0)
    notes.lost(
      name,
      `has ${counted(dropped, 'line')} more than the ${MOST_CORNERS} corners that are drawn under a plan`,
    )
  const found = laidOut(layers, name)
  if (found && Math.max(found.width, found.height) <= FURTHEST) return found
  if (found) notes.lost(name, 'reaches too far from one end to the other to lie under a plan')
  return null
}

/** Round each of its solids, back to where it began. */
function outlinesOf({ prisms, position, yaw }: ReadPiece): Vec3[][] {
  return prisms.map(({ outline }) => {
    const ring = outline.map(({ x, y }) => add(position, turnLevel(vec3(x, y, 0), yaw)))
    return [...ring, ...ring.slice(0, 1)]
  })
}

function laidOut(layers: ReadonlyMap<string, Layer>, name: string): ReadUnderlay | null {
  const box = { left: Infinity, right: -Infinity, low: Infinity, high: -Infinity }
  for (const { lines } of layers.values())
    for (const line of lines)
      for (const { x, y } of line) {
        box.left = Math.min(box.left, x)
        box.right = Math.max(box.right, x)
        box.low = Math.min(box.low, y)
        box.high = Math.max(box.high, y)
      }
  const [width, height] = [box.right - box.left, box.high - box.low]
  if (!Number.isFinite(width) || !Number.isFinite(height) || width + height <= 0) return null
  const corner = { x: box.left, y: box.low }
  return {
    form: 'lines',
    name: name.slice(0, 200),
    corner,
    // What lies on one line has a width all the same.
    width: Math.max(width, height / 1e4),
    height: Math.max(height, width / 1e4),
    layers: [...layers]
      .map(([layer, { lines, hasLines }]) => ({ name: layer, path: pathOf(lines, corner), hasLines }))
      .filter(({ path }) => path !== '')
      .sort((a, b) => a.name.localeCompare(b.name)),
  }
}

const short = (value: number) => String(Number(value.toFixed(DIGITS)) + 0)

/** Path data of SVG, y upwards, measured from a corner. */
function pathOf(lines: readonly (readonly Vec3[])[], corner: { x: number; y: number }): string {
  return lines
    .map((points) =>
      points.map(({ x, y }, i) => `${i ? 'L' : 'M'}${short(x - corner.x)} ${short(y - corner.y)}`).join(''),
    )
    .join('')
}

/** The corners in path data as it is written here. */
export function pathCorners(path: string): { x: number; y: number }[] {
  return path
    .split(/[ML]/)
    .slice(1)
    .map((pair) => {
      const [x = 0, y = 0] = pair.split(' ').map(Number)
      return { x, y }
    })
}
