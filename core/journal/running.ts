/** What runs is no one's work: it goes with the cue it ran, and a list that stood in it falls back. */
import { applyChanges, EXISTENCE, registerParts, type ChangeSet } from '../show/changes'
import type { Kind } from '../show/kinds'
import { Draft } from '../show/draft'
import type { Show } from '../show/show'
import { leaveLostCues } from '../show/standing'

const RUNNING: ReadonlySet<Kind> = new Set<Kind>(['cue', 'cueList', 'cueRun'])

/** Whether a change can leave a list in a cue that is gone, or that is another list's. */
function movesCues(changes: ChangeSet): boolean {
  return changes.some(({ register, after }) => {
    const { kind, field } = registerParts(register)
    if (kind === 'cueRun' || (kind === 'cueList' && field === 'onStage')) return true
    return (kind === 'cue' && (field === 'list' || field === EXISTENCE)) || (kind === 'cueList' && after === undefined)
  })
}

/** A change with the runs and places of lists that it would leave without their cue put right. */
export function withoutRuns(show: Show, changes: ChangeSet): ChangeSet {
  if (!movesCues(changes)) return changes
  const draft = new Draft(show)
  for (const { register, after } of changes) draft.write(register, after)
  const { all } = applyChanges(
    show,
    changes.filter(({ register }) => RUNNING.has(registerParts(register).kind)),
  )
  leaveLostCues(draft, all)
  return draft.changes()
}
