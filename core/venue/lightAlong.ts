/** What light makes of a place: its pool there, how bright it is, and what stands in the way. */
import type { Vec3 } from '../geometry/vector'
import { vec3 } from '../geometry/vector'
import { candelaOffAxis, illuminance } from '../light/optics'
import { poolOnPlane, type Plane } from '../light/pool'
import type { Optics } from '../show/entities'
import type { SetPieceId } from '../show/ids'
import type { ShowPart } from '../show/show'
import { landingOn } from './landing'
import { firstHit } from './obstruct'
import { surfacesOf, type SURFACE_KINDS } from './surfaces'

/** A light at full on its way to a place: metres, the full beam angle in degrees. */
export interface LightToPlace {
  readonly lens: Vec3
  /** A unit vector towards the place. */
  readonly direction: Vec3
  readonly place: Vec3
  readonly throwMetres: number
  readonly beam: number
  readonly optics: Optics
}

/** What it makes there: metres, degrees, lux. */
export interface LightAlong {
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

type SurfaceShow = ShowPart<(typeof SURFACE_KINDS)[number] | 'setPiece'>

export function lightAlong(show: SurfaceShow, light: LightToPlace): LightAlong {
  const { lens, direction, throwMetres, beam, optics } = light
  const { plane, name } = surfaceAt(show, light)
  const size = poolOnPlane({ lens, direction }, beam, plane)
  const incidence = size?.incidence ?? 90
  const hit = firstHit(surfacesOf(show).prisms, lens, direction, throwMetres - TOUCHING)
  return {
    pool: size?.axes ?? null,
    incidence,
    lux: illuminance(candelaOffAxis(optics, beam, 0), incidence, throwMetres),
    blockedBy: hit?.prism.piece ?? null,
    surface: name,
  }
}

/** The plane the pool lies on: what the light meets at the place, else level with it. */
function surfaceAt(
  show: SurfaceShow,
  { lens, direction, place, throwMetres }: LightToPlace,
): { plane: Plane; name: string } {
  const landing = landingOn(surfacesOf(show), { lens, direction })
  if (landing && Math.abs(landing.distance - throwMetres) <= ON_SURFACE) {
    const name = landing.on.kind === 'set' ? (show.all.setPiece.get(landing.on.piece)?.name ?? '') : landing.on.name
    return { plane: { point: place, normal: landing.normal }, name }
  }
  return { plane: { point: place, normal: vec3(0, 0, 1) }, name: 'a level plane' }
}
