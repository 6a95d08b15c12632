/** An outline as people type or paste it: one corner a line, across and up the stage. Metres. */
import type { PlanPoint } from '#core/venue/outline'
import { shortNumber } from '#core/show/shortNumber'
import { numberTyped } from './numbers'

export type OutlineReading =
  { readonly ok: true; readonly outline: PlanPoint[] } | { readonly ok: false; readonly trouble: string }

export function outlineInWords(outline: readonly PlanPoint[]): string {
  return outline.map(({ x, y }) => `${shortNumber(x, 3)} ${shortNumber(y, 3)}`).join('\n')
}

/** Reads an outline; the two numbers of a corner may be parted by blanks, tabs or a semicolon. */
export function readOutline(text: string): OutlineReading {
  const outline: PlanPoint[] = []
  for (const [i, line] of text.split('\n').entries()) {
    if (line.trim() === '') continue
    const [x, y, ...more] = line
      .trim()
      .split(/[\s;]+/)
      .map(numberTyped)
    if (typeof x !== 'number' || typeof y !== 'number' || more.length > 0)
      return { ok: false, trouble: `Line ${i + 1} reads “${line.trim()}”. A corner is two numbers, such as “-7 0”.` }
    outline.push({ x, y })
  }
  if (outline.length < 3)
    return { ok: false, trouble: 'An outline needs three corners at least, one on each line, such as “-7 0”.' }
  return { ok: true, outline }
}
