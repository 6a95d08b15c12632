/** Heads whose axes do not stand as they are asked: where their motors take them, and what to ask for to get there. */
import type { Axis, Head, Pose } from './head'

/** `tiltZero` is added to every tilt that is asked for, degrees; an inverted axis runs from the other stop. */
export interface AxesOff {
  readonly tiltZero: number
  readonly isPanInverted: boolean
  readonly isTiltInverted: boolean
}

export const AXES_RIGHT: AxesOff = { tiltZero: 0, isPanInverted: false, isTiltInverted: false }

interface Axes {
  readonly pan: Axis
  readonly tilt: Axis
}

const turned = ({ min, max }: Axis, isInverted: boolean, degrees: number) =>
  isInverted ? min + max - degrees : degrees

/** Where a head's motors take it when it is asked for a pose; `axes` are those of its type. */
export function mechanicalPose(axes: Axes, off: AxesOff, asked: Pose): Pose {
  return {
    pan: turned(axes.pan, off.isPanInverted, asked.pan),
    tilt: turned(axes.tilt, off.isTiltInverted, asked.tilt) + off.tiltZero,
  }
}

/** What a head is to be asked for so that its motors take it to a pose: the other way about. */
export function askedPose(axes: Axes, off: AxesOff, pose: Pose): Pose {
  return {
    pan: turned(axes.pan, off.isPanInverted, pose.pan),
    tilt: turned(axes.tilt, off.isTiltInverted, pose.tilt - off.tiltZero),
  }
}

/** A head with its stops where its motors really come to them. */
export function withAxesOff<H extends Head>(head: H, { tiltZero }: AxesOff): H {
  if (tiltZero === 0) return head
  const { min, max } = head.tilt
  return { ...head, tilt: { ...head.tilt, min: min + tiltZero, max: max + tiltZero } }
}
