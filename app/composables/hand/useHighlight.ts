/** What a person brings out to be seen. */
import { computed, watch } from 'vue'
import type { HIGHLIGHTS } from '#core/show/entities'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'

type Highlight = (typeof HIGHLIGHTS)[number]

export function useHighlight() {
  const store = useShow()
  const selection = useSelection()
  const highlight = computed<Highlight>(
    () => (store.person && store.view?.all.person.get(store.person)?.highlight) ?? 'off',
  )

  function set(how: Highlight) {
    void store.send('setHighlight', { highlight: how, fixtures: [...selection.fixtures] })
  }

  /** Off and on again in the way it was last. */
  let last: Highlight = 'brighter'
  function toggle() {
    if (highlight.value === 'off') return set(last)
    last = highlight.value
    set('off')
  }

  return { highlight, set, toggle }
}

/** What is brought out follows what is worked on in this window. */
export function useHighlightFollowing() {
  const selection = useSelection()
  const { highlight, set } = useHighlight()
  watch(
    () => selection.fixtures,
    () => {
      if (highlight.value !== 'off') set(highlight.value)
    },
  )
}
