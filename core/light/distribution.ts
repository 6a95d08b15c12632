/**
 * Light by direction as it was measured: planes about the axis of the beam, and in each how much light
 * goes so many degrees beside the axis. Between them it is interpolated straight; beyond the last angle
 * it is dark.
 */
export interface Distribution {
  /** Degrees round the axis from the lens's right (across) towards its top, rising, from 0 to under 360; one alone is round. */
  readonly planes: readonly number[]
  /** Degrees beside the axis, rising from 0 to at most 180. */
  readonly off: readonly number[]
  /** By plane and then angle, as a part of the brightest, 0 to 1. */
  readonly parts: readonly (readonly number[])[]
}

/** Whether each is larger than the one before it. */
export const isRising = (values: readonly number[]): boolean =>
  values.every((value, i) => i === 0 || value > (values[i - 1] ?? 0))

/** Where a value lies between rising ones: the index of the lower, and the part of the way to the next. */
function between(rising: readonly number[], value: number): { readonly low: number; readonly part: number } {
  let [low, high] = [0, rising.length - 1]
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if ((rising[middle] ?? 0) <= value) low = middle
    else high = middle
  }
  const [from, to] = [rising[low] ?? 0, rising[low + 1] ?? 0]
  return { low, part: low + 1 < rising.length ? Math.min(1, Math.max(0, (value - from) / (to - from))) : 0 }
}

function alongPlane({ off, parts }: Distribution, plane: number, beside: number): number {
  if (beside > (off.at(-1) ?? 0)) return 0
  const { low, part } = between(off, beside)
  const here = parts[plane]?.[low] ?? 0
  return here + ((parts[plane]?.[low + 1] ?? here) - here) * part
}

/** The part of the brightest light that goes `beside` degrees off the axis, `round` degrees about it. */
export function partToward(light: Distribution, beside: number, round: number): number {
  const { planes } = light
  if (planes.length === 1) return alongPlane(light, 0, beside)
  const turn = ((round % 360) + 360) % 360
  const first = planes[0] ?? 0
  const last = planes.at(-1) ?? 0
  const isInGap = turn < first || turn >= last
  const { low, part } = isInGap
    ? { low: planes.length - 1, part: ((turn - last + 360) % 360) / (first + 360 - last) }
    : between(planes, turn)
  const here = alongPlane(light, low, beside)
  const there = alongPlane(light, (low + 1) % planes.length, beside)
  return here + (there - here) * part
}

/** The part of the brightest light `beside` degrees off the axis, taken evenly round it. */
export function meanPart(light: Distribution, beside: number): number {
  const { planes } = light
  if (planes.length === 1) return alongPlane(light, 0, beside)
  // A plane counts for half of the way to its neighbours on both sides.
  const shares = planes.map((plane, i) => {
    const before = planes[i - 1] ?? (planes.at(-1) ?? 0) - 360
    const after = planes[i + 1] ?? (planes[0] ?? 0) + 360
    return (after - before) / 720
  })
  return planes.reduce((sum, _, i) => sum + (shares[i] ?? 0) * alongPlane(light, i, beside), 0)
}

/** Steps of a degree in which the mean is searched. */
const STEP = 0.05

/** The full angle at which the light, taken evenly round the axis, falls below a part of its brightest for good, degrees. */
export function angleAt(light: Distribution, part: number): number {
  const end = light.off.at(-1) ?? 0
  const steps = Math.ceil(end / STEP)
  const means = Array.from({ length: steps + 1 }, (_, i) => meanPart(light, Math.min(end, i * STEP)))
  const wanted = part * Math.max(...means)
  const last = means.findLastIndex((mean) => mean >= wanted)
  const [here, after] = [means[last] ?? 0, means[last + 1] ?? 0]
  const on = here > after ? (here - wanted) / (here - after) : 0
  return 2 * Math.min(end, (last + on) * STEP)
}

/**
 * The light of a distribution, lumen for each candela of its brightest: `∫ ∫ part · sin(off) d off d round`,
 * evenly round the axis, by the trapezium between angles a tenth of a degree apart.
 */
export function lumenOf(light: Distribution): number {
  const step = STEP * 2
  const steps = Math.ceil((light.off.at(-1) ?? 0) / step)
  const at = (i: number) => meanPart(light, i * step) * Math.sin((i * step * Math.PI) / 180)
  let sum = 0
  for (let i = 0; i < steps; i++) sum += (at(i) + at(i + 1)) / 2
  return sum * ((step * Math.PI) / 180) * 2 * Math.PI
}
