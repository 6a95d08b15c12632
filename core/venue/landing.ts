/** Where light lands: on the set, on a level or on the stage floor, whichever it meets first. */
import { add, dot, scale, subtract, vec3, type Vec3 } from '../geometry/vector'
import type { Beam } from '../kinematics/forward'
import type { Plane } from '../light/pool'
import type { Level } from '../show/entities'
import type { SetPieceId } from '../show/ids'
import { heightOf, normalOf } from './levels'
import { firstHit } from './obstruct'
import { isInside } from './outline'
import type { Surfaces } from './surfaces'

export interface Landing extends Plane {
  readonly distance: number
  /** What it lands on: a set piece, a level by name, or the floor. */
  readonly on:
    { readonly kind: 'set'; readonly piece: SetPieceId } | { readonly kind: 'level' | 'floor'; readonly name: string }
}

/** Light further than this lands nowhere worth telling; metres. */
const FURTHEST = 200

/** The first surface a beam's axis meets; null for light that meets none. */
export function landingOn({ levels, prisms }: Surfaces, beam: Beam): Landing | null {
  const ground = landingOnGround(levels, beam)
  const hit = firstHit(prisms, beam.lens, beam.direction, ground?.distance ?? FURTHEST)
  if (!hit) return ground
  const point = add(beam.lens, scale(beam.direction, hit.distance))
  return { point, normal: hit.normal, distance: hit.distance, on: { kind: 'set', piece: hit.prism.piece } }
}

/** Where a beam's axis would meet the floor or a level if there were no set; null for light that meets neither. */
export function landingOnGround(levels: readonly Level[], beam: Beam): Landing | null {
  const onLevels = levels.flatMap((level) => levelHit(level, beam) ?? [])
  const floor = floorHit(beam)
  return [...onLevels, ...(floor ? [floor] : [])].reduce<Landing | null>(
    (best, hit) => (best && best.distance <= hit.distance ? best : hit),
    null,
  )
}

function floorHit(beam: Beam): Landing | null {
  if (beam.direction.z > -1e-6 || beam.lens.z <= 0) return null
  const distance = -beam.lens.z / beam.direction.z
  if (distance > FURTHEST) return null
  const point = add(beam.lens, scale(beam.direction, distance))
  return { point: { ...point, z: 0 }, normal: vec3(0, 0, 1), distance, on: { kind: 'floor', name: 'the floor' } }
}

function levelHit(level: Level, beam: Beam): Landing | null {
  const normal = normalOf(level)
  const facing = dot(beam.direction, normal)
  const anchor = level.outline[0]
  if (facing > -1e-6 || !anchor) return null
  const onSurface: Vec3 = { ...anchor, z: heightOf(level, anchor) }
  const distance = dot(subtract(onSurface, beam.lens), normal) / facing
  const point = add(beam.lens, scale(beam.direction, distance))
  if (distance <= 0 || distance > FURTHEST || !isInside(level.outline, point)) return null
  return { point, normal, distance, on: { kind: 'level', name: level.name } }
}
