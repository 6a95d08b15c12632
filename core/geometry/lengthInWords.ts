/** Lengths and offsets in metres, in words. */

/** "0.80 m", or in millimetres below a centimetre. */
export function metresInWords(metres: number): string {
  return Math.abs(metres) < 0.01 ? `${Math.round(metres * 1000)} mm` : `${metres.toFixed(2)} m`
}

/** Where one place lies from another: "0.40 m upstage, 1.20 m to stage left". */
export function offsetInWords(offset: { x: number; y: number; z: number }): string {
  const parts: string[] = []
  if (Math.abs(offset.y) >= 0.005)
    parts.push(`${metresInWords(Math.abs(offset.y))} ${offset.y > 0 ? 'upstage' : 'downstage'}`)
  if (Math.abs(offset.x) >= 0.005)
    parts.push(`${metresInWords(Math.abs(offset.x))} to stage ${offset.x > 0 ? 'left' : 'right'}`)
  if (Math.abs(offset.z) >= 0.005) parts.push(`${metresInWords(Math.abs(offset.z))} ${offset.z > 0 ? 'up' : 'down'}`)
  return parts.join(', ')
}
