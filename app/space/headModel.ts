/**
 * The fixtures as bodies: a base at the mounting and a head that looks along its beam, of a bar one
 * long base with a short head for each cell. One draw call each.
 */
import {
  BoxGeometry,
  Color,
  CylinderGeometry,
  InstancedMesh,
  Matrix4,
  MeshLambertMaterial,
  Vector3,
  type Object3D,
} from 'three'
import type { StageFixture } from '#core/cues/onStage'
import { add, scale, subtract } from '#core/geometry/vector'
import type { FixtureType } from '#core/show/entities'
import type { FixtureId } from '#core/show/ids'
import { stretched } from './stageModel'

const IDLE = new Color('#7b8f8c')
const CHOSEN = new Color('#ff8364')
/** Metres: the length of a head behind its lens, how thick it is, and the size of a base. */
const HEAD = { length: 0.34, radius: 0.11 }
const BASE = 0.24

export interface HeadModel {
  readonly heads: InstancedMesh
  readonly bases: InstancedMesh
  /** The fixture an instance of either stands for. */
  fixtureOf(mesh: Object3D, instance: number): FixtureId | null
}

/** How far a cell stands out of its bar, metres, and the part of its place that it takes. */
const CELL = { length: 0.06, part: 0.42 }

export function headModel(fixtures: readonly StageFixture[], chosen: ReadonlySet<FixtureId>): HeadModel {
  const shining = fixtures.filter(({ rigged }) => rigged.cells.length === 0)
  const hanging = fixtures.filter(({ rigged }) => rigged.bar === null)
  const heads = new InstancedMesh(new CylinderGeometry(1, 0.8, 1, 14), new MeshLambertMaterial(), shining.length)
  const bases = new InstancedMesh(new BoxGeometry(BASE, BASE, BASE / 3), new MeshLambertMaterial(), hanging.length)
  const colourOf = ({ rigged }: StageFixture) => (chosen.has(rigged.id) ? CHOSEN : IDLE)
  shining.forEach((fixture, i) => {
    const { beam, rigged } = fixture
    const { length, radius } = rigged.bar ? cellSize(rigged.type) : HEAD
    const back = subtract(beam.lens, scale(beam.direction, length))
    heads.setMatrixAt(i, stretched(back, beam.lens, radius))
    heads.setColorAt(i, colourOf(fixture))
  })
  hanging.forEach((fixture, i) => {
    bases.setMatrixAt(i, baseMatrix(fixture.rigged))
    bases.setColorAt(i, colourOf(fixture))
  })
  return {
    heads,
    bases,
    fixtureOf: (mesh, instance) => (mesh === heads ? shining : hanging)[instance]?.rigged.id ?? null,
  }
}

function cellSize({ cells }: FixtureType): typeof HEAD {
  return { length: CELL.length, radius: Math.min(HEAD.radius, (cells?.pitch ?? 0) * CELL.part) }
}

/** A base between its pivot and its mounting, turned as the fixture is. */
function baseMatrix({ mount, type }: StageFixture['rigged']): Matrix4 {
  const { rotation: r, pivot, head } = mount
  const up = { x: r.xz, y: r.yz, z: r.zz }
  const at = add(pivot, scale(up, head.pivotDrop * 0.7))
  const long = type.cells ? (type.cells.count * type.cells.pitch) / BASE : 1
  return new Matrix4()
    .makeBasis(
      new Vector3(r.xx, r.yx, r.zx).multiplyScalar(long),
      new Vector3(r.xy, r.yy, r.zy),
      new Vector3(up.x, up.y, up.z),
    )
    .setPosition(at.x, at.y, at.z)
}
