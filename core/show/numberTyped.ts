/** The number typed, with a point or a comma and either minus; null where it is none. */
export function numberTyped(text: string): number | null {
  const plain = text.trim().replace(',', '.').replace('−', '-')
  const value = Number(plain)
  return plain === '' || !Number.isFinite(value) ? null : value
}
