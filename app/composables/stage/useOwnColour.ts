/** Whether light that is not selected is in its own colour on the plan: as each person likes it. */
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { useShow } from '../../stores/show'

export function useOwnColour() {
  const store = useShow()
  const byPerson = useLocalStorage<Record<string, boolean>>('rhopander-own-colour', {})
  return computed({
    get: () => store.person !== null && byPerson.value[store.person] === true,
    set: (wish) => {
      if (store.person) byPerson.value = { ...byPerson.value, [store.person]: wish }
    },
  })
}
