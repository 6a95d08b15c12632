/** Tells the server what is selected in this window, while controls act on the hand of whoever works in it. */
import { useDebounceFn } from '@vueuse/core'
import { computed, watch } from 'vue'
import { z } from 'zod'
import { controlLineOf } from '#core/show/controlLine'
import { request } from '../../session/request'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'

const answer = z.object({ isTaken: z.boolean() })
/** Milliseconds; nobody reaches for a control sooner. */
const SETTLED = 120

export function useControlledSelection() {
  const store = useShow()
  const selection = useSelection()
  const isWanted = computed(() => {
    if (!store.view || !store.person) return false
    const { isOn, person } = controlLineOf(store.view)
    return isOn && person === store.person
  })
  const tell = useDebounceFn(async () => {
    const show = store.view?.id
    if (!show || !isWanted.value) return
    // Lost where the server is away: what is selected next is told again.
    await request(`/api/shows/${show}/controls/selection`, answer, { fixtures: [...selection.fixtures] })
  }, SETTLED)
  watch([isWanted, () => selection.fixtures, () => store.connected], tell, { immediate: true })
}
