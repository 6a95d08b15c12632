/** Where a rig file's own origin lies on the stage: files choose it freely. */
import { anglesOf, composed, rotation, turnLevel } from '../../geometry/rotation'
import { add, distance, subtract, vec3, type Vec3 } from '../../geometry/vector'
import { turned } from '../../rig/mirror'
import type { ReadPrism, RigReading } from './rigReading'

/** First mirrored across its own centre line where that is wanted, then turned about the vertical, then shifted. Degrees, metres. */
export interface Placement {
  readonly mirrored: boolean
  readonly turn: number
  readonly shift: Vec3
}

export const AS_IT_IS: Placement = { mirrored: false, turn: 0, shift: vec3(0, 0, 0) }

/** Two places of the file and where they are on the stage. */
export interface TwoPoints {
  readonly file: readonly [Vec3, Vec3]
  readonly stage: readonly [Vec3, Vec3]
}

/** The placement that brings the first point where it is and the second on the line to where it is; null where either two fall together. */
export function placementBy({ file, stage }: TwoPoints, mirrored: boolean): Placement | null {
  const [a, b] = file.map((point) => (mirrored ? mirror(point) : point))
  const [to, towards] = stage
  if (!a || !b || distance({ ...a, z: 0 }, { ...b, z: 0 }) < 0.01) return null
  if (distance({ ...to, z: 0 }, { ...towards, z: 0 }) < 0.01) return null
  const bearing = (from: Vec3, at: Vec3) => (Math.atan2(at.y - from.y, at.x - from.x) * 180) / Math.PI
  const turn = turned(bearing(to, towards) - bearing(a, b))
  return { mirrored, turn, shift: subtract(to, turnLevel(a, turn)) }
}

const mirror = ({ x, y, z }: Vec3): Vec3 => vec3(-x, y, z)

export function onStage({ mirrored, turn, shift }: Placement, point: Vec3): Vec3 {
  return add(turnLevel(mirrored ? mirror(point) : point, turn), shift)
}

/** A rig as it stands on the stage. */
export function placedRig(reading: RigReading, placement: Placement): RigReading {
  const at = (point: Vec3) => onStage(placement, point)
  return {
    ...reading,
    hangs: reading.hangs.map((hang) => ({
      ...hang,
      ends: hang.ends && [at(hang.ends[0]), at(hang.ends[1])],
      yaw: turned((placement.mirrored ? -hang.yaw : hang.yaw) + placement.turn),
    })),
    fixtures: reading.fixtures.map((one) => ({ ...one, position: at(one.position), ...turnedBy(placement, one) })),
    targets: reading.targets.map((target) => ({ ...target, position: at(target.position) })),
    pieces: reading.pieces.map((piece) => ({
      ...piece,
      position: at(piece.position),
      yaw: turned((placement.mirrored ? -piece.yaw : piece.yaw) + placement.turn),
      prisms: placement.mirrored ? piece.prisms.map(mirroredPrism) : piece.prisms,
    })),
  }
}

/** A reflection changes the sign of yaw and roll: see `core/rig/mirror.ts`. */
function turnedBy({ mirrored, turn }: Placement, { yaw, pitch, roll }: { yaw: number; pitch: number; roll: number }) {
  const own = mirrored ? rotation(-yaw, pitch, -roll) : rotation(yaw, pitch, roll)
  return anglesOf(composed(rotation(turn, 0, 0), own))
}

function mirroredPrism({ outline, ...heights }: ReadPrism): ReadPrism {
  return { outline: outline.map(({ x, y }) => ({ x: -x + 0, y })).reverse(), ...heights }
}
