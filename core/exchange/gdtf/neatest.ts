/** The number with the fewest digits after its point within a tolerance; what comes of levels is seldom meant to the last digit. */
export function neatest(number: number, tolerance: number): number {
  for (let digits = 0; digits < 8; digits++) {
    const short = Number(number.toFixed(digits))
    if (Math.abs(short - number) <= tolerance) return short
  }
  return number
}
