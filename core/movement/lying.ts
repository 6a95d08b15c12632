/** From the plane of a path to the stage. */
import { DEGREE } from '../geometry/rotation'
import { add, cross, length, normalise, scale, vec3, type Vec3 } from '../geometry/vector'
import type { Movement } from './movement'
import { placeOnPath } from './path'
import { ofRound, type Place } from './place'

/** How far a movement takes a light off its place: metres in the stage frame, and degrees on top of its pose. */
export interface Displacement {
  readonly offset: Vec3
  readonly pan: number
  readonly tilt: number
}
export const UNMOVED: Displacement = { offset: vec3(0, 0, 0), pan: 0, tilt: 0 }

/** What a head that is moved is aimed at. */
export interface Aimed {
  /** From the head to the place, of any length but none. */
  readonly beam: Vec3
  /** A line or a ring: how far off the place aimed at a place along it is, 0 to 1. Null for a point. */
  readonly target: { readonly form: 'line' | 'ring'; readonly offsetAt: (at: number) => Vec3 } | null
}

const UP = vec3(0, 0, 1)

/** Nearer to straight up or down, a beam does not say which way is level across it. */
const UPRIGHT_BEAM = 1e-9

/** The two directions of the plane a path lies in; `beam` is the way the light goes. */
function planeOf(lies: Movement['lies'], beam: Vec3): readonly [along: Vec3, across: Vec3] {
  if (lies === 'upright') return [vec3(1, 0, 0), UP]
  if (lies !== 'across the beam') return [vec3(1, 0, 0), vec3(0, 1, 0)]
  const level = cross(beam, UP)
  const along = length(level) < UPRIGHT_BEAM ? vec3(1, 0, 0) : normalise(level)
  return [along, normalise(cross(along, beam))]
}

/** Turned in its plane, degrees, right-handed from along to across. */
function turned({ along, across }: Place, turn: number): Place {
  const [cos, sin] = [Math.cos(turn * DEGREE), Math.sin(turn * DEGREE)]
  return { along: along * cos - across * sin, across: along * sin + across * cos }
}

/** How far a light is off its place after so many rounds. A path along a target stands still where that is a point. */
export function displacement(movement: Movement, rounds: number, { beam, target }: Aimed): Displacement {
  const place = placeOnPath(movement, rounds)
  if (movement.path.form === 'target') {
    if (!target) return UNMOVED
    const round = ofRound(movement.mirrored ? -rounds : rounds)
    return { ...UNMOVED, offset: target.offsetAt(target.form === 'ring' ? round : place.along + 0.5) }
  }
  const { along, across } = turned(place, movement.turn)
  if (movement.lies === 'angles') return { ...UNMOVED, pan: along, tilt: across }
  const [right, up] = planeOf(movement.lies, beam)
  return { ...UNMOVED, offset: add(scale(right, along), scale(up, across)) }
}
