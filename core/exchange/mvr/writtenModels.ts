/** The models a rig goes out with: a pipe for each length of hang, and the solids of set pieces. */
import { vec3 } from '../../geometry/vector'
import type { PlacedSetPiece } from '../../show/setPieces'
import { convexPieces } from '../../venue/convex'
import { facesOf, prismsOf, type Face, type Prism } from '../../venue/solids'
import { uuidOf } from '../uuid'
import { prismAround } from './modelParts'

/** A part of a model: its faces, metres, z up. */
export interface ModelPart {
  readonly name: string
  readonly faces: readonly Face[]
}

export class WrittenModels {
  readonly #files = new Map<string, readonly ModelPart[]>()

  get files(): ReadonlyMap<string, readonly ModelPart[]> {
    return this.#files
  }

  /** The file of the model of a hang. */
  pipe(length: number): string {
    const file = `hang-${Math.round(length * 1000)}.glb`
    this.#files.set(file, [{ name: 'hang', faces: facesOf(pipe(length)) }])
    return file
  }

  /** The file of the model of a set piece. */
  piece(placed: PlacedSetPiece): string {
    const file = `set-${uuidOf(placed.id)}.glb`
    this.#files.set(file, partsOf(placed))
    return file
  }
}

/** How thick a hang is drawn, metres. */
const PIPE = 0.05

function pipe(length: number): Prism {
  const [x, y] = [length / 2, PIPE / 2]
  const outline = [
    { x: -x, y: -y },
    { x, y: -y },
    { x, y },
    { x: -x, y },
  ]
  return { outline, bottom: -y, top: y }
}

/** Every solid as convex prisms, as whoever reads them would tell their outlines. */
function partsOf({ piece }: PlacedSetPiece): ModelPart[] {
  const prisms = piece.solids
    .flatMap(prismsOf)
    .flatMap(({ outline, bottom, top }) =>
      convexPieces(outline).map((ring) =>
        prismAround(ring.flatMap(({ x, y }) => [vec3(x, y, bottom), vec3(x, y, top)])),
      ),
    )
  return prisms.map((prism, i) => ({ name: `part ${i + 1}`, faces: facesOf(prism) }))
}
