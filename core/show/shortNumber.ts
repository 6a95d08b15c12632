/** A number without the zeros that say nothing; at most `digits` behind the point. */
export function shortNumber(value: number, digits = 2): string {
  return String(Number(value.toFixed(digits)) + 0)
}
