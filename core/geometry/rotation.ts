/**
 * Rotations as plain 3 by 3 matrices, named row then column (`xy` is row x, column y), for column
 * vectors: the columns are the images of the local axes. Angles in degrees.
 */
import { cross, dot, length, normalise, scale, subtract, type Vec3 } from './vector'

export interface Rotation {
  readonly xx: number
  readonly xy: number
  readonly xz: number
  readonly yx: number
  readonly yy: number
  readonly yz: number
  readonly zx: number
  readonly zy: number
  readonly zz: number
}

export const DEGREE = Math.PI / 180

/**
 * `Rz(yaw) · Rx(pitch) · Ry(roll)`, each right-handed: roll acts first. Degrees.
 * Multiplied out by hand from the three elementary matrices.
 */
export function rotation(yaw: number, pitch: number, roll: number): Rotation {
  const cz = Math.cos(yaw * DEGREE)
  const sz = Math.sin(yaw * DEGREE)
  const cx = Math.cos(pitch * DEGREE)
  const sx = Math.sin(pitch * DEGREE)
  const cy = Math.cos(roll * DEGREE)
  const sy = Math.sin(roll * DEGREE)
  return {
    xx: cz * cy - sz * sx * sy,
    xy: -sz * cx,
    xz: cz * sy + sz * sx * cy,
    yx: sz * cy + cz * sx * sy,
    yy: cz * cx,
    yz: sz * sy - cz * sx * cy,
    zx: -cx * sy,
    zy: sx,
    zz: cx * cy,
  }
}

/** `R · v`: from the rotated frame to the outer one. */
export function rotate(r: Rotation, v: Vec3): Vec3 {
  return {
    x: r.xx * v.x + r.xy * v.y + r.xz * v.z,
    y: r.yx * v.x + r.yy * v.y + r.yz * v.z,
    z: r.zx * v.x + r.zy * v.y + r.zz * v.z,
  }
}

/** `Rᵀ · v`: from the outer frame into the rotated one. */
export function unrotate(r: Rotation, v: Vec3): Vec3 {
  return {
    x: r.xx * v.x + r.yx * v.y + r.zx * v.z,
    y: r.xy * v.x + r.yy * v.y + r.zy * v.z,
    z: r.xz * v.x + r.yz * v.y + r.zz * v.z,
  }
}

/** Turns a point about the vertical by `yaw` degrees. */
export function turnLevel(v: Vec3, yaw: number): Vec3 {
  const c = Math.cos(yaw * DEGREE)
  const s = Math.sin(yaw * DEGREE)
  return { x: c * v.x - s * v.y, y: s * v.x + c * v.y, z: v.z }
}

/** `A · B`: B acts first. */
export function composed(a: Rotation, b: Rotation): Rotation {
  const [x, y, z] = [
    rotate(a, { x: b.xx, y: b.yx, z: b.zx }),
    rotate(a, { x: b.xy, y: b.yy, z: b.zy }),
    rotate(a, { x: b.xz, y: b.yz, z: b.zz }),
  ]
  return rotationOf(x, y, z)
}

/** The rotation that takes another one back. */
export function transposed(r: Rotation): Rotation {
  return { xx: r.xx, xy: r.yx, xz: r.zx, yx: r.xy, yy: r.yy, yz: r.zy, zx: r.xz, zy: r.yz, zz: r.zz }
}

/** How far one rotation is turned from another, degrees: by the trace of what leads from one to the other. */
export function turnBetween(a: Rotation, b: Rotation): number {
  const r = composed(transposed(a), b)
  const sine = Math.hypot(r.zy - r.yz, r.xz - r.zx, r.yx - r.xy) / 2
  return Math.atan2(sine, (r.xx + r.yy + r.zz - 1) / 2) / DEGREE
}

/** The rotation whose columns are the images of the three axes, as they are. */
export function rotationOf(x: Vec3, y: Vec3, z: Vec3): Rotation {
  return { xx: x.x, xy: y.x, xz: z.x, yx: x.y, yy: y.y, yz: z.y, zx: x.z, zy: y.z, zz: z.z }
}

/**
 * The angles that make a rotation, `Rz(yaw) · Rx(pitch) · Ry(roll)`, in degrees, pitch from −90 to
 * 90, the others above −180 up to 180; at pitch ±90 roll is 0. Read off the product above.
 */
export function anglesOf(r: Rotation): { readonly yaw: number; readonly pitch: number; readonly roll: number } {
  const level = Math.hypot(r.xy, r.yy)
  const pitch = Math.atan2(r.zy, level) / DEGREE
  if (level < 1e-9) return { yaw: halfTurn(Math.atan2(r.yx, r.xx)), pitch, roll: 0 }
  return { yaw: halfTurn(Math.atan2(-r.xy, r.yy)), pitch, roll: halfTurn(Math.atan2(-r.zx, r.zz)) }
}

/** Radians to degrees above −180 up to 180. */
function halfTurn(radians: number): number {
  const degrees = radians / DEGREE
  return degrees <= -180 ? degrees + 360 : degrees
}

/**
 * The rotation nearest to three axes that are not quite square or of one length, by turns made
 * square (Gram and Schmidt); null where they span no space, and where they are a mirror image,
 * `mirrored` tells it and the third is turned round.
 */
export function squared(x: Vec3, y: Vec3, z: Vec3): { readonly rotation: Rotation; readonly mirrored: boolean } | null {
  const volume = dot(cross(x, y), z)
  const size = length(x) * length(y) * length(z)
  if (!(size > 0) || Math.abs(volume) < 1e-6 * size) return null
  const first = normalise(x)
  const second = normalise(subtract(y, scale(first, dot(y, first))))
  return { rotation: rotationOf(first, second, cross(first, second)), mirrored: volume < 0 }
}
