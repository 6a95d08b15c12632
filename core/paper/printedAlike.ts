/** Whether prints of two states of a show would say the same: what is in hands, on stage and who is in is not printed. */
import { listsInOrder } from '../cues/tracking'
import { KINDS, type Kind } from '../show/kinds'
import type { Show } from '../show/show'

/** Nothing of them is printed; lists go on and come back all the time. */
const NOT_PRINTED: ReadonlySet<Kind> = new Set([
  ...(['person', 'handValue', 'highlighted', 'cueRun', 'cueList', 'print', 'rigFile', 'typeFile', 'underlay'] as const),
  ...(['workingSet', 'workingSetMember', 'shelfMask', 'swatch', 'output'] as const),
  ...(['tracking', 'trackedTarget', 'controlLine', 'controlBinding'] as const),
])

export function isPrintedAlike(a: Show, b: Show): boolean {
  if (a === b) return true
  const isSame = KINDS.every((kind) => NOT_PRINTED.has(kind) || a.all[kind] === b.all[kind])
  return isSame && listNames(a) === listNames(b)
}

function listNames(show: Show): string {
  return JSON.stringify(listsInOrder(show).map(({ list }) => [list.number, list.name]))
}
