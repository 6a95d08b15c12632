/**
 * Set pieces as upright prisms: every solid is one or a few outlines in plan with a bottom and a
 * top. That is all that drawing, light and rays need.
 */
import { turnLevel } from '../geometry/rotation'
import { add, normalise, vec3, type Vec3 } from '../geometry/vector'
import { derived } from '../show/derived'
import type { Solid } from '../show/entities'
import type { SetPieceId } from '../show/ids'
import { setPiecesOf } from '../show/setPieces'
import { againstTheClock, type PlanPoint } from './outline'

/** An upright prism. Outline in plan, against the clock; bottom and top in metres. */
export interface Prism {
  readonly outline: readonly PlanPoint[]
  readonly bottom: number
  readonly top: number
}

/** A prism of a set piece in the stage frame. */
export interface PlacedPrism extends Prism {
  readonly piece: SetPieceId
}

/** A flat side of a prism, corners against the clock seen from outside. */
export interface Face {
  readonly corners: readonly Vec3[]
  readonly normal: Vec3
}

const ROUND = 24
/** Half the width and depth of a stand-in person, metres. */
const PERSON = { halfWidth: 0.26, halfDepth: 0.16 }

function rectangle(width: number, depth: number, from = 0): PlanPoint[] {
  const x = width / 2
  return [
    { x: -x, y: from - depth / 2 },
    { x, y: from - depth / 2 },
    { x, y: from + depth / 2 },
    { x: -x, y: from + depth / 2 },
  ]
}

function oval(halfWidth: number, halfDepth: number): PlanPoint[] {
  return Array.from({ length: ROUND }, (_, i) => {
    const turn = (i / ROUND) * 2 * Math.PI
    return { x: halfWidth * Math.cos(turn), y: halfDepth * Math.sin(turn) }
  })
}

/** A solid's outlines with their heights above its base, before it is seated on its piece. */
function solidParts(solid: Solid): { outline: readonly PlanPoint[]; height: number }[] {
  switch (solid.kind) {
    case 'box':
      return [{ outline: rectangle(solid.width, solid.depth), height: solid.height }]
    case 'flat':
      return [{ outline: rectangle(solid.width, solid.thickness), height: solid.height }]
    case 'cylinder':
      return [{ outline: oval(solid.radius, solid.radius), height: solid.height }]
    case 'person':
      return [{ outline: oval(PERSON.halfWidth, PERSON.halfDepth), height: solid.height }]
    case 'prism':
      return [{ outline: againstTheClock(solid.outline), height: solid.height }]
    case 'steps': {
      const tread = solid.depth / solid.count
      return Array.from({ length: solid.count }, (_, i) => ({
        outline: rectangle(solid.width, tread, -solid.depth / 2 + (i + 0.5) * tread),
        height: (solid.height * (i + 1)) / solid.count,
      }))
    }
  }
}

/** The prisms of a solid in its set piece's frame. */
export function prismsOf(solid: Solid): Prism[] {
  return solidParts(solid).map(({ outline, height }) => ({
    outline: outline.map((p) => {
      const turned = turnLevel(vec3(p.x, p.y, 0), solid.turn)
      return { x: turned.x + solid.at.x, y: turned.y + solid.at.y }
    }),
    bottom: solid.base,
    top: solid.base + height,
  }))
}

/** Prisms of a set piece that stands at a place, in the stage frame. */
export function prismsAt(
  piece: SetPieceId,
  solids: readonly Solid[],
  place: { readonly position: Vec3; readonly yaw: number },
): PlacedPrism[] {
  return solids.flatMap(prismsOf).map(({ outline, bottom, top }) => ({
    piece,
    outline: outline.map((p) => add(place.position, turnLevel(vec3(p.x, p.y, 0), place.yaw))),
    bottom: place.position.z + bottom,
    top: place.position.z + top,
  }))
}

/** Every prism of the set in the venue in play. */
export const prismsOnStage = derived(['setPiecePlace', 'setPiece', 'show'], (show): readonly PlacedPrism[] =>
  setPiecesOf(show).flatMap(({ id, piece, place }) => prismsAt(id, piece.solids, place)),
)

/** The sides, top and bottom of a prism. */
export function facesOf({ outline, bottom, top }: Prism): Face[] {
  const at = (p: PlanPoint, z: number) => vec3(p.x, p.y, z)
  const sides = outline.flatMap((p, i): Face[] => {
    const next = outline[(i + 1) % outline.length]
    if (!next || (p.x === next.x && p.y === next.y)) return []
    const normal = normalise(vec3(next.y - p.y, p.x - next.x, 0))
    return [{ corners: [at(p, bottom), at(next, bottom), at(next, top), at(p, top)], normal }]
  })
  return [
    ...sides,
    { corners: outline.map((p) => at(p, top)), normal: vec3(0, 0, 1) },
    { corners: [...outline].reverse().map((p) => at(p, bottom)), normal: vec3(0, 0, -1) },
  ]
}
