/** What is used of a DXF file, as it was parsed: entities, blocks and units. Lengths in the file's own unit. */
import { z } from 'zod'

const number = z.number().catch(0)
const point = z.object({ x: number, y: number, z: number.default(0) })
const way = z.number().optional()
/** The parser ends some lists of corners with an empty one. */
const corners = z
  .array(
    z
      .object({ x: z.number(), y: z.number(), z: number.default(0) })
      .nullable()
      .catch(null),
  )
  .transform((all) => all.filter((corner) => corner !== null))
const own = { layer: z.string().catch('0') }

const face = z.object({ ...own, type: z.literal('3DFACE'), vertices: corners })
const solid = z.object({
  ...own,
  type: z.literal('SOLID'),
  points: corners,
  extrusionDirection: point.optional(),
})
const light = z.object({
  ...own,
  type: z.literal('LWPOLYLINE'),
  vertices: z.array(z.object({ x: number, y: number, bulge: number.default(0) })),
  elevation: number.default(0),
  depth: number.default(0),
  shape: z.boolean().catch(false),
  extrusionDirectionX: way,
  extrusionDirectionY: way,
  extrusionDirectionZ: way,
})
const vertex = point.extend({
  bulge: number.default(0),
  faceA: way,
  faceB: way,
  faceC: way,
  faceD: way,
})
const poly = z.object({
  ...own,
  type: z.literal('POLYLINE'),
  vertices: z.array(vertex),
  thickness: number.default(0),
  shape: z.boolean().catch(false),
  is3dPolyline: z.boolean().catch(false),
  is3dPolygonMesh: z.boolean().catch(false),
  isPolyfaceMesh: z.boolean().catch(false),
  extrusionDirection: point.optional(),
})
const circle = z.object({ ...own, type: z.literal('CIRCLE'), center: point, radius: number })
const line = z.object({ ...own, type: z.literal('LINE'), vertices: corners })
const arc = z.object({
  ...own,
  type: z.literal('ARC'),
  center: point,
  radius: number,
  startAngle: number,
  endAngle: number,
  extrusionDirectionX: way,
  extrusionDirectionY: way,
  extrusionDirectionZ: way,
})
const ellipse = z.object({
  ...own,
  type: z.literal('ELLIPSE'),
  center: point,
  majorAxisEndPoint: point,
  axisRatio: number,
  startAngle: number.default(0),
  endAngle: number.default(2 * Math.PI),
})
const spline = z.object({
  ...own,
  type: z.literal('SPLINE'),
  controlPoints: corners.catch([]),
  fitPoints: corners.catch([]),
  knotValues: z.array(number).catch([]),
  degreeOfSplineCurve: number,
})
const insert = z.object({
  ...own,
  type: z.literal('INSERT'),
  name: z.string(),
  position: point,
  xScale: number.default(1),
  yScale: number.default(1),
  zScale: number.default(1),
  rotation: number.default(0),
  columnCount: number.default(1),
  rowCount: number.default(1),
  columnSpacing: number.default(0),
  rowSpacing: number.default(0),
  extrusionDirection: point.optional(),
})
/** Letters, measures and all else. */
const other = z.object({ ...own, type: z.string() })

export const dxfEntity = z.union([face, solid, light, poly, circle, line, arc, ellipse, spline, insert, other])
export type DxfEntity = z.infer<typeof dxfEntity>
export type DxfInsert = z.infer<typeof insert>
export type DxfBody = z.infer<typeof face | typeof solid | typeof light | typeof poly | typeof circle>

export const dxfDocument = z.object({
  header: z.record(z.string(), z.unknown()).catch({}),
  blocks: z
    .record(
      z.string(),
      z.object({ position: point.catch({ x: 0, y: 0, z: 0 }), entities: z.array(dxfEntity).catch([]) }),
    )
    .catch({}),
  entities: z.array(dxfEntity),
})
export type DxfDocument = z.infer<typeof dxfDocument>
