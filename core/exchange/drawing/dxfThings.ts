/**
 * Bodies of a DXF file, blocks expanded: each block that is placed is a thing of its own, what stands
 * loose is one thing for each layer. Closed outlines stand as tall as they are thick, faces hang together
 * by their corners. Lines are kept beside them, to trace on; letters and measures are told.
 */
import { DEGREE } from '../../geometry/rotation'
import { add, scale, vec3, type Vec3 } from '../../geometry/vector'
import { counted } from '../../show/counted'
import { prismAround } from '../mvr/modelParts'
import type { ReadPrism } from '../mvr/rigReading'
import type { Notes } from '../notes'
import { NotReadable } from '../xml/xml'
import type { DrawnThing } from './bodies'
import { arcOf, curvedRing } from './curves'
import type { DxfBody, DxfDocument, DxfEntity, DxfInsert } from './dxfDocument'
import { dxfLine } from './dxfLines'
import { alongWay, type Map3 } from './ownFrame'
import type { DrawnLine } from './underlay'

/** Blocks in blocks, and entities when all are expanded. */
const DEEPEST = 12
const MOST_ENTITIES = 200_000
/** A block is placed no more often in one row. */
const MOST_COPIES = 1000
const THIN = 0.002
const MOST_CORNERS = 200

interface Growing {
  readonly name: string
  readonly layer: string
  readonly faces: Vec3[][]
  readonly prisms: ReadPrism[]
}

/** `metres` is how long a unit of the file is. Throws NotReadable for what grows beyond all measure. */
export function dxfThings(
  document: DxfDocument,
  metres: number,
  notes: Notes,
): { things: DrawnThing[]; lines: readonly DrawnLine[] } {
  const reader = new Reader(document, notes)
  reader.read(document.entities, (point) => scale(point, metres), [])
  reader.tell()
  return { things: reader.things(), lines: reader.lines }
}

class Reader {
  readonly #document: DxfDocument
  readonly #notes: Notes
  readonly #loose = new Map<string, Growing>()
  readonly #placed: Growing[] = []
  readonly lines: DrawnLine[] = []
  readonly #skipped = new Map<string, number>()
  #count = 0

  constructor(document: DxfDocument, notes: Notes) {
    this.#document = document
    this.#notes = notes
  }

  things(): DrawnThing[] {
    return [...this.#loose.values(), ...this.#placed]
  }

  /** `inside` are the blocks one is in, `into` the thing they make; layer 0 of a block is the layer it is placed on. */
  read(entities: readonly DxfEntity[], map: Map3, inside: readonly string[], into?: Growing): void {
    for (const entity of entities) {
      this.#count += 1
      if (this.#count > MOST_ENTITIES)
        throw new NotReadable(`it holds more than ${MOST_ENTITIES} things once its blocks are expanded`)
      if (isInsert(entity)) this.#place(entity, map, inside, into)
      else if (isBody(entity)) addBody(into ?? this.#onLayer(entity.layer), entity, map)
      else this.#draw(entity, map, into)
    }
  }

  #draw(entity: DxfEntity, map: Map3, into?: Growing): void {
    const points = dxfLine(entity)
    const layer = into && entity.layer === '0' ? into.layer : entity.layer
    if (points) this.lines.push({ layer, points: points.map(map) })
    else this.#skipped.set(layer, (this.#skipped.get(layer) ?? 0) + 1)
  }

  #onLayer(layer: string): Growing {
    const known = this.#loose.get(layer) ?? { name: layer, layer, faces: [], prisms: [] }
    this.#loose.set(layer, known)
    return known
  }

  #place(insert: DxfInsert, map: Map3, inside: readonly string[], into?: Growing): void {
    const block = this.#document.blocks[insert.name]
    if (!block) return this.#notes.lost(insert.name, 'is placed, but there is no such block in the file')
    if (inside.includes(insert.name) || inside.length >= DEEPEST)
      return this.#notes.lost(insert.name, 'holds itself, or lies too deep in other blocks')
    const [columns, rows] = [insert.columnCount, insert.rowCount].map((count) =>
      Math.min(MOST_COPIES, Math.max(1, Math.round(count))),
    )
    for (let column = 0; column < (columns ?? 1); column++)
      for (let row = 0; row < (rows ?? 1); row++) {
        const thing = into ?? { name: insert.name, layer: insert.layer, faces: [], prisms: [] }
        if (!into) this.#placed.push(thing)
        const shift = vec3(column * insert.columnSpacing, row * insert.rowSpacing, 0)
        this.read(block.entities, placing(insert, block.position, shift, map), [...inside, insert.name], thing)
      }
  }

  /** What was drawn but is neither body nor line. */
  tell(): void {
    for (const [layer, count] of this.#skipped)
      this.#notes.lost(
        `layer ${layer}`,
        counted(count, 'letter, measure or hatching', 'letters, measures or hatchings'),
      )
  }
}

const isInsert = (entity: DxfEntity): entity is DxfInsert => entity.type === 'INSERT' && 'position' in entity
const BODIES: readonly string[] = ['3DFACE', 'SOLID', 'LWPOLYLINE', 'POLYLINE', 'CIRCLE'] satisfies DxfBody['type'][]
function isBody(entity: DxfEntity): entity is DxfBody {
  if (!BODIES.includes(entity.type) || (!('vertices' in entity) && !('points' in entity) && !('radius' in entity)))
    return false
  const isOpen = 'shape' in entity && !entity.shape
  return !isOpen || ('isPolyfaceMesh' in entity && (entity.isPolyfaceMesh || entity.is3dPolygonMesh))
}

/** A block where it is placed: its base point taken off, scaled, shifted in its rows, turned about the upright, put there. */
function placing(insert: DxfInsert, base: Vec3, shift: Vec3, map: Map3): Map3 {
  const own = alongWay(insert.extrusionDirection)
  const [c, s] = [Math.cos(insert.rotation * DEGREE), Math.sin(insert.rotation * DEGREE)]
  return (point) => {
    const x = (point.x - base.x) * insert.xScale + shift.x
    const y = (point.y - base.y) * insert.yScale + shift.y
    const z = (point.z - base.z) * insert.zScale
    return map(own(add(vec3(x * c - y * s, x * s + y * c, z), insert.position)))
  }
}

function addBody(into: Growing, body: DxfBody, map: Map3): void {
  switch (body.type) {
    case '3DFACE':
      into.faces.push(body.vertices.map(map))
      break
    case 'SOLID': {
      const own = alongWay(body.extrusionDirection)
      into.faces.push(body.points.map((point) => map(own(point))))
      break
    }
    case 'CIRCLE':
      addOutline(into, arcOf(body.center, vec3(body.radius, 0, 0), 1, 0, 0).slice(0, -1), 0, map)
      break
    case 'LWPOLYLINE': {
      const { extrusionDirectionX: x = 0, extrusionDirectionY: y = 0, extrusionDirectionZ: z = 1 } = body
      const own = alongWay({ x, y, z })
      const corners = curvedRing(
        body.vertices.map(({ x: a, y: b, bulge }) => ({ x: a, y: b, z: body.elevation, bulge })),
      )
      addOutline(into, corners, body.depth, (point) => map(own(point)))
      break
    }
    case 'POLYLINE':
      addPolyline(into, body, map)
      break
  }
}

function addPolyline(into: Growing, body: Extract<DxfBody, { type: 'POLYLINE' }>, map: Map3): void {
  const { vertices } = body
  if (body.isPolyfaceMesh) {
    const corners = vertices.filter((vertex) => !facesIn(vertex).some((at) => at !== 0))
    for (const vertex of vertices) {
      const face = facesIn(vertex).flatMap((at) => corners[Math.abs(at) - 1] ?? [])
      if (face.length > 2) into.faces.push(face.map(map))
    }
  } else if (body.is3dPolygonMesh) into.faces.push(vertices.map(map))
  else {
    const own = alongWay(body.extrusionDirection)
    addOutline(into, curvedRing(vertices), body.thickness, (point) => map(own(point)))
  }
}

const facesIn = ({ faceA, faceB, faceC, faceD }: Extract<DxfBody, { type: 'POLYLINE' }>['vertices'][number]) =>
  [faceA, faceB, faceC, faceD].flatMap((at) => at ?? [])

/** A closed outline, as tall as it is thick; where it does not lie level, the upright prism around it. */
function addOutline(into: Growing, outline: readonly Vec3[], thick: number, map: Map3): void {
  const foot = outline.map(map)
  const head = outline.map((point) => map(add(point, vec3(0, 0, thick))))
  const zs = [...foot, ...head].map(({ z }) => z)
  const [bottom, top] = [Math.min(...zs), Math.max(...zs)]
  const isLevel = foot.every(({ z }) => Math.abs(z - (foot[0]?.z ?? 0)) < 1e-4)
  const ring = withoutRepeats(foot)
  if (ring.length < 3) return
  if (isLevel && ring.length <= MOST_CORNERS)
    into.prisms.push({ outline: ring.map(({ x, y }) => ({ x, y })), bottom, top: Math.max(top, bottom + THIN) })
  else into.prisms.push(prismAround([...foot, ...head]))
}

const isNear = (a: Vec3 | undefined, b: Vec3) => a !== undefined && Math.hypot(a.x - b.x, a.y - b.y) < 1e-4

function withoutRepeats(points: readonly Vec3[]): Vec3[] {
  return points.filter((point, i) => !isNear(points[(i + points.length - 1) % points.length], point))
}
