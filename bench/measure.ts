/** How work is timed and told. */
const ROUNDS = 15

export function best(work: () => number, rounds = ROUNDS): { milliseconds: number; result: number } {
  let milliseconds = Infinity
  let result = 0
  for (let round = 0; round < rounds; round++) {
    const start = performance.now()
    result = work()
    milliseconds = Math.min(milliseconds, performance.now() - start)
  }
  return { milliseconds, result }
}

/** The same for work on something made anew for each round; the making is not timed. */
export function bestAfter<T>(
  prepare: () => T,
  work: (prepared: T) => number,
): { milliseconds: number; result: number } {
  let milliseconds = Infinity
  let result = 0
  for (let round = 0; round < ROUNDS; round++) {
    const prepared = prepare()
    const start = performance.now()
    result = work(prepared)
    milliseconds = Math.min(milliseconds, performance.now() - start)
  }
  return { milliseconds, result }
}

export function line(name: string, figure: string): void {
  console.log(`${name.padEnd(58)} ${figure}`)
}
