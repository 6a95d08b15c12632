/** Planes that a file leaves out because they are as others: the whole round is made of them. */

/** Planes of a file, degrees, each with its values. */
export type Planes = readonly { readonly at: number; readonly values: readonly number[] }[]

const TINY = 1e-6
const turned = (at: number) => ((at % 360) + 360) % 360

/** Adds what stands opposite across the axis through `about` and `about + 180` degrees. */
export function mirrored(planes: Planes, about: number): Planes {
  return whole([...planes, ...planes.map(({ at, values }) => ({ at: 2 * about - at, values }))])
}

/** In order from 0 to under 360, each once; the first of two that stand in the same place counts. */
export function whole(planes: Planes): Planes {
  const known: { at: number; values: readonly number[] }[] = []
  for (const { at, values } of planes) {
    const place = turned(Math.round(at * 1e6) / 1e6)
    if (!known.some((one) => Math.abs(one.at - place) < TINY)) known.push({ at: place, values })
  }
  return known.sort((a, b) => a.at - b.at)
}
