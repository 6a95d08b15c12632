/** Listens for the keys of actions while a component is there. */
import { useEventListener } from '@vueuse/core'
import { keyOf, type ActionId } from '../keys/actions'
import { useKeyMap } from '../stores/keys'
import { isTyping } from './isTyping'

export type Acts = Partial<Readonly<Record<ActionId, () => void>>>

export function useActions(acts: Acts) {
  const map = useKeyMap()
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
