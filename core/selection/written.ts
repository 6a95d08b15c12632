/** A selection as one would type it. */

/**
 * Fixture numbers in their order as an entry that selects them: "11-14, 21, 19-17". Runs of three
 * and more neighbours become ranges; what is left out after `most` parts is counted.
 */
export function writtenSelection(numbers: readonly number[], most = 6): string {
  const runs: { first: number; last: number; count: number }[] = []
  for (const number of numbers) {
    const run = runs.at(-1)
    const step = run && (run.last === run.first ? number - run.last : Math.sign(run.last - run.first))
    if (run && (step === 1 || step === -1) && number === run.last + step) {
      run.last = number
      run.count += 1
    } else runs.push({ first: number, last: number, count: 1 })
  }
  const parts = runs.flatMap(({ first, last, count }) => {
    if (count > 2) return `${first}-${last}`
    return count === 2 ? [String(first), String(last)] : String(first)
  })
  return parts.length > most ? `${parts.slice(0, most).join(', ')} and more` : parts.join(', ')
}
