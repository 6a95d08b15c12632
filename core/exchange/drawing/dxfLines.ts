/** What a DXF file draws as lines: they are traced on, and no bodies. */
import { scale, vec3, type Vec3 } from '../../geometry/vector'
import { arcOf, curvedLine, splineOf } from './curves'
import type { DxfEntity } from './dxfDocument'
import { alongWay } from './ownFrame'

/** The corners of a line, an arc or a curve; null for what is none, letters say. */
export function dxfLine(entity: DxfEntity): Vec3[] | null {
  const points = pointsOf(entity)
  return points && points.length > 1 ? points : null
}

function pointsOf(entity: DxfEntity): Vec3[] | null {
  if ('startAngle' in entity && 'radius' in entity) {
    const { extrusionDirectionX: x = 0, extrusionDirectionY: y = 0, extrusionDirectionZ: z = 1 } = entity
    const long = vec3(entity.radius, 0, 0)
    return arcOf(entity.center, long, 1, entity.startAngle, entity.endAngle).map(alongWay({ x, y, z }))
  }
  if ('axisRatio' in entity)
    return arcOf(entity.center, entity.majorAxisEndPoint, entity.axisRatio, entity.startAngle, entity.endAngle)
  if ('controlPoints' in entity)
    return splineOf(entity.controlPoints, entity.degreeOfSplineCurve, entity.knotValues) ?? entity.fitPoints
  if (!('vertices' in entity)) return null
  return linePoints(entity)
}

function linePoints(entity: Extract<DxfEntity, { vertices: unknown }>): Vec3[] | null {
  if ('depth' in entity) {
    const { extrusionDirectionX: x = 0, extrusionDirectionY: y = 0, extrusionDirectionZ: z = 1, elevation } = entity
    return curvedLine(entity.vertices.map((corner) => ({ ...corner, z: elevation }))).map(alongWay({ x, y, z }))
  }
  if ('thickness' in entity) return curvedLine(entity.vertices).map(alongWay(entity.extrusionDirection))
  return entity.vertices.map((corner) => scale(corner, 1))
}
