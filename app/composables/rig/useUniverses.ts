/** The universes anything is patched in, and what their maps need: tints by type, what is selected. */
import { group } from 'd3-array'
import { computed } from 'vue'
import { spansOf } from '#core/patch/span'
import type { FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useSelection } from '../../stores/selection'

export function useUniverses(show: () => Show) {
  const selection = useSelection()
  const selected = computed(() => new Set<string>(selection.fixtures))
  const universes = computed(() =>
    [...group(spansOf(show()), ({ universe }) => universe)]
      .map(([universe, spans]) => ({ universe, spans }))
      .sort((a, b) => a.universe - b.universe),
  )
  /** By fixture a number from 0, the same for a type. */
  const tints = computed(() => {
    const { all } = show()
    const types = [...all.fixtureType.keys()]
    return new Map([...all.fixture].map(([id, { type }]) => [id, Math.max(0, types.indexOf(type ?? ''))]))
  })
  function select(fixture: FixtureId, add: boolean) {
    if (add) selection.toggle([fixture])
    else selection.set([fixture])
  }
  return { universes, tints, selected, select }
}
