/** The fixtures as bodies: a base at the mounting and a head that looks along its beam. One draw call each. */
import { BoxGeometry, Color, CylinderGeometry, InstancedMesh, Matrix4, MeshLambertMaterial, Vector3 } from 'three'
import type { StageFixture } from '#core/cues/onStage'
import { add, scale, subtract } from '#core/geometry/vector'
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
  /** The fixture each instance stands for. */
  readonly ids: readonly FixtureId[]
}

export function headModel(fixtures: readonly StageFixture[], chosen: ReadonlySet<FixtureId>): HeadModel {
  const heads = new InstancedMesh(new CylinderGeometry(1, 0.8, 1, 14), new MeshLambertMaterial(), fixtures.length)
  const bases = new InstancedMesh(new BoxGeometry(BASE, BASE, BASE / 3), new MeshLambertMaterial(), fixtures.length)
  fixtures.forEach(({ beam, rigged }, i) => {
    const back = subtract(beam.lens, scale(beam.direction, HEAD.length))
    const colour = chosen.has(rigged.id) ? CHOSEN : IDLE
    heads.setMatrixAt(i, stretched(back, beam.lens, HEAD.radius))
    heads.setColorAt(i, colour)
    bases.setMatrixAt(i, baseMatrix(rigged))
    bases.setColorAt(i, colour)
  })
  return { heads, bases, ids: fixtures.map(({ rigged }) => rigged.id) }
}

/** A base between its pivot and its mounting, turned as the fixture is. */
function baseMatrix({ mount }: StageFixture['rigged']): Matrix4 {
  const { rotation: r, pivot, head } = mount
  const up = { x: r.xz, y: r.yz, z: r.zz }
  const at = add(pivot, scale(up, head.pivotDrop * 0.7))
  return new Matrix4()
    .makeBasis(new Vector3(r.xx, r.yx, r.zx), new Vector3(r.xy, r.yy, r.zy), new Vector3(up.x, up.y, up.z))
    .setPosition(at.x, at.y, at.z)
}
