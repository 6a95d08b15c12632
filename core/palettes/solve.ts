/** From stored values to light: pose, throw, zoom and pool of a fixture. */
import { LEADING } from '../attributes/catalogue'
import type { Vec3 } from '../geometry/vector'
import { beamAt } from '../kinematics/forward'
import type { Mount, Pose } from '../kinematics/head'
import { solveAim } from '../kinematics/inverse'
import type { Choice, Side } from '../kinematics/solved'
import { rangeOf } from '../show/attributeRange'
import { poolDiameter, zoomForPool } from '../light/zoom'
import type { RiggedFixture } from '../show/rig'
import { anglesIn } from '../show/perVenue'
import { aimPoint, type Targets } from '../show/targets'
import type { AimValue, PlainValue } from '../show/values'
import { landingOn } from '../venue/landing'
import type { Surfaces } from '../venue/surfaces'

/**
 * Where a position value takes a fixture. `point` is the place aimed at, or where raw angles land
 * on the floor, a level or the set; null when they land nowhere. `state` says in words what the number alone would hide.
 */
export interface SolvedPosition {
  readonly pose: Pose
  readonly side: Side
  readonly point: Vec3 | null
  readonly throwMetres: number | null
  readonly state: 'reached' | 'out of reach' | 'other side' | 'angles' | 'outside stops' | 'no place here' | 'resting'
  readonly shortDegrees: number
  readonly missMetres: number
}

/** Solves an aim or angles for a mounted head. `reference` matters to aims without a stored choice. */
export function solvePosition(
  mount: Mount,
  { targets, surfaces }: { readonly targets: Targets; readonly surfaces: Surfaces },
  value: PlainValue | null,
  reference: Pose,
): SolvedPosition {
  if (value?.kind === 'angles') return fromAngles(mount, surfaces, anglesIn(value, targets.venue), 'angles')
  if (value?.kind !== 'aim') return fromAngles(mount, surfaces, nearestToHome(mount), 'resting')
  const point = aimPoint(targets, value)
  if (point === null) return fromAngles(mount, surfaces, nearestToHome(mount), 'no place here')
  return fromAim(mount, value, point, reference)
}

/** The pose alone, which does not depend on what light lands on. */
export function solvePose(mount: Mount, targets: Targets, value: PlainValue | null, reference: Pose): Pose {
  if (value?.kind === 'angles') return anglesIn(value, targets.venue)
  const point = value?.kind === 'aim' ? aimPoint(targets, value) : null
  if (value?.kind !== 'aim' || point === null) return nearestToHome(mount)
  return fromAim(mount, value, point, reference).pose
}

/** Whether which way round a value turns a head goes by where the head was. */
export function isTurnedNearest(value: PlainValue | null): boolean {
  return value?.kind === 'aim' && value.choice === null
}

function fromAim(mount: Mount, aim: AimValue, point: Vec3, reference: Pose): SolvedPosition {
  const choice: Choice =
    aim.choice === null
      ? { reference }
      : { reference: { pan: aim.choice.pan, tilt: 0 }, side: aim.choice.side, turn: aim.choice.pan }
  const solved = solveAim(mount, point, choice)
  const turned = aim.choice !== null && aim.choice.side !== solved.side
  return {
    pose: solved,
    side: solved.side,
    point,
    throwMetres: solved.throwMetres,
    state: solved.reachable ? (turned ? 'other side' : 'reached') : 'out of reach',
    shortDegrees: solved.reachable ? 0 : solved.shortDegrees,
    missMetres: solved.reachable ? 0 : solved.missMetres,
  }
}

/** A place may be named inside a kilometre. */
const FURTHEST = 1000

/** The place lit, free of any target and turned as it is; null for light that lands nowhere, or too far to be a place. */
export function freeAim({ point, side, pose }: SolvedPosition): AimValue | null {
  if (!point || Math.max(Math.abs(point.x), Math.abs(point.y), Math.abs(point.z)) > FURTHEST) return null
  return { kind: 'aim', target: null, at: null, offset: point, choice: { side, pan: pose.pan } }
}

function fromAngles(
  mount: Mount,
  surfaces: Surfaces,
  pose: Pose,
  state: 'angles' | 'resting' | 'no place here',
): SolvedPosition {
  const { pan, tilt } = mount.head
  const landing = landingOn(surfaces, beamAt(mount, pose))
  const isInside = pose.pan >= pan.min && pose.pan <= pan.max && pose.tilt >= tilt.min && pose.tilt <= tilt.max
  return {
    pose,
    side: pose.tilt < 0 ? 'negative' : 'positive',
    point: landing?.point ?? null,
    throwMetres: landing?.distance ?? null,
    state: isInside ? state : 'outside stops',
    shortDegrees: 0,
    missMetres: 0,
  }
}

/** Pan and tilt 0, or the nearest the stops allow. */
export function nearestToHome(mount: Mount): Pose {
  const { pan, tilt } = mount.head
  return {
    pan: Math.min(pan.max, Math.max(pan.min, 0)),
    tilt: Math.min(tilt.max, Math.max(tilt.min, 0)),
  }
}

/** A fixture's zoom: full angle in degrees, the pool across the beam, and whether the range gives it. */
export interface SolvedZoom {
  readonly angle: number
  readonly pool: number | null
  readonly fits: boolean
}

/** Solves a zoom value: an angle, or the angle that makes a pool of a given diameter at the throw. */
export function solveZoom(rigged: RiggedFixture, value: PlainValue | null, throwMetres: number | null): SolvedZoom {
  const range = rangeOf(rigged.type, LEADING.width)
  const resting = range.home
  if (value?.kind === 'pool') {
    if (throwMetres === null) return { angle: resting, pool: null, fits: false }
    const zoom = zoomForPool(value.diameter, throwMetres, range)
    return { angle: zoom.angle, pool: zoom.diameter, fits: zoom.fits }
  }
  const asked = value?.kind === 'number' ? value.number : resting
  const angle = Math.min(range.max, Math.max(range.min, asked))
  return { angle, pool: throwMetres === null ? null : poolDiameter(throwMetres, angle), fits: angle === asked }
}
