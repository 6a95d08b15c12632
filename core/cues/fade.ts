/** A stage picture on its way to another. */
import { beamAt } from '../kinematics/forward'
import { poolDiameter } from '../light/zoom'
import { landing } from '../palettes/solve'
import { add, scale } from '../geometry/vector'
import type { StageFixture } from './onStage'

const mix = (from: number, to: number, t: number) => from + (to - from) * t

/**
 * A fixture part of the way, `t` from 0 to 1: every axis and level in step, as motors and dimmers go
 * by themselves. What it is set to is already the end.
 */
export function fadedTo(from: StageFixture, to: StageFixture, t: number): StageFixture {
  if (t >= 1) return to
  const pose = {
    pan: mix(from.position.pose.pan, to.position.pose.pan, t),
    tilt: mix(from.position.pose.tilt, to.position.pose.tilt, t),
  }
  const beam = beamAt(to.rigged.mount, pose)
  const angle = mix(from.zoom.angle, to.zoom.angle, t)
  const ends = [from.position.throwMetres, to.position.throwMetres] as const
  const throwMetres = ends[0] === null || ends[1] === null ? null : mix(ends[0], ends[1], t)
  const point = throwMetres === null ? landing(beam) : add(beam.lens, scale(beam.direction, throwMetres))
  return {
    ...to,
    beam,
    position: { ...to.position, pose, point, throwMetres },
    zoom: { ...to.zoom, angle, pool: throwMetres === null ? null : poolDiameter(throwMetres, angle) },
    intensity: mix(from.intensity, to.intensity, t),
    seen: mix(from.seen, to.seen, t),
    colour: {
      red: mix(from.colour.red, to.colour.red, t),
      green: mix(from.colour.green, to.colour.green, t),
      blue: mix(from.colour.blue, to.colour.blue, t),
    },
  }
}
