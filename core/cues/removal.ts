/** Taking cues out with everything that is theirs. */
import type { Draft } from '../show/draft'
import type { Show } from '../show/show'
import { placeOfCue } from './tracking'

/** Writes the removal of cues into a draft. A list that stood in one falls back to the nearest before it. */
export function removeCues(show: Show, draft: Draft, cues: ReadonlySet<string>): void {
  for (const kind of ['cueValue', 'cueTime'] as const)
    for (const [id, { cue }] of show.all[kind]) if (cues.has(cue)) draft.remove(kind, id)
  for (const [id, run] of show.all.cueRun)
    if ((run.cue !== null && cues.has(run.cue)) || (run.from !== null && cues.has(run.from))) draft.remove('cueRun', id)
  for (const [id, list] of show.all.cueList) {
    if (list.onStage === null || !cues.has(list.onStage)) continue
    const place = placeOfCue(show, list.onStage)
    const left = place?.list.cues.slice(0, place.at).findLast((cue) => !cues.has(cue.id))
    draft.set('cueList', id, 'onStage', left?.id ?? null)
  }
  for (const cue of cues) draft.remove('cue', cue)
}
