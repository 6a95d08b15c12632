/** The stage of the venue in play as faces, metres: the set in its layers, hangs, levels and the outline of the floor. */
import { hangDirection } from '../../geometry/frame'
import { add, scale, vec3, type Vec3 } from '../../geometry/vector'
import { hangsOf, type RiggedHang } from '../../show/rig'
import { setPiecesOf } from '../../show/setPieces'
import { entity, showRecordOf, type Show } from '../../show/show'
import { convexPieces } from '../../venue/convex'
import { heightOf } from '../../venue/levels'
import { facesOf, prismsAt } from '../../venue/solids'

export interface ModelBody {
  readonly name: string
  readonly layer: string
  /** Corners of convex faces, against the clock seen from outside. */
  readonly faces: readonly (readonly Vec3[])[]
}

/** Set pieces in no layer. */
const NO_LAYER = 'Set'
export const HANG_LAYER = 'Hangs'
export const STAGE_LAYER = 'Stage'

export function stageModel(show: Show): ModelBody[] {
  const venue = entity(show, 'venue', showRecordOf(show).venue)
  const floor = { name: 'Stage floor', layer: STAGE_LAYER, faces: flat(venue.outline, () => 0) }
  const levels = venue.levels.map((level) => ({
    name: level.name,
    layer: STAGE_LAYER,
    faces: flat(level.outline, (corner) => heightOf(level, corner)),
  }))
  const set = setPiecesOf(show).map(({ id, piece, place }) => ({
    name: piece.name,
    layer: show.all.layer.get(piece.layer ?? '')?.name ?? NO_LAYER,
    faces: prismsAt(id, piece.solids, place).flatMap(({ outline, bottom, top }) =>
      convexPieces(outline).flatMap((ring) => facesOf({ outline: ring, bottom, top }).map(({ corners }) => corners)),
    ),
  }))
  const hangs = hangsOf(show).map((hang) => ({ name: hang.hang.name, layer: HANG_LAYER, faces: pipe(endsOf(hang)) }))
  return [floor, ...levels, ...set, ...hangs]
}

type Corner = { readonly x: number; readonly y: number }

const flat = (outline: readonly Corner[], height: (corner: Corner) => number): Vec3[][] =>
  convexPieces(outline).map((ring) => ring.map((corner) => vec3(corner.x, corner.y, height(corner))))

/** The two ends of a hang, metres. */
export function endsOf({ place }: RiggedHang): readonly [Vec3, Vec3] {
  const half = scale(hangDirection(place), place.length / 2)
  return [add(place.origin, scale(half, -1)), add(place.origin, half)]
}

/** Half of how thick a hang is, metres. */
const THICK = 0.025

/** A square pipe between two ends. */
function pipe([from, to]: readonly [Vec3, Vec3]): Vec3[][] {
  const level = Math.hypot(to.x - from.x, to.y - from.y)
  const length = Math.hypot(level, to.z - from.z)
  const side = level > 1e-6 ? vec3(-(to.y - from.y) / level, (to.x - from.x) / level, 0) : vec3(0, 1, 0)
  const along = scale(vec3(to.x - from.x, to.y - from.y, to.z - from.z), 1 / length)
  const up = vec3(
    along.y * side.z - along.z * side.y,
    along.z * side.x - along.x * side.z,
    along.x * side.y - along.y * side.x,
  )
  const ring = (at: Vec3) =>
    [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ].map(([s = 0, u = 0]) => add(at, add(scale(side, s * THICK), scale(up, u * THICK))))
  const [near, far] = [ring(from), ring(to)]
  const sides = near.flatMap((corner, i): Vec3[][] => {
    const next = (i + 1) % near.length
    const [beside, behind, there] = [near[next], far[next], far[i]]
    return beside && behind && there ? [[corner, there, behind, beside]] : []
  })
  return [near, [...far].reverse(), ...sides]
}
