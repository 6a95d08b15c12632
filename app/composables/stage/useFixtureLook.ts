/** How the sign of a fixture is drawn by what the window does with it. */
import type { FixtureId } from '#core/show/ids'
import { useSelection } from '../../stores/selection'
import { useWorkingSet } from '../../stores/workingSet'

/** Worked on, selected but waiting its turn, outside the working set, or just there. */
export type FixtureLook = 'selected' | 'waiting' | 'shut out' | 'there'

export const SIGN_CLASS: Readonly<Record<FixtureLook, string>> = {
  selected: 'fill-coral-deep stroke-coral',
  waiting: 'fill-night stroke-coral [stroke-dasharray:2_2]',
  'shut out': 'fill-night stroke-rule-2',
  there: 'fill-night stroke-mist',
}
export const NUMBER_CLASS: Readonly<Record<FixtureLook, string>> = {
  selected: 'fill-coral',
  waiting: 'fill-coral',
  'shut out': 'fill-haze',
  there: 'fill-mist',
}

export function useFixtureLook() {
  const selection = useSelection()
  const workingSet = useWorkingSet()

  /** The look of a sign that stands for these fixtures. */
  return function lookOf(fixtures: readonly FixtureId[]): FixtureLook {
    if (fixtures.some((id) => selection.order.has(id))) return 'selected'
    if (fixtures.some((id) => selection.waiting.has(id))) return 'waiting'
    return fixtures.some((id) => workingSet.isIn(id)) ? 'there' : 'shut out'
  }
}
