/** Pure vectors. Metres in the stage frame unless a name says otherwise (see `frame.ts`). */
export interface Vec3 {
  readonly x: number
  readonly y: number
  readonly z: number
}

export const ORIGIN: Vec3 = { x: 0, y: 0, z: 0 }

export function vec3(x: number, y: number, z: number): Vec3 {
  return { x, y, z }
}

export function add(a: Vec3, b: Vec3): Vec3 {
  return { x: a.x + b.x, y: a.y + b.y, z: a.z + b.z }
}

export function subtract(a: Vec3, b: Vec3): Vec3 {
  return { x: a.x - b.x, y: a.y - b.y, z: a.z - b.z }
}

export function scale(a: Vec3, factor: number): Vec3 {
  return { x: a.x * factor, y: a.y * factor, z: a.z * factor }
}

export function dot(a: Vec3, b: Vec3): number {
  return a.x * b.x + a.y * b.y + a.z * b.z
}

export function cross(a: Vec3, b: Vec3): Vec3 {
  return {
    x: a.y * b.z - a.z * b.y,
    y: a.z * b.x - a.x * b.z,
    z: a.x * b.y - a.y * b.x,
  }
}

export function length(a: Vec3): number {
  return Math.sqrt(dot(a, a))
}

export function distance(a: Vec3, b: Vec3): number {
  return length(subtract(a, b))
}

/** Unit vector along `a`; throws RangeError for a vector without length (a programmer's fault). */
export function normalise(a: Vec3): Vec3 {
  const size = length(a)
  if (size === 0) throw new RangeError('a vector without length has no direction')
  return scale(a, 1 / size)
}

/** Point between `a` (fraction 0) and `b` (fraction 1); fractions outside [0, 1] go past the ends. */
export function pointBetween(a: Vec3, b: Vec3, fraction: number): Vec3 {
  return add(a, scale(subtract(b, a), fraction))
}

/** Angle in degrees, 0 to 180, by atan2 so that tiny and near-opposite angles keep their precision. */
export function angleBetween(a: Vec3, b: Vec3): number {
  return (Math.atan2(length(cross(a, b)), dot(a, b)) * 180) / Math.PI
}
