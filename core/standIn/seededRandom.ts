/** Numbers in [0, 1) that are the same on every run: a linear congruential sequence. */
export function seededRandom(seed: number): () => number {
  let state = seed
  return () => {
    state = (state * 1664525 + 1013904223) % 4294967296
    return state / 4294967296
  }
}
