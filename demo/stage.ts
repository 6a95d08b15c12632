/** The venues, the set and the places of The Salt Lantern. */
import type { Solid, Venue } from '#core/show/entities'
import type { EntityOf } from '#core/show/kinds'
import { vec3, type Vec3 } from '#core/geometry/vector'

/** Points on a curved stage edge, from stage right to stage left. */
function curvedEdge(halfWidth: number, depth: number, steps = 24): { x: number; y: number }[] {
  return Array.from({ length: steps + 1 }, (_, i) => {
    const x = -halfWidth + (2 * halfWidth * i) / steps
    return { x, y: -depth * (1 - (x / halfWidth) ** 2) }
  })
}

export const harbourHall: Venue = {
  name: 'Harbour Hall',
  outline: [...curvedEdge(7.4, 1.35), { x: 8.8, y: 0 }, { x: 8.8, y: 10 }, { x: -8.8, y: 10 }, { x: -8.8, y: 0 }],
  opening: { width: 14, height: 7, depth: 10 },
  levels: [],
  note: '',
  date: null,
  keepClear: [
    {
      name: 'Front rows',
      outline: [
        ...curvedEdge(7.4, 1.0).map(({ x, y }) => ({ x, y: y - 2.1 })),
        { x: 7.4, y: -4.6 },
        { x: -7.4, y: -4.6 },
      ],
    },
  ],
}

export const quarryPlayhouse: Venue = {
  name: 'Quarry Playhouse',
  outline: [
    { x: -6.7, y: 0 },
    { x: -4.8, y: -1.7 },
    { x: 4.8, y: -1.7 },
    { x: 6.7, y: 0 },
    { x: 8, y: 0 },
    { x: 8, y: 8.8 },
    { x: -8, y: 8.8 },
    { x: -8, y: 0 },
  ],
  opening: { width: 12.5, height: 6.2, depth: 8.8 },
  levels: [],
  note: '',
  date: null,
  keepClear: [
    {
      name: 'Front rows',
      outline: [
        { x: -6.5, y: -2.4 },
        { x: 6.5, y: -2.4 },
        { x: 6.5, y: -4.8 },
        { x: -6.5, y: -4.8 },
      ],
    },
  ],
}

/** A solid that stands on the middle of its piece. */
const seat = { at: { x: 0, y: 0 }, turn: 0, base: 0 }

function box(width: number, depth: number, height: number): Solid {
  return { kind: 'box', ...seat, width, depth, height }
}

/** A rowing boat, bow towards +x. */
const hull: Solid = {
  kind: 'prism',
  ...seat,
  height: 0.65,
  outline: [
    { x: -1.45, y: -0.32 },
    { x: -0.9, y: -0.55 },
    { x: 0.1, y: -0.62 },
    { x: 0.95, y: -0.45 },
    { x: 1.65, y: 0 },
    { x: 0.95, y: 0.45 },
    { x: 0.1, y: 0.62 },
    { x: -0.9, y: 0.55 },
    { x: -1.45, y: 0.32 },
  ],
}

export interface SetPieceAt {
  readonly name: string
  readonly solids: Solid[]
  readonly layer: null
  readonly position: Vec3
  readonly yaw: number
}

export const SET_PIECES: readonly SetPieceAt[] = [
  {
    name: 'Lighthouse',
    layer: null,
    solids: [
      { kind: 'cylinder', ...seat, radius: 1.2, height: 3.1 },
      { kind: 'cylinder', ...seat, base: 3.1, radius: 0.7, height: 1.1 },
    ],
    position: vec3(3.3, 5.25, 0),
    yaw: 0,
  },
  { name: 'Dory', layer: null, solids: [hull], position: vec3(-2.1, 2.5, 0), yaw: 14 },
  { name: 'Jetty', layer: null, solids: [box(2.8, 0.9, 0.45)], position: vec3(1.85, 1.35, 0), yaw: 0 },
  { name: 'Net loft', layer: null, solids: [box(3.1, 0.3, 3.2)], position: vec3(-4.85, 6.4, 0), yaw: 15 },
  { name: 'Tide wall', layer: null, solids: [box(5.2, 0.28, 0.6)], position: vec3(-0.2, 6.5, 0), yaw: 0 },
  {
    name: 'Lamplighter',
    layer: null,
    solids: [{ kind: 'person', ...seat, height: 1.75 }],
    position: vec3(0.9, 3.3, 0),
    yaw: 0,
  },
  {
    name: 'Keeper',
    layer: null,
    solids: [{ kind: 'person', ...seat, height: 1.8 }],
    position: vec3(4.9, 3.3, 0),
    yaw: 0,
  },
  {
    name: 'Net mender',
    layer: null,
    solids: [{ kind: 'person', ...seat, height: 1.65 }],
    position: vec3(-4.7, 4.6, 0),
    yaw: 0,
  },
]

export interface TargetAt {
  readonly name: string
  readonly form: EntityOf['target']['form']
  readonly on: string | null
  readonly position: Vec3
}

const POINT = { kind: 'point' } as const

export const TARGETS: readonly TargetAt[] = [
  { name: 'Dory bow', form: POINT, on: 'Dory', position: vec3(1.25, 0, 0.9) },
  { name: 'Dory stern', form: POINT, on: 'Dory', position: vec3(-1.15, 0, 0.9) },
  { name: 'Around the dory', form: { kind: 'ring', radius: 1.9, stations: 8 }, on: 'Dory', position: vec3(0, 0, 0) },
  { name: 'Lantern gallery', form: POINT, on: 'Lighthouse', position: vec3(0, -0.95, 4.0) },
  { name: 'Lighthouse door', form: POINT, on: 'Lighthouse', position: vec3(-0.5, -1.2, 1.2) },
  { name: 'Jetty end', form: POINT, on: 'Jetty', position: vec3(1.15, 0, 1.6) },
  { name: 'Jetty root', form: POINT, on: 'Jetty', position: vec3(-1.2, 0, 1.6) },
  { name: 'Net loft door', form: POINT, on: 'Net loft', position: vec3(0.3, -0.3, 1.3) },
  {
    name: 'Tide wall',
    form: { kind: 'line', to: vec3(5.0, 0, 0), stations: 6 },
    on: 'Tide wall',
    position: vec3(-2.5, -0.2, 0.9),
  },
  { name: 'Shore mark', form: POINT, on: null, position: vec3(0, 0.45, 0) },
  {
    name: 'Shore line',
    form: { kind: 'line', to: vec3(10.4, 0, 0), stations: 8 },
    on: null,
    position: vec3(-5.2, -0.35, 0),
  },
  { name: 'Keeper’s rail', form: POINT, on: null, position: vec3(4.9, 3.3, 1.5) },
  {
    name: 'Moon path',
    form: { kind: 'line', to: vec3(1.9, -6.2, 0), stations: 0 },
    on: null,
    position: vec3(-1.1, 8.8, 0),
  },
  { name: 'House front', form: POINT, on: null, position: vec3(0, -5.2, 1.2) },
  { name: 'Cross left', form: POINT, on: null, position: vec3(6.3, 1.1, 0) },
  { name: 'Cross right', form: POINT, on: null, position: vec3(-6.3, 1.1, 0) },
  { name: 'Cross upstage', form: POINT, on: null, position: vec3(1.6, 8.6, 0) },
]
/** Those whose places were measured. */
export const SURVEYED = ['Cross left', 'Cross right', 'Cross upstage', 'Jetty end'] as const
