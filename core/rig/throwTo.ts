/**
 * Choosing a lens: what a fixture's light would be at a place, and which fixtures can make a pool
 * of a wanted size and brightness there.
 */
import { normalise, subtract, type Vec3 } from '../geometry/vector'
import { beamAt } from '../kinematics/forward'
import { HOME } from '../kinematics/head'
import { solveAim } from '../kinematics/inverse'
import { zoomRange } from '../light/optics'
import { zoomForPool } from '../light/zoom'
import { isHead, rigOf, type RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import { lightAlong, type LightAlong } from '../venue/lightAlong'

/** Light of one fixture at full at a place. Metres, degrees, lux. */
export interface LightAt extends LightAlong {
  readonly rigged: RiggedFixture
  readonly reach: 'reached' | 'out of reach'
  readonly throwMetres: number
  /** Full beam angle: the light is at half of its peak on this cone. */
  readonly beam: number
}

/** What a fixture's light is at a place with its zoom at a beam angle (degrees). */
export function lightAt(show: Show, rigged: RiggedFixture, place: Vec3, beam: number): LightAt {
  const solved = solveAim(rigged.mount, place, { reference: HOME })
  const axis = beamAt(rigged.mount, solved)
  const direction = normalise(subtract(place, axis.lens))
  const light = { lens: axis.lens, direction, place, throwMetres: solved.throwMetres, beam, optics: rigged.type.optics }
  return {
    rigged,
    reach: solved.reachable ? 'reached' : 'out of reach',
    throwMetres: solved.throwMetres,
    beam,
    ...lightAlong(show, light),
  }
}

/** What is asked of a light: a pool of so many metres across the beam, and so many lux in its middle. */
export interface LightWish {
  readonly place: Vec3
  readonly diameter: number
  readonly lux: number
}

export interface Candidate extends LightAt {
  /** Everything that keeps it from the wish; empty when it can. */
  readonly lacks: readonly ('reach' | 'clear way' | 'zoom' | 'light')[]
}

/**
 * Every head of the rig with the zoom that makes the wanted pool: those that can first, the
 * brightest at the head; then the others, the fewest lacks first.
 */
export function whoCanLight(show: Show, wish: LightWish): Candidate[] {
  return [...rigOf(show).values()]
    .filter(isHead)
    .map((rigged): Candidate => {
      const range = zoomRange(rigged.type.optics) ?? fixedRange(rigged)
      const { throwMetres } = solveAim(rigged.mount, wish.place, { reference: HOME })
      const zoom = zoomForPool(wish.diameter, throwMetres, range)
      const light = lightAt(show, rigged, wish.place, zoom.angle)
      const lacks: Candidate['lacks'][number][] = []
      if (light.reach !== 'reached') lacks.push('reach')
      if (light.blockedBy !== null) lacks.push('clear way')
      if (!zoom.fits) lacks.push('zoom')
      if (light.lux < wish.lux) lacks.push('light')
      return { ...light, lacks }
    })
    .sort((a, b) => a.lacks.length - b.lacks.length || b.lux - a.lux)
}

function fixedRange({ type }: RiggedFixture): { min: number; max: number } {
  const beam = type.optics[0]?.beam ?? 0
  return { min: beam, max: beam }
}
