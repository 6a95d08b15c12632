/** Where what a gate lets through falls on a level plane. */
import { DEGREE } from '../geometry/rotation'
import { add, scale, vec3, type Vec3 } from '../geometry/vector'
import type { Beam, GateAxes } from '../kinematics/forward'
import { cutBy, bladeEdges, irisRadius, openingOf, poolOffsets, turnedBy, type LightShape } from './gate'
import { turnPoint, type GatePoint, type GateRing } from './gatePoint'
import { openingsOf } from './goboOpenings'

export interface ShapedPool {
  /** The outline of each pool, as iris and blades leave it: several behind a prism. */
  readonly outlines: readonly (readonly Vec3[])[]
  /** What is lit in all of them: the openings of gobos, or the outlines where none is in. */
  readonly lit: readonly (readonly Vec3[])[]
  /** Where a second gobo lets light through, of which only what is lit is: empty without one. */
  readonly through: readonly (readonly Vec3[])[]
}

/** Light in which some way is shaped, on its way to a plane. */
export interface ShapedLight {
  readonly beam: Beam
  readonly axes: GateAxes
  /** Full angle, degrees. */
  readonly angle: number
  readonly shape: LightShape
}

/**
 * The pools of shaped light on the level plane at `height` metres, `seconds` after it began to turn,
 * where it does. Light that never lands is cut off `reach` metres from the lens. Null when none of it
 * goes towards the plane, or nothing is let through.
 */
export function shapedPool(light: ShapedLight, height: number, reach: number, seconds = 0): ShapedPool | null {
  const { shape } = light
  const opening = openingOf(shape)
  const offsets = poolOffsets(shape, seconds)
  const openings = litRings(shape, opening, seconds)
  const cast = (ring: GateRing) => {
    const thrown = offsets.map((offset) => castRing(light, ring, offset, height, reach))
    return thrown.flatMap((landed) => (landed ? [landed] : []))
  }
  const outlines = opening.length < 3 ? [] : cast(opening)
  const through = throughRings(shape, seconds)
  return outlines.length === 0 ? null : { outlines, lit: openings.flatMap(cast), through: through.flatMap(cast) }
}

/** What of an opening is lit: the openings of its first gobo, cut by iris and blades. */
export function litRings(shape: LightShape, opening: GateRing, seconds = 0): readonly GateRing[] {
  const [gobo] = shape.gobos
  if (!gobo) return [opening]
  const edges = bladeEdges(shape)
  const turn = turnedBy(gobo.turn, seconds)
  const radius = irisRadius(shape)
  return openingsOf(gobo.pattern)
    .map((ring) =>
      edges.reduce(
        cutBy,
        ring.map((point) => within(turnPoint(point, turn), radius)),
      ),
    )
    .filter((ring) => ring.length > 2)
}

/** The openings of a second gobo, as it stands: what is lit is seen through them. Empty without one. */
export function throughRings({ gobos: [, gobo] }: LightShape, seconds = 0): readonly GateRing[] {
  if (!gobo) return []
  const turn = turnedBy(gobo.turn, seconds)
  return openingsOf(gobo.pattern).map((ring) => ring.map((point) => turnPoint(point, turn)))
}

/** A point drawn in to a radius. */
function within([x, y]: GatePoint, radius: number): GatePoint {
  const far = Math.hypot(x, y)
  return far <= radius ? [x, y] : [(x / far) * radius, (y / far) * radius]
}

function castRing(
  { beam, axes, angle }: ShapedLight,
  ring: GateRing,
  [aside, above]: GatePoint,
  height: number,
  reach: number,
): Vec3[] | null {
  const slope = Math.tan((angle / 2) * DEGREE)
  const drop = beam.lens.z - height
  if (Math.abs(drop) < 1e-9) return null
  const flattest = -Math.sign(drop) * (Math.abs(drop) / reach)
  let lands = false
  const landed = ring.map(([x, y]) => {
    const ray = add(beam.direction, add(scale(axes.right, slope * (x + aside)), scale(axes.up, slope * (y + above))))
    const level = Math.hypot(ray.x, ray.y)
    const fall = ray.z / Math.max(level, 1e-12)
    lands ||= drop > 0 ? fall < flattest : fall > flattest
    const steep = drop > 0 ? Math.min(fall, flattest) : Math.max(fall, flattest)
    const run = -drop / steep / Math.max(level, 1e-12)
    return vec3(beam.lens.x + ray.x * run, beam.lens.y + ray.y * run, height)
  })
  return lands ? landed : null
}
