/** What a list leaves behind when cues go, or go to another list: where it stands, and what it runs. */
import type { Draft } from './draft'
import type { Cue } from './entities'
import type { CueId } from './ids'
import { asCueId } from './ids'
import type { Show } from './show'

type Running = Pick<Show['all'], 'cue' | 'cueList' | 'cueRun'>

/**
 * Puts right which cues lists stand in and run, in the show that a draft leads to: a list that stood
 * in a cue it no longer has falls back to the nearest before it, and what ran from or to one goes.
 */
export function leaveLostCues(draft: Draft, after: Running = draft.result().all): Draft {
  const has = (list: string, cue: string | null) => cue === null || after.cue.get(cue)?.list === list
  for (const [id, { list, cue, from }] of after.cueRun)
    if (!after.cueList.has(list) || !has(list, cue) || !has(list, from)) draft.remove('cueRun', id)
  for (const [list, { onStage }] of after.cueList)
    if (onStage !== null && !has(list, onStage))
      draft.set('cueList', list, 'onStage', nearestBefore(after, list, draft.before.all.cue.get(onStage)))
  return draft
}

/** The last cue of a list before where one stood; null for none, or where nobody knows where it stood. */
function nearestBefore(after: Running, list: string, lost: Cue | undefined): CueId | null {
  if (lost?.list !== list) return null
  let nearest: { readonly id: string; readonly number: number } | null = null
  for (const [id, cue] of after.cue)
    if (cue.list === list && cue.number < lost.number && cue.number > (nearest?.number ?? -Infinity))
      nearest = { id, number: cue.number }
  return nearest && asCueId(nearest.id)
}
