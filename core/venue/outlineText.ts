/** An outline as people type or paste it: corner after corner, across and up the stage. Metres. */
import { numberTyped } from '../show/numberTyped'
import { shortNumber } from '../show/shortNumber'
import type { PlanPoint } from './outline'

export type OutlineReading =
  { readonly ok: true; readonly outline: PlanPoint[] } | { readonly ok: false; readonly trouble: string }

const cornersOf = (outline: readonly PlanPoint[]) =>
  outline.map(({ x, y }) => `${shortNumber(x, 3)} ${shortNumber(y, 3)}`)

/** One corner a line, to the millimetre. */
export function outlineInWords(outline: readonly PlanPoint[]): string {
  return cornersOf(outline).join('\n')
}

/** All corners in one line: "-7 0 / 7 0 / 7 9". */
export function outlineInLine(outline: readonly PlanPoint[]): string {
  return cornersOf(outline).join(' / ')
}

/** Reads an outline, a line or a part between slashes for each corner; its two numbers may be parted by blanks, tabs or a semicolon. */
export function readOutline(text: string): OutlineReading {
  const outline: PlanPoint[] = []
  for (const [i, line] of text.split(/[\n/]/).entries()) {
    if (line.trim() === '') continue
    const [x, y, ...more] = line
      .trim()
      .split(/[\s;]+/)
      .map(numberTyped)
    if (typeof x !== 'number' || typeof y !== 'number' || more.length > 0)
      return { ok: false, trouble: `Corner ${i + 1} reads “${line.trim()}”. A corner is two numbers, such as “-7 0”.` }
    outline.push({ x, y })
  }
  if (outline.length < 3) return { ok: false, trouble: 'An outline needs three corners at least, such as “-7 0”.' }
  return { ok: true, outline }
}
