/** A stage picture on its way to another. */
import { LEADING } from '../attributes/catalogue'
import { beamAt, type Beam } from '../kinematics/forward'
import type { Pose } from '../kinematics/head'
import { solveAim } from '../kinematics/inverse'
import { poolDiameter } from '../light/zoom'
import { solveZoom, type SolvedPosition, type SolvedZoom } from '../palettes/solve'
import { add, pointBetween, scale, type Vec3 } from '../geometry/vector'
import type { Attribute } from '../attributes/attribute'
import { interpolate } from '../attributes/between'
import { colourBetween, type ColourFade } from '../show/colours'
import { amountsBetween } from '../show/lightShape'
import { landingOn } from '../venue/landing'
import type { Surfaces } from '../venue/surfaces'
import { overAxis, pointOverAxis, type OverAxis } from './overAxis'
import type { StageFixture } from './onStage'
import type { Travel } from './travel'

/** How far each attribute has come, 0 to 1. */
export type Progress = (attribute: Attribute) => number

/**
 * A fixture part of the way: levels in step, colours as the show has them go over, and its light by angle, every axis in step as motors
 * go by themselves, or straight, the place lit running a straight line on the stage. Straight is
 * for heads that end the way round they began, or pass their own pan axis; others go by angle. What it is set to is already
 * the end.
 */
export function fadedTo(
  from: StageFixture,
  to: StageFixture,
  progress: Progress,
  surfaces: Surfaces,
  travel: Travel = 'angle',
  colours: ColourFade = 'by look',
): StageFixture {
  const position = positionOnWay(from, to, progress(LEADING.place), surfaces, travel)
  return {
    ...to,
    beam: position.beam,
    position: position.solved,
    zoom: zoomOnWay(from, to, progress(LEADING.width), position.solved),
    intensity: interpolate(from.intensity, to.intensity, progress(LEADING.light)),
    seen: interpolate(from.seen, to.seen, progress(LEADING.light)),
    colour: colourBetween(to.rigged.type, from.colour, to.colour, progress(LEADING.colour), colours),
    colourSlot: progress(LEADING.glass) > 0 ? to.colourSlot : from.colourSlot,
    amounts: amountsBetween(to.rigged.type, from.amounts, to.amounts, progress),
  }
}

/** A pool asked for is as large as asked all the way, however far the light goes meanwhile; else the angle runs. */
export function zoomOnWay(from: StageFixture, to: StageFixture, t: number, position: SolvedPosition): SolvedZoom {
  if (t >= 1 && position === to.position) return to.zoom
  const { throwMetres } = position
  const areAsked = from.zoomValue?.kind === 'pool' && to.zoomValue?.kind === 'pool'
  if (areAsked && from.zoom.pool !== null && to.zoom.pool !== null && throwMetres !== null) {
    const diameter = interpolate(from.zoom.pool, to.zoom.pool, t)
    return solveZoom(to.rigged, { kind: 'pool', diameter }, throwMetres)
  }
  const angle = interpolate(from.zoom.angle, to.zoom.angle, t)
  return { ...to.zoom, angle, pool: throwMetres === null ? null : poolDiameter(throwMetres, angle) }
}

export interface PositionOnTheWay {
  readonly solved: SolvedPosition
  readonly beam: Beam
}

/** Where a head points part of the way, 0 to 1, and its beam. */
export function positionOnWay(
  from: StageFixture,
  to: StageFixture,
  t: number,
  surfaces: Surfaces,
  travel: Travel,
): PositionOnTheWay {
  if (t >= 1 || from.position === to.position) return { solved: to.position, beam: to.beam }
  const byAngle = {
    pan: interpolate(from.position.pose.pan, to.position.pose.pan, t),
    tilt: interpolate(from.position.pose.tilt, to.position.pose.tilt, t),
  }
  const line = travel === 'straight' ? lineBetween(from, to) : null
  if (line) return straight(from, to, line, t, byAngle)
  const beam = beamAt(to.rigged.mount, byAngle)
  const throws = [from.position.throwMetres, to.position.throwMetres] as const
  if (throws[0] === null || throws[1] === null) {
    const landing = landingOn(surfaces, beam)
    const found = { point: landing?.point ?? null, throwMetres: landing?.distance ?? null }
    return { solved: { ...to.position, pose: byAngle, ...found }, beam }
  }
  const throwMetres = interpolate(throws[0], throws[1], t)
  const point = add(beam.lens, scale(beam.direction, throwMetres))
  return { solved: { ...to.position, pose: byAngle, point, throwMetres }, beam }
}

type Line = readonly [begin: Vec3, end: Vec3]

/** The line that light runs straight, from end to end; null where it goes by angle all the same. */
export function lineBetween(from: StageFixture, to: StageFixture): Line | null {
  const [begin, end] = [placeOn(from, to), placeOn(to, from)]
  if (!begin || !end) return null
  return from.position.side === to.position.side || axisPassed(from, to, [begin, end]) ? [begin, end] : null
}

/** Where the light of a head that ends the other way round runs over its pan axis. */
function axisPassed(from: StageFixture, to: StageFixture, line: Line): OverAxis | null {
  return overAxis(to.rigged.mount, line, [from.position.pose, to.position.pose])
}

/** Metres. Light that lands further off, as that of a head near level does, is on no stage. */
const LONGEST_THROW = 100

/** The place a straight way begins or ends at: where the light lands, or as far along it as the other end is. */
function placeOn({ position, beam }: StageFixture, other: StageFixture): Vec3 | null {
  const { point, throwMetres } = position
  if (point && throwMetres !== null && throwMetres <= LONGEST_THROW) return point
  const reach = other.position.throwMetres
  return reach === null || reach > LONGEST_THROW ? null : add(beam.lens, scale(beam.direction, reach))
}

/** At a place between; the turn of the pan nearest to where it would be by angle keeps it continuous. */
function straight(from: StageFixture, to: StageFixture, line: Line, t: number, reference: Pose): PositionOnTheWay {
  const { mount } = to.rigged
  const over = from.position.side === to.position.side ? null : axisPassed(from, to, line)
  const point = over ? pointOverAxis(line, over, t) : pointBetween(...line, t)
  const side = over && t >= over.t ? to.position.side : from.position.side
  const solved = solveAim(mount, point, { reference, side })
  const pose = { pan: solved.pan, tilt: solved.tilt }
  return { solved: { ...to.position, pose, point, throwMetres: solved.throwMetres }, beam: beamAt(mount, pose) }
}
