/** A universe drawn as rows of cells: every fixture's channels as runs that end where a row ends. */
import { UNIVERSE_SIZE, type Span } from './span'

export const COLUMNS = 32
export const ROWS = UNIVERSE_SIZE / COLUMNS

/** A piece of a span on one row: column and row from 0, and how many cells wide. */
export interface Run {
  readonly column: number
  readonly row: number
  readonly width: number
}

/** The runs of channels `first` to `last`; what lies past the last channel is left out. */
export function rowRuns(first: number, last: number): Run[] {
  const runs: Run[] = []
  const end = Math.min(last, UNIVERSE_SIZE)
  for (let from = first; from <= end;) {
    const row = Math.floor((from - 1) / COLUMNS)
    const to = Math.min(end, (row + 1) * COLUMNS)
    runs.push({ column: (from - 1) % COLUMNS, row, width: to - from + 1 })
    from = to + 1
  }
  return runs
}

/** Channels that more than one of these spans takes, as first and last. */
export function doubled(spans: readonly Span[]): { first: number; last: number }[] {
  const sorted = [...spans].sort((a, b) => a.first - b.first)
  const found: { first: number; last: number }[] = []
  let reach = 0
  for (const { first, last } of sorted) {
    if (first <= reach) found.push({ first, last: Math.min(last, reach) })
    reach = Math.max(reach, last)
  }
  return found
}
