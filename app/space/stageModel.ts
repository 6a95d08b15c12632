/** Everything that stands or hangs and gives no light: floor, levels, opening, set, hangs, bodies, targets. */
import {
  AmbientLight,
  BufferGeometry,
  CylinderGeometry,
  DirectionalLight,
  DoubleSide,
  Float32BufferAttribute,
  Group,
  InstancedMesh,
  LineBasicMaterial,
  LineSegments,
  Matrix4,
  Mesh,
  MeshLambertMaterial,
  OctahedronGeometry,
  Quaternion,
  ShapeUtils,
  Vector2,
  Vector3,
  type Material,
  type Object3D,
} from 'three'
import { hangDirection } from '#core/geometry/frame'
import { add, length, normalise, scale, subtract, vec3, type Vec3 } from '#core/geometry/vector'
import type { Venue } from '#core/show/entities'
import { hangsOf } from '#core/show/rig'
import type { SetPieceId } from '#core/show/ids'
import { entity, showRecordOf, type Show } from '#core/show/show'
import { pointOn, targetsOf } from '#core/show/targets'
import { isSurveyed } from '#core/survey/sightings'
import { zoneFrom } from '#core/travel/zones'
import { heightOf } from '#core/venue/levels'
import { LAYERS } from './exposure'
import type { LitFace } from '#core/venue/litFaces'
import { facesOf, prismsOnStage, type Face, type PlacedPrism } from '#core/venue/solids'

const FLOOR = '#1a2425'
const LEVEL = '#223031'
const SET = '#4a5755'
const EDGE = '#7d918d'
const LINE = '#39504f'
const HANG = '#5f7d7a'
const TARGET = '#e0bb62'

function isShown(show: Show, piece: SetPieceId): boolean {
  const layer = show.all.setPiece.get(piece)?.layer ?? null
  return layer === null || show.all.layer.get(layer)?.visible !== false
}

/** What is lit of what is shown: pieces in hidden layers are not, though they stand in the light. */
export function shownFaces(show: Show, faces: readonly LitFace[]): LitFace[] {
  return faces.filter(({ piece }) => piece === null || isShown(show, piece))
}

export function stageModel(show: Show): Group {
  const venue = entity(show, 'venue', showRecordOf(show).venue)
  const prisms = prismsOnStage(show).filter(({ piece }) => isShown(show, piece))
  const model = new Group()
  model.add(
    new AmbientLight('#9fb4b2', 0.85),
    sun(),
    flat([floorFace(venue)], FLOOR),
    flat(venue.levels.flatMap(levelFaces), LEVEL),
    lines(floorLines(venue), LINE),
    lines(openingLines(venue), EDGE),
    flat(prisms.flatMap(facesOf), SET),
    lines(prisms.flatMap(prismLines), EDGE),
    hangTubes(show),
    targetMarks(show),
    lines(surveyCrosses(show), TARGET),
  )
  return model
}

/** Frees what a model holds on the graphics side. */
export function disposeModel(model: Object3D): void {
  model.traverse((part) => {
    if (part instanceof Mesh || part instanceof LineSegments) {
      part.geometry.dispose()
      const material: Material | Material[] = part.material
      for (const one of Array.isArray(material) ? material : [material]) one.dispose()
    }
    if (part instanceof InstancedMesh) part.dispose()
  })
}

function sun(): DirectionalLight {
  const light = new DirectionalLight('#cfe0dd', 0.5)
  light.position.set(-4, -12, 14)
  return light
}

function floorFace({ outline }: Venue): Face {
  return { corners: outline.map((p) => vec3(p.x, p.y, 0)), normal: vec3(0, 0, 1) }
}

/** The top of a level and the fascia down to the floor. */
function levelFaces(level: Venue['levels'][number]): Face[] {
  const top = level.outline.map((p) => vec3(p.x, p.y, heightOf(level, p)))
  const fascia = top.map((p, i): Face => {
    const next = top[(i + 1) % top.length] ?? p
    return {
      corners: [{ ...p, z: 0 }, { ...next, z: 0 }, next, p],
      normal: normalise(vec3(next.y - p.y, p.x - next.x, 0)),
    }
  })
  return [{ corners: top, normal: vec3(0, 0, 1) }, ...fascia]
}

/** Corners of triangles that fill a flat face; its outline may be bent inwards. */
export function triangles(corners: readonly Vec3[], normal: Vec3): Vec3[] {
  const flatten = flattening(normal)
  const found = ShapeUtils.triangulateShape(corners.map(flatten), [])
  return found.flatMap((triple) => triple.flatMap((index) => corners[index] ?? []))
}

/** Drops the coordinate a face is most square to, so that no two corners fall together. */
function flattening({ x, y, z }: Vec3): (p: Vec3) => Vector2 {
  const [ax, ay, az] = [Math.abs(x), Math.abs(y), Math.abs(z)]
  if (az >= ax && az >= ay) return (p) => new Vector2(p.x, p.y)
  return ax >= ay ? (p) => new Vector2(p.y, p.z) : (p) => new Vector2(p.x, p.z)
}

function flat(faces: readonly Face[], colour: string): Mesh {
  const corners: number[] = []
  const normals: number[] = []
  for (const face of faces)
    for (const p of triangles(face.corners, face.normal)) {
      corners.push(p.x, p.y, p.z)
      normals.push(face.normal.x, face.normal.y, face.normal.z)
    }
  const geometry = new BufferGeometry()
  geometry.setAttribute('position', new Float32BufferAttribute(corners, 3))
  geometry.setAttribute('normal', new Float32BufferAttribute(normals, 3))
  return new Mesh(
    geometry,
    new MeshLambertMaterial({
      color: colour,
      side: DoubleSide,
      polygonOffset: true,
      polygonOffsetFactor: 1,
      polygonOffsetUnits: 1,
    }),
  )
}

/** Lines between pairs of points. */
export function lines(points: readonly Vec3[], colour: string, opacity = 0.55): LineSegments {
  const geometry = new BufferGeometry()
  geometry.setAttribute(
    'position',
    new Float32BufferAttribute(
      points.flatMap(({ x, y, z }) => [x, y, z]),
      3,
    ),
  )
  const drawn = new LineSegments(geometry, new LineBasicMaterial({ color: colour, transparent: true, opacity }))
  drawn.layers.set(LAYERS.lines)
  return drawn
}

function ringLines(corners: readonly Vec3[]): Vec3[] {
  return corners.flatMap((p, i) => [p, corners[(i + 1) % corners.length] ?? p])
}

/** Edges of a prism: its rims, and its uprights where it has few. */
function prismLines({ outline, bottom, top }: Pick<PlacedPrism, 'outline' | 'bottom' | 'top'>): Vec3[] {
  const at = (z: number) => outline.map((p) => vec3(p.x, p.y, z))
  const uprights = outline.length > 12 ? [] : outline.flatMap((p) => [vec3(p.x, p.y, bottom), vec3(p.x, p.y, top)])
  return [...ringLines(at(top)), ...ringLines(at(bottom)), ...uprights]
}

/** The stage's edge, the centre line and the setting line. */
function floorLines({ outline, opening, keepClear }: Venue): Vec3[] {
  const lift = 0.01
  const ring = (points: readonly { x: number; y: number }[]) => ringLines(points.map((p) => vec3(p.x, p.y, lift)))
  const half = opening.width / 2
  return [
    ...ring(outline),
    ...keepClear.flatMap((zone) => prismLines({ outline: zone.outline, bottom: lift, top: zoneFrom(zone).height })),
    vec3(0, -6, lift),
    vec3(0, opening.depth, lift),
    vec3(-half - 2, 0, lift),
    vec3(half + 2, 0, lift),
  ]
}

function openingLines({ opening: { width, height } }: Venue): Vec3[] {
  const half = width / 2
  const frame = [vec3(-half, 0, 0), vec3(-half, 0, height), vec3(half, 0, height), vec3(half, 0, 0)]
  return frame.slice(0, -1).flatMap((p, i) => [p, frame[i + 1] ?? p])
}

const TUBE = 0.025
const UP = new Vector3(0, 1, 0)

/** A matrix that lays a cylinder of height 1, upright on y, from one point to another. */
export function stretched(from: Vec3, to: Vec3, radius: number): Matrix4 {
  const along = subtract(to, from)
  const middle = add(from, scale(along, 0.5))
  const far = length(along)
  const way = new Vector3(along.x, along.y, along.z).divideScalar(far || 1)
  return new Matrix4().compose(
    new Vector3(middle.x, middle.y, middle.z),
    new Quaternion().setFromUnitVectors(UP, way),
    new Vector3(radius, far, radius),
  )
}

function hangTubes(show: Show): InstancedMesh {
  const hangs = hangsOf(show)
  const mesh = new InstancedMesh(
    new CylinderGeometry(1, 1, 1, 8),
    new MeshLambertMaterial({ color: HANG }),
    hangs.length,
  )
  hangs.forEach(({ place }, i) => {
    const half = scale(hangDirection(place), place.length / 2)
    mesh.setMatrixAt(i, stretched(subtract(place.origin, half), add(place.origin, half), TUBE))
  })
  return mesh
}

/** Half as long as a cross is, metres, and how far it lies over its place so that it is seen. */
const CROSS = 0.3
const OVER = 0.012

/** Crosses at the places that were measured, as they are taped to the floor. */
function surveyCrosses(show: Show): Vec3[] {
  return [...targetsOf(show).values()]
    .filter(({ id }) => isSurveyed(show, id))
    .flatMap((placed) => {
      const at = add(pointOn(placed, null), vec3(0, 0, OVER))
      const arms = [vec3(CROSS, CROSS, 0), vec3(CROSS, -CROSS, 0)]
      return arms.flatMap((arm) => [add(at, arm), subtract(at, arm)])
    })
}

function targetMarks(show: Show): InstancedMesh {
  const targets = [...targetsOf(show).values()]
  const material = new MeshLambertMaterial({ color: TARGET, emissive: TARGET, emissiveIntensity: 0.5 })
  const mesh = new InstancedMesh(new OctahedronGeometry(0.09), material, targets.length)
  targets.forEach((placed, i) => {
    const { x, y, z } = pointOn(placed, null)
    mesh.setMatrixAt(i, new Matrix4().makeTranslation(x, y, z))
  })
  return mesh
}
