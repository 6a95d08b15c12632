/** Blind: the hand is worked on without touching what the stage shows. */
import { computed } from 'vue'
import { useShow } from '../../stores/show'

export function useBlind() {
  const store = useShow()
  const isBlind = computed(() => (store.person && store.view?.all.person.get(store.person)?.blind) === true)
  const set = (blind: boolean) => void store.send('setBlind', { blind })
  return { isBlind, set }
}
