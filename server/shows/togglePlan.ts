/** What is written for an undo or redo of a step. */
import type { ChangeGroup, History } from '#core/journal/history'
import type { JournalEntry } from '#core/journal/entry'
import { toggleStep } from '#core/journal/toggle'
import type { Kept } from '#core/journal/undo'
import type { ChangeSet } from '#core/show/changes'
import { changeGroupId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import type { Plan, ToggleRequest } from './plan'
import { anywayInWords, leftInWords, toggledInWords, toggleRefusalInWords } from './undoWording'

/** Plans the entry that takes back or does again a person’s step; `history` is the step's, null where there is none. */
export function togglePlan(
  show: Show,
  history: History | null,
  { id, person, window, direction, group, how }: ToggleRequest,
): Plan {
  const target = history?.groups.get(group)
  if (!history || !target || target.person !== person)
    return { refused: { code: 'unknown step', message: 'This step is not one of yours.' }, status: 404 }
  if (target.live !== (direction === 'undo') || target.waived) return { nothing: null }
  const step = toggleStep(show, history, { group, direction, how })
  const own = { id, person, window, mergeKey: null }
  switch (step.kind) {
    case 'toggle':
      return toggled(show, { ...own, group }, direction, target, step)
    case 'waive':
      return {
        entry: { ...own, group, kind: 'waive', label: `leave ${target.label}`, undoable: false, changes: [] },
        note: step.isLeft ? leftInWords(direction, target) : null,
      }
    case 'anyway':
      return {
        entry: {
          ...own,
          group: changeGroupId.parse(id),
          kind: 'do',
          label: `${direction === 'undo' ? 'take back' : 'do again'} ${target.label} all the same`,
          undoable: true,
          changes: step.changes,
        },
        note: anywayInWords(direction, target, step.along),
      }
    case 'refused':
      return {
        refused: {
          code: step.anyway ? 'harms others' : 'cannot stand',
          message: toggleRefusalInWords(show, direction, target, step),
        },
        status: 409,
      }
  }
}

function toggled(
  show: Show,
  base: Pick<JournalEntry, 'id' | 'person' | 'window' | 'group' | 'mergeKey'>,
  kind: 'undo' | 'redo',
  target: ChangeGroup,
  { changes, kept }: { readonly changes: ChangeSet; readonly kept: readonly Kept[] },
): Plan {
  const entry = { ...base, kind, label: target.label, undoable: false, changes }
  return { entry, note: toggledInWords(show, kind, target, kept, changes.length) }
}
