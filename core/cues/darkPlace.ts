/** In which cue of a dark time a move is made, and when in it. */
import type { CueId } from '../show/ids'
import type { DarkGap } from './darkGaps'
import type { DarkChoice } from './darkRules'
import type { Beginning } from './darkTimes'
import type { ListInOrder } from './tracking'

/** Why something is not brought into place in the dark. */
export type StaysLive =
  'nothing said' | 'on purpose' | 'no time' | 'quiet' | 'no cue between' | 'lit elsewhere' | 'not dark then'

/** Where a move is made: its cue, and seconds after that has started; or why it stays live, and by how many seconds its time is too short. */
export type DarkPlace =
  | { readonly kind: 'goes'; readonly at: number; readonly cue: CueId; readonly delay: number }
  | { readonly kind: 'stays'; readonly why: StaysLive; readonly short: number | null }

export const stays = (why: StaysLive, short: number | null = null): DarkPlace => ({ kind: 'stays', why, short })

/** What is to be brought into place while it is dark. */
export interface ToPlace {
  readonly gap: DarkGap
  /** Seconds it needs, set out in the cue at a place of the list. */
  needsAt(at: number): number
  /** Whether the cue in which it goes dark moves it itself: it cannot move twice in one cue. */
  readonly movesAsItGoesDark: boolean
}

/** A list with the times of its cues, and the seconds kept after light has gone and before it comes. */
export interface DarkTimes {
  readonly list: ListInOrder
  readonly beginnings: readonly Beginning[]
  readonly margin: number
}

/** Chooses where a move is made. */
export function placeInDark(times: DarkTimes, move: ToPlace, choice: DarkChoice): DarkPlace {
  if (choice.when === 'live') return stays('on purpose')
  const { since, until } = move.gap
  const first = Math.max(0, since)
  const all = Array.from({ length: until - first + 1 }, (_, i) => first + i)
  const { cues } = times.list
  const asked = choice.when === 'in cue' ? all.filter((at) => cues[at]?.id === choice.cue) : all
  if (asked.length === 0) return stays('not dark then')
  const free = asked.filter((at) => at !== since || !move.movesAsItGoesDark)
  if (choice.when === 'late') free.reverse()
  for (const at of free) {
    const window = windowAt(times, move, at)
    if (window && window.missing <= 0) return goesIn(times, window, choice.when === 'late')
  }
  if (free.every((at) => at === until)) return stays('no cue between')
  const loud = withoutQuiet(times)
  const aloud = free.flatMap((at) => windowAt(loud, move, at) ?? [])
  if (aloud.some(({ missing }) => missing <= 0)) return stays('quiet')
  return stays('no time', Math.min(...aloud.map(({ missing }) => missing)))
}

function withoutQuiet({ list, ...times }: DarkTimes): DarkTimes {
  const cues = list.cues.map(({ id, cue }) => ({ id, cue: { ...cue, quiet: false } }))
  return { ...times, list: { ...list, cues } }
}

/** A time a move could be made in; seconds from the start of its run of cues. */
interface Window {
  readonly at: number
  readonly from: number
  /** When it must set out at the latest; Infinity where somebody calls the light. */
  readonly latest: number
  /** Seconds it is too short by; none where not above 0. */
  readonly missing: number
}

/** The time there is from a cue on, until there is light or it must be quiet; null where it must be already. */
function windowAt({ list, beginnings, margin }: DarkTimes, { gap, needsAt }: ToPlace, at: number): Window | null {
  const begins = beginnings[at]
  if (!begins || list.cues[at]?.cue.quiet) return null
  const isSameRun = (other: Beginning) => other.run === begins.run
  const from = Math.max(begins.seconds, isSameRun(gap.darkAt) ? gap.darkAt.seconds + margin : 0)
  let until = isSameRun(gap.lightAt) ? gap.lightAt.seconds - margin : Infinity
  for (let later = at + 1; later <= gap.until; later++) {
    const other = beginnings[later]
    if (!other || !isSameRun(other)) break
    if (list.cues[later]?.cue.quiet) until = Math.min(until, other.seconds)
  }
  const needs = needsAt(at)
  const missing = from + needs - until
  return { at, from, latest: until - needs, missing: missing < 1e-9 ? 0 : missing }
}

function goesIn({ list, beginnings }: DarkTimes, { at, from, latest }: Window, isLate: boolean): DarkPlace {
  const begins = beginnings[at]
  const cue = list.cues[at]
  if (!begins || !cue) return stays('not dark then')
  const setsOut = isLate && Number.isFinite(latest) ? latest : from
  return { kind: 'goes', at, cue: cue.id, delay: Math.max(0, setsOut - begins.seconds) }
}
