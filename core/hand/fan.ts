/**
 * Fans: a value spread over fixtures in order. With `t` from 0 for the first to 1 for the last,
 * eased to `t²(3 − 2t)` where asked, each gets a weight by what is kept: the first `t`, the last
 * `1 − t`, the middle `2t − 1`, the ends `1 − |2t − 1|`.
 */
import { z } from 'zod'
import { fixtureId, type FixtureId } from '../show/ids'

export const FAN_KEEPS = ['first', 'last', 'middle', 'ends'] as const
export const FAN_CURVES = ['even', 'eased'] as const

export const fanShape = z.strictObject({
  keep: z.enum(FAN_KEEPS),
  curve: z.enum(FAN_CURVES),
  /** The fixtures in order; a fan runs within each part, or across them with one value a part. */
  parts: z.array(z.array(fixtureId).min(1)).min(1),
  run: z.enum(['within', 'across']),
})
export type FanShape = z.infer<typeof fanShape>

/** A fixture's place in a fan, 0 for the first to 1 for the last; one alone stands in the middle. */
export interface FanPlace {
  readonly fixture: FixtureId
  readonly t: number
  /** How many places the fan has there. */
  readonly count: number
}

function placeOf(index: number, count: number, curve: FanShape['curve']): number {
  const t = count > 1 ? index / (count - 1) : 0.5
  return curve === 'eased' ? t * t * (3 - 2 * t) : t
}

/** Every fixture with its place; one that is named twice keeps its first. */
export function fanPlaces({ parts, run, curve }: Pick<FanShape, 'parts' | 'run' | 'curve'>): FanPlace[] {
  const seen = new Set<FixtureId>()
  return parts.flatMap((part, p) =>
    part.flatMap((fixture, i) => {
      if (seen.has(fixture)) return []
      seen.add(fixture)
      const [index, count] = run === 'across' ? [p, parts.length] : [i, part.length]
      return [{ fixture, t: placeOf(index, count, curve), count }]
    }),
  )
}

/** How much of a spread a place gets: 0 stays, 1 and −1 get all of it. */
export function fanWeight(t: number, keep: FanShape['keep']): number {
  if (keep === 'first') return t
  if (keep === 'last') return 1 - t
  return keep === 'middle' ? 2 * t - 1 : 1 - Math.abs(2 * t - 1)
}

/** A place's value in a typed range: `from` first to `to` last, or `from` at both ends and `to` in the middle. */
export function rangeValue(t: number, keep: FanShape['keep'], from: number, to: number): number {
  return from + (to - from) * (keep === 'ends' ? fanWeight(t, 'ends') : t)
}
