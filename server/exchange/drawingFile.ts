/** Drawings of a set (DXF, OBJ, GLB): what stands in them as set pieces, and as lines to trace on; nothing of it is taken yet. */
import { WebIO } from '@gltf-transform/core'
import DxfParser from 'dxf-parser'
import { Mesh } from 'three'
import { OBJLoader } from 'three/examples/jsm/loaders/OBJLoader.js'
import { piecesOf, type DrawnThing } from '#core/exchange/drawing/bodies'
import { dxfDocument } from '#core/exchange/drawing/dxfDocument'
import { brokenDxf } from '#core/exchange/drawing/dxfPairs'
import { dxfThings } from '#core/exchange/drawing/dxfThings'
import { DXF_UNITS, UNITS, type DrawingUnit, type Up } from '#core/exchange/drawing/units'
import { underlayOf, type DrawnLine } from '#core/exchange/drawing/underlay'
import type { RigReading } from '#core/exchange/mvr/rigReading'
import { Notes } from '#core/exchange/notes'
import { NotReadable } from '#core/exchange/xml/xml'
import { vec3, type Vec3 } from '#core/geometry/vector'
import { facesOfNode, fromYUp } from './glb'

const MOST_FACES = 500_000

interface Drawn {
  readonly things: readonly DrawnThing[]
  readonly lines: readonly DrawnLine[]
  readonly unit: DrawingUnit | null
}

/** Throws NotReadable with the reason. `name` is that of the file; `up` counts for OBJ only. */
export async function readDrawingFile(bytes: Uint8Array, name: string, up: Up): Promise<RigReading> {
  const notes = new Notes()
  const { things, lines, unit } = await drawnIn(bytes, name, up, notes)
  const pieces = piecesOf(things, name, notes)
  const underlay = underlayOf(lines, pieces, name, notes)
  if (underlay === null) notes.lost(name, 'holds nothing that is drawn: no lines, no closed outlines and no faces')
  else if (pieces.length === 0) notes.look(name, 'holds no bodies: only lines come, to lie under the plan')
  const nothing = { hangs: [], fixtures: [], targets: [], types: [] }
  return { provider: '', drawing: { unit }, ...nothing, pieces, underlay, notes: [...notes.all] }
}

async function drawnIn(bytes: Uint8Array, name: string, up: Up, notes: Notes): Promise<Drawn> {
  if (/\.glb$/i.test(name)) return { things: await thingsOfGlb(bytes), lines: [], unit: 'm' }
  const text = new TextDecoder('utf-8').decode(bytes)
  return /\.obj$/i.test(name) ? { things: thingsOfObj(text, up), lines: [], unit: null } : thingsOfDxf(text, notes)
}

function thingsOfDxf(text: string, notes: Notes): Drawn {
  if (text.includes('\0')) throw new NotReadable('it is a binary DXF file: write it as text')
  const broken = brokenDxf(text)
  if (broken) throw new NotReadable(broken)
  const document = dxfDocument.safeParse(parsed(() => new DxfParser().parseSync(text), 'DXF'))
  if (!document.success) throw new NotReadable('it holds no entities: it is no whole DXF file')
  const unit = DXF_UNITS.get(Number(document.data.header['$INSUNITS'])) ?? null
  return { ...dxfThings(document.data, unit ? UNITS[unit] : 1, notes), unit }
}

/** A parser's own words say little to whoever opened a file; that it did not get through is what counts. */
function parsed<T>(parse: () => T, kind: string): T {
  try {
    return parse()
  } catch {
    throw new NotReadable(`it is no whole ${kind} file`)
  }
}

function thingsOfObj(text: string, up: Up): DrawnThing[] {
  const group = parsed(() => new OBJLoader().parse(text), 'OBJ')
  const at = up === 'y' ? fromYUp : vec3
  return group.children.flatMap((child, i) => {
    if (!(child instanceof Mesh)) return []
    const { array } = child.geometry.getAttribute('position')
    const faces: Vec3[][] = []
    for (let k = 0; k + 8 < array.length; k += 9)
      faces.push([0, 3, 6].map((j) => at(array[k + j] ?? 0, array[k + j + 1] ?? 0, array[k + j + 2] ?? 0)))
    return [{ name: child.name || `Part ${i + 1}`, layer: '', faces: sound(faces), prisms: [] }]
  })
}

function sound(faces: readonly Vec3[][] | null): Vec3[][] {
  if (!faces || faces.length > MOST_FACES) throw new NotReadable(`one of its parts has more than ${MOST_FACES} faces`)
  return faces.filter((face) => face.every(({ x, y, z }) => Number.isFinite(x + y + z)))
}

async function thingsOfGlb(bytes: Uint8Array): Promise<DrawnThing[]> {
  const document = await new WebIO().readBinary(bytes).catch(() => {
    throw new NotReadable('it is no whole GLB model')
  })
  return document
    .getRoot()
    .listNodes()
    .flatMap((node, i) => {
      const faces = sound(facesOfNode(node, MOST_FACES))
      const layer = node.getParentNode()?.getName() ?? ''
      return faces.length > 0 ? [{ name: node.getName() || `Part ${i + 1}`, layer, faces, prisms: [] }] : []
    })
}
