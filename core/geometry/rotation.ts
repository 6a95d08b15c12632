/**
 * Rotations as plain 3 by 3 matrices, named row then column (`xy` is row x, column y), for column
 * vectors: the columns are the images of the local axes. Angles in degrees.
 */
import type { Vec3 } from './vector'

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
