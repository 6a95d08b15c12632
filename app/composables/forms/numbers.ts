/** Numbers as people type and read them. */

/** The number typed, with a point or a comma; null where it is none. */
export function numberTyped(text: string): number | null {
  const plain = text.trim().replace(',', '.').replace('−', '-')
  const value = Number(plain)
  return plain === '' || !Number.isFinite(value) ? null : value
}

/** A number without the zeros that say nothing; at most `digits` behind the point. */
export function shortNumber(value: number, digits = 2): string {
  return String(Number(value.toFixed(digits)) + 0)
}

export const NOT_A_NUMBER = 'This is not a number.'
