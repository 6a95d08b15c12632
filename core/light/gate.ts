/** What stands in the light on its way through a head. */
import { polygonArea } from 'd3-polygon'
import type { BladeSide } from '../attributes/catalogue'
import { turnPoint, type GatePoint, type GateRing } from './gatePoint'
import type { GoboPattern } from './goboOpenings'

/** An angle it stands at, and how fast it goes on turning from there. */
export interface Turn {
  readonly degrees: number
  readonly rpm: number
}

export interface Blade {
  readonly side: BladeSide
  /** From 0, at the rim, to 1, at the rim across. */
  readonly depth: number
  readonly angle: number
}

export interface Prism {
  readonly facets: number
  /** From 0 to 1; in the middle of its way the pools stand round the axis. */
  readonly place: number
  readonly turn: Turn
}

export interface LightShape {
  /** From 0, as narrow as it goes, to 1, open. */
  readonly iris: number
  /** From 0, hard, to 1. */
  readonly softness: number
  readonly blades: readonly Blade[]
  readonly frameTurn: number
  readonly gobos: readonly { readonly pattern: GoboPattern; readonly turn: Turn }[]
  readonly prism: Prism | null
  /** Flashes a second; 0 is none. */
  readonly strobe: number
}

export const STANDING: Turn = { degrees: 0, rpm: 0 }
/** Light with nothing in it. */
export const PLAIN_LIGHT: LightShape = {
  iris: 1,
  softness: 0,
  blades: [],
  frameTurn: 0,
  gobos: [],
  prism: null,
  strobe: 0,
}

/** The angle something stands at after some seconds; a turn a minute is six degrees a second. */
export function turnedBy({ degrees, rpm }: Turn, seconds: number): number {
  return degrees + ((rpm * 6 * seconds) % 360)
}

/** Whether anything in the light goes on turning. */
export function isTurning({ gobos, prism }: LightShape): boolean {
  return gobos.some(({ turn }) => turn.rpm !== 0) || (prism !== null && prism.turn.rpm !== 0)
}

/** How wide the narrowest iris leaves the light. */
const IRIS_CLOSED = 0.1
/** The radius that the iris leaves open. */
export const irisRadius = ({ iris }: LightShape) => IRIS_CLOSED + (1 - IRIS_CLOSED) * iris

/** The edge of a blade: light passes where `normal · point ≤ reach`. */
export interface BladeEdge {
  readonly normal: GatePoint
  readonly reach: number
}
/** From the middle to where a blade comes in. */
export const OUTWARD: Readonly<Record<BladeSide, GatePoint>> = {
  top: [0, 1],
  right: [1, 0],
  bottom: [0, -1],
  left: [-1, 0],
}

/** The middle of a blade's edge while the frame is not turned. */
export function bladeMiddle(side: BladeSide, depth: number): GatePoint {
  const [x, y] = OUTWARD[side]
  return [x * (1 - 2 * depth), y * (1 - 2 * depth)]
}

/** The edges of the blades that are in. A blade turns about the middle of its edge, the frame with all of them. */
export function bladeEdges({ blades, frameTurn }: LightShape): BladeEdge[] {
  return blades.map(({ side, depth, angle }) => {
    const middle = bladeMiddle(side, depth)
    const normal = turnPoint(OUTWARD[side], angle)
    return { normal: turnPoint(normal, frameTurn), reach: normal[0] * middle[0] + normal[1] * middle[1] }
  })
}

/** Openings smaller than this, of the rim's radius squared, let nothing through. */
const NOTHING_LEFT = 1e-6
/** Corners a round opening is drawn with. */
const CORNERS = 48

/** What iris and blades leave open, as a convex ring; empty where they leave nothing. */
export function openingOf(shape: LightShape): GateRing {
  const radius = irisRadius(shape)
  const round = Array.from({ length: CORNERS }, (_, i): GatePoint => {
    const angle = (i / CORNERS) * 2 * Math.PI
    return [radius * Math.cos(angle), radius * Math.sin(angle)]
  })
  const left = bladeEdges(shape).reduce(cutBy, round)
  return Math.abs(polygonArea(left.map(([x, y]) => [x, y]))) > NOTHING_LEFT ? left : []
}

/** The part of a ring a blade leaves (Sutherland and Hodgman). */
export function cutBy(ring: GateRing, { normal, reach }: BladeEdge): GateRing {
  const depths = ring.map(([x, y]) => reach - normal[0] * x - normal[1] * y)
  return ring.flatMap((point, i) => {
    const next = (i + 1) % ring.length
    const to = ring[next] ?? point
    const [a, b] = [depths[i] ?? 0, depths[next] ?? 0]
    const kept = a >= 0 ? [point] : []
    if (a >= 0 === b >= 0) return kept
    const part = a / (a - b)
    return [...kept, [point[0] + (to[0] - point[0]) * part, point[1] + (to[1] - point[1]) * part] as const]
  })
}

/** How far from the axis a prism throws each of its pools, and how many of them are shown at most. */
export const PRISM_SPREAD = 0.7
export const MOST_POOLS = 12

/** Where the middles of the pools stand: one on the axis, or one for each facet of a prism round it. */
export function poolOffsets({ prism }: LightShape, seconds = 0): GateRing {
  if (!prism) return [[0, 0]]
  const turn = turnedBy(prism.turn, seconds)
  const aside = (prism.place - 0.5) * 2 * PRISM_SPREAD
  const count = Math.min(prism.facets, MOST_POOLS)
  return Array.from({ length: count }, (_, i) => {
    const angle = (i / count) * 360
    const [x, y] = turnPoint([0, PRISM_SPREAD], angle)
    return turnPoint([x + aside, y], turn)
  })
}

/** How far from the axis any light goes, the rim of a plain beam being 1. */
export function widestOf(shape: LightShape): number {
  return irisRadius(shape) + Math.max(...poolOffsets(shape).map(([x, y]) => Math.hypot(x, y)))
}
