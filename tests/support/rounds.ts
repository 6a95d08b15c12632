/** How many rounds tests at random run: few in every test run, many in `npm run trials`; seeded, and counted. */
import { afterAll, inject } from 'vitest'

declare module 'vitest' {
  interface ProvidedContext {
    /** How many times as many rounds as usual, and which seed they begin with. */
    rounds: { readonly times: number; readonly seed: number }
  }
}

const { times, seed: firstSeed } = inject('rounds')

/** fast-check's settings for `few` rounds, or as many times more as were asked for. */
export function rounds(few: number): { readonly numRuns: number; readonly seed: number } {
  return { numRuns: few * times, seed: firstSeed }
}

/** The seeds of `few` rounds, or as many times more as were asked for. */
export function seeds(few: number): number[] {
  return Array.from({ length: few * times }, (_, i) => firstSeed + i)
}

/** Counts what was tried; told at the end where many rounds were asked for. */
export class Tally {
  readonly #counts = new Map<string, number>()

  constructor(name: string) {
    afterAll(() => {
      if (times > 1) console.log(`${name}: ${[...this.#counts].map(([what, n]) => `${n} ${what}`).join(', ')}`)
    })
  }

  count(what: string, by = 1): void {
    this.#counts.set(what, this.of(what) + by)
  }

  of(what: string): number {
    return this.#counts.get(what) ?? 0
  }
}
