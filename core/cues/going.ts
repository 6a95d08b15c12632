/** Starting cues: what is written when a list goes somewhere. */
import type { Draft } from '../show/draft'
import { cueRun } from '../show/entities'
import type { CueId } from '../show/ids'
import type { Show } from '../show/show'
import { placeOfCue, type CueInOrder, type ListInOrder } from './tracking'
import { endOfRun, endsOfMoves, runsOf, takesAnew } from './tracks'

interface Start {
  /** Milliseconds by the server's clock. */
  readonly now: number
  /** How long everything takes; null for the cue's own times. */
  readonly seconds: number | null
  newId(): string
}

/**
 * Starts a cue of a list, or for null takes the list off the stage. In the cue's own times it
 * brings the cues with it that start together with it.
 */
export function startCue(show: Show, draft: Draft, list: ListInOrder, cue: CueId | null, start: Start): void {
  const now = list.list.pausedAt ?? start.now
  tidyRuns(show, draft, list, cue, now, start.seconds === 0)
  if (list.list.pausedAt !== null) resume(show, draft, list, start.now)
  let from = list.list.onStage
  let order = 1 + Math.max(0, ...[...show.all.cueRun.values()].map((run) => run.order))
  for (const next of cue !== null && start.seconds === null ? withFollowers(list, cue) : [cue]) {
    const settled = start.seconds === 0
    if (!(settled && next === null))
      draft.put('cueRun', start.newId(), {
        list: list.id,
        cue: next,
        from: settled ? null : from,
        startedAt: Math.round(start.now),
        seconds: start.seconds,
        settled,
        order: order++,
      })
    from = next
  }
  draft.set('cueList', list.id, 'onStage', from)
}

/** What has arrived is marked so; what was started before the list took everything anew is forgotten. */
function tidyRuns(show: Show, draft: Draft, list: ListInOrder, to: CueId | null, now: number, isJump: boolean) {
  const runs = runsOf(show, list.id)
  const arrived = isJump ? runs.length : firstUnderWay(show, list, now)
  const forgotten = takesAnew(show, to, list.list.onStage)
    ? runs.length
    : runs.findLastIndex((run) => !run.settled && takesAnew(show, run.cue, run.from))
  for (const [i, { id, ...run }] of runs.slice(0, arrived).entries()) {
    if (i < forgotten || run.cue === null) draft.remove('cueRun', id)
    else if (!run.settled) draft.put('cueRun', id, { ...run, from: null, settled: true })
  }
}

/**
 * The first of a list's runs that is still needed: it has not arrived, or had not when one that has
 * not set out from it. What was started after it counts from it, arrived or not.
 */
function firstUnderWay(show: Show, list: ListInOrder, now: number): number {
  const runs = runsOf(show, list.id)
  const ends = endsOfMoves(show, list)
  let first = runs.length
  let earliest = now
  for (const [i, run] of [...runs.entries()].reverse()) {
    if (run.settled || (ends[i] ?? 0) <= earliest) continue
    first = i
    earliest = Math.min(earliest, run.startedAt)
  }
  return first
}

/** Lets a paused list run on: what was under way comes as much later as it stood still. */
export function resume(show: Show, draft: Draft, list: ListInOrder, now: number): void {
  const { pausedAt } = list.list
  if (pausedAt === null) return
  const after = draft.result().all.cueRun
  for (const { id } of runsOf(show, list.id)) {
    const run = after.get(id)
    if (run && !run.settled)
      draft.put('cueRun', id, cueRun.parse({ ...run, startedAt: run.startedAt + (now - pausedAt) }))
  }
  draft.set('cueList', list.id, 'pausedAt', null)
}

/** A cue with those after it that start together with it. */
function withFollowers(list: ListInOrder, cue: CueId): CueId[] {
  const at = list.cues.findIndex(({ id }) => id === cue)
  const rest = list.cues.slice(at + 1)
  const end = rest.findIndex(({ cue: { follow } }) => follow !== 'with')
  return [cue, ...rest.slice(0, end === -1 ? rest.length : end).map(({ id }) => id)]
}

/** The cues that came together with the one on stage, the first of them first; a list that waits for its first is in none. */
export function startedTogether(show: Show, list: ListInOrder): readonly CueInOrder[] {
  const at = list.list.onStage === null ? -1 : (placeOfCue(show, list.list.onStage)?.at ?? -1)
  const first = list.cues.slice(0, at + 1).findLastIndex(({ cue }) => cue.follow !== 'with')
  return list.cues.slice(Math.max(0, first), at + 1)
}

/**
 * The cue that comes by itself after the one on stage, and when; null when the list waits to be
 * called, as it does after going back.
 */
export function followerOf(show: Show, list: ListInOrder): { readonly cue: CueId; readonly at: number } | null {
  const { onStage, pausedAt } = list.list
  if (onStage === null || pausedAt !== null) return null
  const next = list.cues[(placeOfCue(show, onStage)?.at ?? Infinity) + 1]
  if (next?.cue.follow !== 'after') return null
  const run = runsOf(show, list.id).at(-1)
  const isRunning = run?.cue === onStage && !run.settled && run.seconds === null
  return isRunning ? { cue: next.id, at: endOfRun(show, run) } : null
}
