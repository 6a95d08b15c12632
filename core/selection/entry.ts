/**
 * Typed selections: `12-17`, `12-17, 21`, `17-12` (backwards keeps the backward order). Numbers
 * with no fixture inside a range are passed over; a single number with none is said.
 */
import type { FixtureId } from '../show/ids'

export type EntryResult =
  { readonly ok: true; readonly fixtures: readonly FixtureId[] } | { readonly ok: false; readonly message: string }

interface Span {
  readonly from: number
  readonly to: number
}

/** The fixtures an entry names, in the order it names them, each once. */
export function parseEntry(text: string, byNumber: ReadonlyMap<number, FixtureId>): EntryResult {
  const parts = text.split(',').map((part) => part.trim())
  const chosen = new Set<FixtureId>()
  for (const part of parts) {
    if (part === '') continue
    const span = parseSpan(part)
    if (!span) return { ok: false, message: `“${part}” is neither a number nor a range such as 12-17.` }
    const found = fixturesIn(span, byNumber)
    if (found.length === 0)
      return {
        ok: false,
        message:
          span.from === span.to ? `There is no fixture ${span.from}.` : `No fixture from ${span.from} to ${span.to}.`,
      }
    for (const fixture of found) chosen.add(fixture)
  }
  return { ok: true, fixtures: [...chosen] }
}

function parseSpan(part: string): Span | null {
  const match = /^(\d{1,5})(?:\s*[-–]\s*(\d{1,5}))?$/.exec(part)
  if (!match?.[1]) return null
  const from = Number(match[1])
  return { from, to: match[2] === undefined ? from : Number(match[2]) }
}

function fixturesIn({ from, to }: Span, byNumber: ReadonlyMap<number, FixtureId>): FixtureId[] {
  const numbers = [...byNumber.keys()].filter((n) => n >= Math.min(from, to) && n <= Math.max(from, to))
  numbers.sort((a, b) => (from <= to ? a - b : b - a))
  return numbers.flatMap((n) => byNumber.get(n) ?? [])
}
