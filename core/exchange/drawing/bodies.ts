/** Bodies of a drawing, in metres: faces that hang together, and outlines with a height. */
import { fineMetres } from '../../geometry/fineMetres'
import type { Vec3 } from '../../geometry/vector'
import { vec3 } from '../../geometry/vector'
import { boundsOfPoints, prismAround } from '../mvr/modelParts'
import type { ReadPiece, ReadPrism } from '../mvr/rigReading'
import type { Notes } from '../notes'
import { uuidOf } from '../uuid'

/** A thing of a drawing: what it is called, its layer, and what it is made of. */
export interface DrawnThing {
  readonly name: string
  readonly layer: string
  /** Corners of each face. */
  readonly faces: readonly (readonly Vec3[])[]
  readonly prisms: readonly ReadPrism[]
}

/** Corners nearer than this are one, metres. */
const JOINED = 0.0005
/** A set piece has no more solids. */
const MOST_SOLIDS = 100

const keyOf = ({ x, y, z }: Vec3) => [x, y, z].map((value) => Math.round(value / JOINED)).join(' ')

/** The corners of what hangs together by common corners. */
export function joined(faces: readonly (readonly Vec3[])[]): Vec3[][] {
  const parents: number[] = []
  const root = (i: number): number => {
    let at = i
    while (parents[at] !== at) at = parents[at] = parents[parents[at] ?? at] ?? at
    return at
  }
  const known = new Map<string, number>()
  const all: Vec3[] = []
  for (const face of faces) {
    let first: number | null = null
    for (const corner of face) {
      const key = keyOf(corner)
      const place = known.get(key) ?? all.push(corner) - 1
      known.set(key, place)
      parents[place] ??= place
      if (first === null) first = root(place)
      else parents[root(place)] = first
    }
  }
  const bodies = new Map<number, Vec3[]>()
  for (const [i, corner] of all.entries()) {
    const body = root(i)
    const corners = bodies.get(body)
    if (corners) corners.push(corner)
    else bodies.set(body, [corner])
  }
  return [...bodies.values()]
}

/** Set pieces of what was drawn, each about the middle of its foot; `file` makes their ids, the same each time. */
export function piecesOf(things: readonly DrawnThing[], file: string, notes: Notes): ReadPiece[] {
  const seen = new Map<string, number>()
  return things.flatMap((thing) => {
    const prisms = [...joined(thing.faces).map(prismAround), ...thing.prisms]
    if (prisms.length === 0) return []
    const nth = (seen.get(thing.name) ?? 0) + 1
    seen.set(thing.name, nth)
    const id = uuidOf(`${file}\n${thing.layer}\n${thing.name}\n${nth}`)
    if (prisms.length > MOST_SOLIDS)
      notes.look(thing.name, `has ${prisms.length} bodies; the ${MOST_SOLIDS} largest come in`)
    return [pieceOf(id, thing, largest(prisms))]
  })
}

const volumeOf = ({ outline, bottom, top }: ReadPrism) => {
  const { min, max } = boundsOfPoints(outline.map(({ x, y }) => vec3(x, y, 0)))
  return (max.x - min.x) * (max.y - min.y) * (top - bottom)
}

function largest(prisms: readonly ReadPrism[]): readonly ReadPrism[] {
  if (prisms.length <= MOST_SOLIDS) return prisms
  return [...prisms].sort((a, b) => volumeOf(b) - volumeOf(a)).slice(0, MOST_SOLIDS)
}

function pieceOf(id: string, { name, layer }: DrawnThing, prisms: readonly ReadPrism[]): ReadPiece {
  const { min, max } = boundsOfPoints(
    prisms.flatMap(({ outline, bottom, top }) => outline.flatMap(({ x, y }) => [vec3(x, y, bottom), vec3(x, y, top)])),
  )
  const foot = vec3(fineMetres((min.x + max.x) / 2), fineMetres((min.y + max.y) / 2), fineMetres(min.z))
  return {
    id,
    name: name.slice(0, 120),
    layer: layer.slice(0, 120),
    position: foot,
    yaw: 0,
    prisms: prisms.map(({ outline, bottom, top }) => ({
      outline: outline.map(({ x, y }) => ({ x: fineMetres(x - foot.x), y: fineMetres(y - foot.y) })),
      bottom: fineMetres(bottom - foot.z),
      top: fineMetres(top - foot.z),
    })),
  }
}
