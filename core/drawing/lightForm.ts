/** What of a light's form drawings show: the same for plan, section and small pictures. */
import type { StageFixture } from '../cues/onStage'
import { DEGREE } from '../geometry/rotation'
import type { Vec3 } from '../geometry/vector'
import { gateAxes } from '../kinematics/forward'
import { irisRadius, isTurning, type LightShape } from '../light/gate'
import { poolOnLevel, type ClosedPool, type Pool } from '../light/pool'
import { shapedPool, type ShapedPool } from '../light/shapedPool'
import { lightShape } from '../show/lightShape'

export interface LightForm {
  readonly shape: LightShape
  /** The pool of light that is round, as wide as the iris leaves it; null where it lands nowhere, or is cut. */
  readonly round: Pool | null
  /** The pools of light that blades, gobos or a prism make what they are. */
  readonly cut: ShapedPool | null
}

/** Pools go no further from the lens than this, metres. */
const REACH = 24

const isCut = ({ blades, gobos, prism }: LightShape) => blades.length > 0 || gobos.length > 0 || prism !== null

/** The form of a fixture's light on the level at `height` metres, `seconds` after the drawing began. */
export function lightFormOn(
  { rigged, position, beam, zoom, amounts }: StageFixture,
  height: number,
  seconds = 0,
): LightForm {
  const shape = lightShape(rigged.type, amounts)
  if (!isCut(shape))
    return { shape, round: poolOnLevel(beam, throughIris(zoom.angle, shape), height, REACH), cut: null }
  const axes = gateAxes(rigged.mount, position.pose)
  return { shape, round: null, cut: shapedPool({ beam, axes, angle: zoom.angle, shape }, height, REACH, seconds) }
}

/** The full angle that an iris leaves of a beam's, degrees. */
function throughIris(angle: number, shape: LightShape): number {
  if (shape.iris === 1) return angle
  return (2 * Math.atan(irisRadius(shape) * Math.tan((angle / 2) * DEGREE))) / DEGREE
}

/** Whether any of the lights goes on turning, so that its drawing must go on too. */
export function turns(fixtures: readonly StageFixture[]): boolean {
  return fixtures.some(({ rigged, amounts }) => isTurning(lightShape(rigged.type, amounts)))
}

/** Points along the rim of a closed pool. */
export function rimOf({ centre, halfLong, halfShort, turn }: ClosedPool, corners: number): Vec3[] {
  const [c, s] = [Math.cos(turn * DEGREE), Math.sin(turn * DEGREE)]
  return Array.from({ length: corners }, (_, i) => {
    const angle = (2 * Math.PI * i) / corners
    const [u, v] = [halfLong * Math.cos(angle), halfShort * Math.sin(angle)]
    return { x: centre.x + u * c - v * s, y: centre.y + u * s + v * c, z: centre.z }
  })
}
