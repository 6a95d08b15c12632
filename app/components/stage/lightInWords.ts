/** What a drawing of light shows, for those who cannot see it. */
export function lightInWords(lit: number, ghost: number, chosen: number): string {
  const parts = [`${chosen} selected`, `${lit} lit besides`]
  if (ghost > 0) parts.push(`${ghost} as the palette looked at would have them`)
  return `Light: ${parts.join(', ')}`
}
