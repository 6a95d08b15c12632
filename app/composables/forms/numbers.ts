/** Numbers as people type and read them. */

/** The number typed, with a point or a comma; null where it is none. */
export function numberTyped(text: string): number | null {
  const plain = text.trim().replace(',', '.').replace('−', '-')
  const value = Number(plain)
  return plain === '' || !Number.isFinite(value) ? null : value
}

export const NOT_A_NUMBER = 'This is not a number.'
