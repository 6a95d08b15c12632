/** Where a rig file's own origin lies on the stage: files choose it freely. */
import { anglesOf, composed, rotation, turnLevel } from '../../geometry/rotation'
import { add, distance, scale, subtract, vec3, type Vec3 } from '../../geometry/vector'
import { turned } from '../../rig/mirror'
import type { ReadPrism, RigReading } from './rigReading'

/** First scaled, then mirrored across its own centre line where that is wanted, turned about the vertical, and shifted. Degrees, metres. */
export interface Placement {
  readonly scale: number
  readonly mirrored: boolean
  readonly turn: number
  readonly shift: Vec3
}

export const AS_IT_IS: Placement = { scale: 1, mirrored: false, turn: 0, shift: vec3(0, 0, 0) }

/** Two places of the file and where they are on the stage. */
export interface TwoPoints {
  readonly file: readonly [Vec3, Vec3]
  readonly stage: readonly [Vec3, Vec3]
}

/** The placement that brings the first point where it is and the second on the line to where it is; null where either two fall together. */
export function placementBy(
  { file, stage }: TwoPoints,
  { mirrored, scale: size }: Pick<Placement, 'mirrored' | 'scale'>,
): Placement | null {
  const [a, b] = file.map((point) => scale(mirrored ? mirror(point) : point, size))
  const [to, towards] = stage
  if (!a || !b || distance({ ...a, z: 0 }, { ...b, z: 0 }) < 0.01) return null
  if (distance({ ...to, z: 0 }, { ...towards, z: 0 }) < 0.01) return null
  const bearing = (from: Vec3, at: Vec3) => (Math.atan2(at.y - from.y, at.x - from.x) * 180) / Math.PI
  const turn = turned(bearing(to, towards) - bearing(a, b))
  return { scale: size, mirrored, turn, shift: subtract(to, turnLevel(a, turn)) }
}

/** How much larger than in its file a drawing is, told by two points in plan; null where either two fall together. */
export function scaleBy({ file: [a, b], stage: [to, towards] }: TwoPoints): number | null {
  const [drawn, real] = [distance({ ...a, z: 0 }, { ...b, z: 0 }), distance({ ...to, z: 0 }, { ...towards, z: 0 })]
  return drawn < 1e-6 || real < 0.01 ? null : real / drawn
}

const mirror = ({ x, y, z }: Vec3): Vec3 => vec3(-x, y, z)

export function onStage({ scale: size, mirrored, turn, shift }: Placement, point: Vec3): Vec3 {
  const sized = scale(point, size)
  return add(turnLevel(mirrored ? mirror(sized) : sized, turn), shift)
}

/** The place of the file that is put at a place of the stage: what `onStage` takes there. */
export function inFile({ scale: size, mirrored, turn, shift }: Placement, point: Vec3): Vec3 {
  const own = turnLevel(subtract(point, shift), -turn)
  return scale(mirrored ? mirror(own) : own, 1 / size)
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
      prisms: piece.prisms
        .map((prism) => scaledPrism(prism, placement.scale))
        .map((prism) => (placement.mirrored ? mirroredPrism(prism) : prism)),
    })),
  }
}

/** A reflection changes the sign of yaw and roll: see `core/rig/mirror.ts`. */
function turnedBy({ mirrored, turn }: Placement, { yaw, pitch, roll }: { yaw: number; pitch: number; roll: number }) {
  const own = mirrored ? rotation(-yaw, pitch, -roll) : rotation(yaw, pitch, roll)
  return anglesOf(composed(rotation(turn, 0, 0), own))
}

function scaledPrism({ outline, bottom, top }: ReadPrism, size: number): ReadPrism {
  if (size === 1) return { outline, bottom, top }
  return { outline: outline.map(({ x, y }) => ({ x: x * size, y: y * size })), bottom: bottom * size, top: top * size }
}

function mirroredPrism({ outline, ...heights }: ReadPrism): ReadPrism {
  return { outline: outline.map(({ x, y }) => ({ x: -x + 0, y })).reverse(), ...heights }
}

/** Nothing of a stage is further away, metres: see `metres` in the values of a show. */
const FURTHEST = 1000

/** The places of all that is in a reading, in its own frame. */
function placesIn({ hangs, fixtures, targets, pieces, underlay }: RigReading): Vec3[] {
  const corners = underlay
    ? [0, 1].map((far) => vec3(underlay.corner.x + far * underlay.width, underlay.corner.y + far * underlay.height, 0))
    : []
  return [
    ...hangs.flatMap(({ ends }) => ends ?? []),
    ...[...fixtures, ...targets, ...pieces].map(({ position }) => position),
    ...corners,
  ]
}

const isFar = ({ x, y, z }: Vec3) => Math.max(Math.abs(x), Math.abs(y), Math.abs(z)) > FURTHEST

/** Whether something of a reading would lie further from the stage than a show can say. */
export function liesTooFar(reading: RigReading, placement: Placement): boolean {
  return placesIn(reading).some((place) => isFar(onStage(placement, place)))
}

/** How a reading lies at first: as it is, or, where a drawing counts from a place far away, its middle on the stage's origin. */
export function firstPlacement(reading: RigReading): Placement {
  if (!reading.drawing || !liesTooFar(reading, AS_IT_IS)) return AS_IT_IS
  const places = placesIn(reading)
  const middle = (of: (place: Vec3) => number) =>
    places.reduce((sum, place) => [Math.min(sum[0], of(place)), Math.max(sum[1], of(place))] as const, [
      Infinity,
      -Infinity,
    ] as const)
  const [x, y] = [middle((place) => place.x), middle((place) => place.y)].map(([low, high]) => (low + high) / 2)
  return { ...AS_IT_IS, shift: vec3(-(x ?? 0), -(y ?? 0), 0) }
}
