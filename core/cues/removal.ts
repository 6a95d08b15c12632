/** Taking cues out with everything that is theirs. */
import { removeWithDependents } from '../show/cascade'
import type { Draft } from '../show/draft'
import { leaveLostCues } from '../show/standing'

/** Writes the removal of cues into a draft. A list that stood in one falls back to the nearest before it. */
export function removeCues(draft: Draft, cues: ReadonlySet<string>): void {
  for (const cue of cues) draft.remove('cue', cue)
  leaveLostCues(draft)
  removeWithDependents(draft, 'cue', cues)
}
