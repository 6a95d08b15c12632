/** Models in GLB (glTF 2.0): y up in metres there, z up here. */
import { Document, WebIO, type Node, type vec3 as GlbVector } from '@gltf-transform/core'
import { dot, vec3, type Vec3 } from '#core/geometry/vector'
import type { ModelBody } from '#core/exchange/drawing/stageModel'
import type { ModelPart } from '#core/exchange/mvr/writtenModels'

/** More corners than this are thinned out to those that lie outermost in many directions. */
const MOST_CORNERS = 2000
const DIRECTIONS = 600

/** The corners of each part of a model; throws for a file that is none. */
export async function partsOfGlb(bytes: Uint8Array): Promise<(readonly Vec3[])[]> {
  const document = await new WebIO().readBinary(bytes)
  return document
    .getRoot()
    .listNodes()
    .map((node) => thinned(cornersOf(node)))
    .filter((corners) => corners.length > 0)
}

/** A corner of a node's own, as it stands in the model: y up there, z up here. */
function standing(node: Node): (corner: GlbVector) => Vec3 {
  const m = node.getWorldMatrix()
  return ([x, y, z]) => {
    const along = (row: 0 | 1 | 2) => m[row] * x + (m[row + 4] ?? 0) * y + (m[row + 8] ?? 0) * z + (m[row + 12] ?? 0)
    return fromYUp(along(0), along(1), along(2))
  }
}

/** A place of a model that has y upwards. */
export const fromYUp = (x: number, y: number, z: number): Vec3 => vec3(x, -z, y)

function cornersOf(node: Node): Vec3[] {
  const place = standing(node)
  const corners: Vec3[] = []
  const at: GlbVector = [0, 0, 0]
  for (const primitive of node.getMesh()?.listPrimitives() ?? []) {
    const positions = primitive.getAttribute('POSITION')
    for (let i = 0; i < (positions?.getCount() ?? 0); i++) {
      positions?.getElement(i, at)
      corners.push(place(at))
    }
  }
  return corners.filter((corner) => Number.isFinite(corner.x + corner.y + corner.z))
}

/** The triangles of a node's mesh, without more than `most`; null where there are more. */
export function facesOfNode(node: Node, most: number): Vec3[][] | null {
  const place = standing(node)
  const faces: Vec3[][] = []
  const at: GlbVector = [0, 0, 0]
  for (const primitive of node.getMesh()?.listPrimitives() ?? []) {
    const positions = primitive.getAttribute('POSITION')
    const indices = primitive.getIndices()
    const corner = (i: number) => {
      positions?.getElement(indices ? indices.getScalar(i) : i, at)
      return place(at)
    }
    const count = (indices ?? positions)?.getCount() ?? 0
    if (faces.length + count / 3 > most) return null
    for (let i = 0; i + 2 < count; i += 3) faces.push([corner(i), corner(i + 1), corner(i + 2)])
  }
  return faces
}

function thinned(corners: readonly Vec3[]): readonly Vec3[] {
  if (corners.length <= MOST_CORNERS) return corners
  const outermost = new Set<Vec3>()
  for (let i = 0; i < DIRECTIONS; i++) {
    const way = direction(i)
    let furthest = corners[0]
    for (const corner of corners) if (furthest && dot(corner, way) > dot(furthest, way)) furthest = corner
    if (furthest) outermost.add(furthest)
  }
  return [...outermost]
}

/** Directions spread evenly over the sphere, after Fibonacci. */
function direction(i: number): Vec3 {
  const z = 1 - (2 * i + 1) / DIRECTIONS
  const level = Math.sqrt(1 - z * z)
  const turn = i * Math.PI * (3 - Math.sqrt(5))
  return vec3(level * Math.cos(turn), level * Math.sin(turn), z)
}

/** A model of parts, each a mesh of its own. */
export async function glbOf(parts: readonly ModelPart[]): Promise<Uint8Array> {
  const document = new Document()
  document.createBuffer()
  const scene = document.createScene()
  for (const { name, faces } of parts)
    scene.addChild(
      meshNode(
        document,
        name,
        faces.map(({ corners }) => corners),
      ),
    )
  return new WebIO().writeBinary(document)
}

/** A model of bodies in a node for each layer. */
export async function glbOfBodies(bodies: readonly ModelBody[]): Promise<Uint8Array> {
  const document = new Document()
  document.createBuffer()
  const scene = document.createScene()
  const layers = new Map<string, Node>()
  for (const { name, layer, faces } of bodies) {
    const node = layers.get(layer) ?? document.createNode(layer)
    layers.set(layer, node)
    node.addChild(meshNode(document, name, faces))
  }
  for (const node of layers.values()) scene.addChild(node)
  return new WebIO().writeBinary(document)
}

/** A node with the triangles of some convex faces, z upwards here and y there. */
function meshNode(document: Document, name: string, faces: readonly (readonly Vec3[])[]): Node {
  const [buffer] = document.getRoot().listBuffers()
  const positions = new Float32Array(faces.flatMap(fan).flatMap(({ x, y, z }) => [x, z, -y]))
  const accessor = document
    .createAccessor()
    .setType('VEC3')
    .setArray(positions)
    .setBuffer(buffer ?? null)
  const mesh = document.createMesh(name).addPrimitive(document.createPrimitive().setAttribute('POSITION', accessor))
  return document.createNode(name).setMesh(mesh)
}

/** A convex face as triangles from its first corner. */
function fan(corners: readonly Vec3[]): Vec3[] {
  const [first] = corners
  if (!first) return []
  return corners.slice(1, -1).flatMap((corner, i) => [first, corner, corners[i + 2] ?? first])
}
