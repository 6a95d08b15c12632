/** Listens for the keys of actions while a component is there, and has them found by name. */
import { useEventListener } from '@vueuse/core'
import { onUnmounted } from 'vue'
import { keyOf } from '../../keys/actions'
import { useAvailableActions, type Acts } from '../../stores/availableActions'
import { useKeyMap } from '../../stores/keys'
import { isTyping } from './isTyping'

export function useActions(acts: Acts) {
  const map = useKeyMap()
  onUnmounted(useAvailableActions().offer(acts))
  useEventListener('keydown', (event) => {
    if (isTyping(event)) return
    // The plus sign needs no Shift on some keyboards, and does on others.
    const action = map.actionOf.get(keyOf(event) === '=' ? '+' : keyOf(event))
    const act = action && acts[action]
    if (!act) return
    event.preventDefault()
    act()
  })
}
