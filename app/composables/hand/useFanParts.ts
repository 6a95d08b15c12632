/** What a fan runs over: the selection, the subsets of its pattern, or each group by itself. */
import { computed, ref } from 'vue'
import { groupsInOrder } from '#core/groups/groups'
import type { FanShape } from '#core/hand/fan'
import type { FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useSelection } from '../../stores/selection'

export const FAN_OVERS = ['selection', 'subsets', 'each group'] as const

export function useFanParts(show: () => Show) {
  const selection = useSelection()
  const over = ref<(typeof FAN_OVERS)[number]>('selection')

  const parts = computed<FixtureId[][]>(() => {
    if (over.value === 'subsets' && selection.subsets.length > 0) return selection.subsets.map((subset) => [...subset])
    if (over.value === 'each group') return partsByGroup(show(), selection.fixtures)
    return selection.fixtures.length > 0 ? [[...selection.fixtures]] : []
  })
  const run = computed<FanShape['run']>(() =>
    over.value === 'subsets' && selection.subsets.length > 0 ? 'across' : 'within',
  )

  return { over, parts, run }
}

/** Each fixture goes with the first group it is in; those in none are a part of their own. */
function partsByGroup(show: Show, fixtures: readonly FixtureId[]): FixtureId[][] {
  const left = new Set(fixtures)
  const parts = groupsInOrder(show).map(({ members }) => {
    const part = members.filter((id) => left.has(id))
    for (const id of part) left.delete(id)
    return part
  })
  return [...parts, [...left]].filter((part) => part.length > 0)
}
