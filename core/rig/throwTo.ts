/**
 * Choosing a lens: what a fixture's light would be at a place, and which fixtures can make a pool
 * of a wanted size and brightness there.
 */
import { normalise, subtract, vec3, type Vec3 } from '../geometry/vector'
import { beamAt } from '../kinematics/forward'
import { HOME } from '../kinematics/head'
import { solveAim } from '../kinematics/inverse'
import { illuminance, peakCandela, zoomRange } from '../light/optics'
import { poolOnPlane, type Plane } from '../light/pool'
import { zoomForPool } from '../light/zoom'
import type { SetPieceId } from '../show/ids'
import { isHead, rigOf, type RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import { landingOn } from '../venue/landing'
import { firstHit } from '../venue/obstruct'
import { surfacesOf } from '../venue/surfaces'

/** Light of one fixture at full at a place. Metres, degrees, lux. */
export interface LightAt {
  readonly rigged: RiggedFixture
  readonly reach: 'reached' | 'out of reach'
  readonly throwMetres: number
  /** Full beam angle: the light is at half of its peak on this cone. */
  readonly beam: number
  /** The pool's long and short axis on `surface`; null where it never closes. */
  readonly pool: { readonly long: number; readonly short: number } | null
  readonly incidence: number
  readonly lux: number
  /** The first set piece in the way; null when the way is clear. */
  readonly blockedBy: SetPieceId | null
  readonly surface: string
}

/** A surface within this of the place, along the light, is what the pool lies on; metres. */
const ON_SURFACE = 0.5
/** The set piece a place lies on does not block it this near; metres. */
const TOUCHING = 0.35

/** What a fixture's light is at a place with its zoom at a beam angle (degrees). */
export function lightAt(show: Show, rigged: RiggedFixture, place: Vec3, beam: number): LightAt {
  const solved = solveAim(rigged.mount, place, { reference: HOME })
  const axis = beamAt(rigged.mount, solved)
  const direction = normalise(subtract(place, axis.lens))
  const { plane, name } = surfaceAt(show, { lens: axis.lens, direction }, place, solved.throwMetres)
  const size = poolOnPlane({ lens: axis.lens, direction }, beam, plane)
  const incidence = size?.incidence ?? 90
  const hit = firstHit(surfacesOf(show).prisms, axis.lens, direction, solved.throwMetres - TOUCHING)
  return {
    rigged,
    reach: solved.reachable ? 'reached' : 'out of reach',
    throwMetres: solved.throwMetres,
    beam,
    pool: size?.axes ?? null,
    incidence,
    lux: illuminance(peakCandela(rigged.type.optics, beam), incidence, solved.throwMetres),
    blockedBy: hit?.prism.piece ?? null,
    surface: name,
  }
}

/** The plane the pool lies on: what the light meets at the place, else level with it. */
function surfaceAt(
  show: Show,
  beam: { lens: Vec3; direction: Vec3 },
  place: Vec3,
  throwMetres: number,
): { plane: Plane; name: string } {
  const landing = landingOn(surfacesOf(show), beam)
  if (landing && Math.abs(landing.distance - throwMetres) <= ON_SURFACE) {
    const name = landing.on.kind === 'set' ? (show.all.setPiece.get(landing.on.piece)?.name ?? '') : landing.on.name
    return { plane: { point: place, normal: landing.normal }, name }
  }
  return { plane: { point: place, normal: vec3(0, 0, 1) }, name: 'a level plane' }
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
