/** What runs is no one's work: it goes with the cue it ran, and a list that stood in it stands in none. */
import { applyChanges, EXISTENCE, registerParts, type ChangeSet } from '../show/changes'
import type { Kind } from '../show/entities'
import { Draft } from '../show/draft'
import type { Show } from '../show/show'

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
  const stands = (cue: string | null, list: string) => cue === null || all.cue.get(cue)?.list === list
  for (const [id, { list, cue, from }] of all.cueRun)
    if (!all.cueList.has(list) || !stands(cue, list) || !stands(from, list)) draft.remove('cueRun', id)
  for (const [id, { onStage }] of all.cueList) if (!stands(onStage, id)) draft.set('cueList', id, 'onStage', null)
  return draft.changes()
}
