/** What asking for undo or redo of a step comes to: what is written, or why not and which ways lead on. */
import type { ChangeSet } from '../show/changes'
import type { ChangeGroupId } from '../show/ids'
import type { Show } from '../show/show'
import { planAnyway, type AnywayPlan } from './anyway'
import type { History } from './history'
import { planToggle, type Kept, type ToggleRefusal } from './undo'

export const HOW_TO_TOGGLE = ['ask', 'anyway', 'waive'] as const

export interface ToggleAsked {
  readonly group: ChangeGroupId
  readonly direction: 'undo' | 'redo'
  /** What to do when it would harm what others did since: say so, do it all the same, or leave the step. */
  readonly how: (typeof HOW_TO_TOGGLE)[number]
}

export type ToggleStep =
  | { readonly kind: 'toggle'; readonly changes: ChangeSet; readonly kept: readonly Kept[] }
  /** A step of its own that does it all the same. */
  | ({ readonly kind: 'anyway' } & AnywayPlan)
  /** The step is passed over; `isLeft` where that was not asked for, but nothing of it can be done. */
  | { readonly kind: 'waive'; readonly isLeft: boolean }
  /** `anyway` is what doing it all the same would be; null where only leaving it leads on. */
  | { readonly kind: 'refused'; readonly refusal: ToggleRefusal; readonly anyway: AnywayPlan | null }

export function toggleStep(show: Show, history: History, { group, direction, how }: ToggleAsked): ToggleStep {
  if (how === 'waive') return { kind: 'waive', isLeft: false }
  const to = direction === 'undo' ? 'dead' : 'live'
  const plan = planToggle(show, history, group, to)
  if (plan.ok) return { kind: 'toggle', changes: plan.changes, kept: plan.kept }
  const anyway = planAnyway(show, history, group, to)
  if (how === 'ask') return { kind: 'refused', refusal: plan.refusal, anyway }
  return anyway && anyway.changes.length > 0 ? { kind: 'anyway', ...anyway } : { kind: 'waive', isLeft: true }
}
