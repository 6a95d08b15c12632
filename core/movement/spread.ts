/** How a movement runs over a selection. */
import { shareOf } from './wander'

/**
 * All together, one after the other, from both ends to the middle with the second half mirrored, or each
 * by chance.
 */
export const SPREADS = ['together', 'one after the other', 'mirrored', 'by chance'] as const
export type SpreadHow = (typeof SPREADS)[number]

export interface Spread {
  readonly how: SpreadHow
  /** Rounds from the first round to where the first would follow again. */
  readonly rounds: number
  readonly seed: number
}

/** How one of the selection runs. */
export interface Run {
  readonly lag: number
  readonly mirrored: boolean
}

/**
 * How each runs, by the part of the selection it is in: `parts` are 0 up to `count` of them, one for each
 * fixture in order. Over one round, as many as there are parts run equally far apart.
 */
export function spreadOver(parts: readonly number[], count: number, { how, rounds, seed }: Spread): Run[] {
  const half = Math.ceil(count / 2)
  return parts.map((part, i) => {
    switch (how) {
      case 'together':
        return { lag: 0, mirrored: false }
      case 'one after the other':
        return { lag: (rounds * part) / count, mirrored: false }
      case 'mirrored':
        return { lag: (rounds * Math.min(part, count - 1 - part)) / half, mirrored: part >= half }
      case 'by chance':
        return { lag: shareOf(seed * 1009 + i) * rounds, mirrored: false }
    }
  })
}
