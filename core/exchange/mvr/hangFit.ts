/** The line a hang runs along, found from what carries it or hangs on it, since rig files name hangs but do not draw them. */
import { DEGREE } from '../../geometry/rotation'
import {
  add,
  distance,
  dot,
  length,
  normalise,
  pointBetween,
  scale,
  subtract,
  vec3,
  type Vec3,
} from '../../geometry/vector'
import type { FixturePlace } from '../../geometry/frame'
import type { HangRow } from '../../commands/shared/tableRows'

export type HangLine = Pick<HangRow, 'origin' | 'yaw' | 'rise' | 'length' | 'form'>

/** Beyond the outermost fixtures, metres. */
const MARGIN = 0.5
/** A line that is nearly level or nearly upright is meant to be, degrees; a drawn one has to be. */
const NEARLY = 1
const LEVEL = 0.01
const STEEP = 60

/** The line from one end to the other. One that is upright faces `yaw`. */
export function lineBetween(from: Vec3, to: Vec3, yaw = 0): HangLine {
  const way = subtract(to, from)
  const size = length(way)
  const along = size === 0 ? vec3(1, 0, 0) : scale(way, 1 / size)
  const rise = Math.asin(Math.max(-1, Math.min(1, along.z))) / DEGREE
  const isUpright = Math.abs(rise) > 90 - NEARLY
  const middle = pointBetween(from, to, 0.5)
  return {
    origin: { x: micrometre(middle.x), y: micrometre(middle.y), z: micrometre(middle.z) },
    yaw: micrometre(isUpright ? yaw : Math.atan2(along.y, along.x) / DEGREE),
    rise: isUpright ? 90 * Math.sign(rise) : Math.abs(rise) < LEVEL ? 0 : micrometre(rise),
    length: Math.max(0.1, Math.round(size * 1000) / 1000),
    form: Math.abs(rise) > STEEP ? 'boom' : middle.z < 0.5 ? 'floor' : 'bar',
  }
}

/**
 * The line fixtures hang on: through their middle along the way they lie furthest apart (the first
 * principal axis, by power iteration), half a metre longer on either side. One alone hangs on a level line.
 */
export function lineThrough(points: readonly Vec3[]): HangLine {
  const [first] = points
  if (!first) throw new RangeError('a line needs a point')
  const middle = scale(points.reduce(add), 1 / points.length)
  const way = principalAxis(points.map((point) => subtract(point, middle))) ?? vec3(1, 0, 0)
  const along = points.map((point) => dot(subtract(point, middle), way))
  const end = (at: number) => add(middle, scale(way, at))
  const run = way.x < -1e-6 || (Math.abs(way.x) <= 1e-6 && way.y + way.z < 0) ? scale(way, -1) : way
  const drawn = lineBetween(end(Math.min(...along) - MARGIN), end(Math.max(...along) + MARGIN))
  const line = facing(neatLine(drawn, run), points)
  const isDrawn = points.every((point) => placeOnHang(line, point) !== null)
  return isDrawn ? line : lineBetween({ ...middle, x: middle.x - MARGIN }, { ...middle, x: middle.x + MARGIN })
}

/** A fitted line as a person would draw it: to a millimetre and a tenth of a degree, left to right as seen from the house, or upwards. */
function neatLine(line: HangLine, run: Vec3): HangLine {
  const { x, y, z } = line.origin
  const rise = Math.asin(Math.max(-1, Math.min(1, run.z))) / DEGREE
  return {
    ...line,
    origin: { x: millimetre(x), y: millimetre(y), z: millimetre(z) },
    yaw: line.rise === 90 || line.rise === -90 ? 0 : tenth(Math.atan2(run.y, run.x) / DEGREE),
    rise: Math.abs(rise) > 90 - NEARLY ? 90 : Math.abs(rise) < NEARLY ? 0 : tenth(rise),
    length: Math.ceil(line.length * 100 - 1e-6) / 100,
  }
}

/** An upright line turned so that what hangs beside it hangs out from it. */
function facing(line: HangLine, points: readonly Vec3[]): HangLine {
  if (line.rise !== 90) return line
  const beside = principalAxis(points.map((point) => ({ ...subtract(point, line.origin), z: 0 })))
  return beside ? { ...line, yaw: tenth(Math.atan2(-beside.x, beside.y) / DEGREE) } : line
}

function principalAxis(spread: readonly Vec3[]): Vec3 | null {
  const furthest = spread.reduce((one, other) => (length(other) > length(one) ? other : one), vec3(0, 0, 0))
  if (length(furthest) < 0.01) return null
  let way = normalise(furthest)
  for (let i = 0; i < 50; i++) {
    const next = spread.reduce((sum, one) => add(sum, scale(one, dot(one, way))), vec3(0, 0, 0))
    if (length(next) === 0) return way
    const unit = normalise(next)
    if (distance(unit, way) < 1e-12) return unit
    way = unit
  }
  return way
}

/** Off by more than this, metres, a point is not where its place on the hang would put it. */
const EXACT = 0.0005

/** The place of a point on a hang; null where an upright one has none for it. */
export function placeOnHang(
  { origin, yaw, rise }: Pick<HangLine, 'origin' | 'yaw' | 'rise'>,
  point: Vec3,
): Pick<FixturePlace, 'along' | 'out' | 'drop'> | null {
  const off = subtract(point, origin)
  const [c, s] = [Math.cos(yaw * DEGREE), Math.sin(yaw * DEGREE)]
  const forth = off.x * c + off.y * s
  const out = micrometre(off.y * c - off.x * s)
  const level = Math.cos(rise * DEGREE)
  if (level < 1e-6) {
    if (Math.abs(forth) > EXACT) return null
    return { along: micrometre(off.z * Math.sign(rise)), out, drop: 0 }
  }
  const along = forth / level
  return { along: micrometre(along), out, drop: micrometre(along * Math.sin(rise * DEGREE) - off.z) }
}

const millimetre = (metres: number) => Math.round(metres * 1000) / 1000 + 0
const tenth = (degrees: number) => Math.round(degrees * 10) / 10 + 0
const micrometre = (metres: number) => Math.round(metres * 1e6) / 1e6 + 0
