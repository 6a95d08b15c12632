/** Names that are not taken yet, as something to begin with. */
import { normalisedName } from './names'

/** The name with the next number behind it that nobody has: "Bar 1" makes "Bar 2". */
export function nextName(name: string, taken: Iterable<string>): string {
  const known = new Set([...taken].map(normalisedName))
  const stem = name.replace(/\s*\d+$/, '')
  for (let n = 2; ; n++) if (!known.has(normalisedName(`${stem} ${n}`))) return `${stem} ${n}`
}

/** The other side of what is named by its side; else the next name. */
export function mirroredName(name: string, taken: Iterable<string>): string {
  const known = new Set([...taken].map(normalisedName))
  const other = name.replace(/\b(left|right)\b/i, (side) => (side.toLowerCase() === 'left' ? 'right' : 'left'))
  return other !== name && !known.has(normalisedName(other)) ? other : nextName(name, taken)
}
