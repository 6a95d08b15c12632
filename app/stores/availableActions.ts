/** What the components that are there can do, by action: what a key does, a name found does too. */
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { ActionId } from '../keys/actions'

export type Acts = Partial<Readonly<Record<ActionId, () => void>>>

export const useAvailableActions = defineStore('atHand', () => {
  const all = shallowRef<readonly Acts[]>([])
  const acts = computed<Acts>(() => Object.assign({}, ...all.value))

  /** Offers actions until they are taken back. */
  function offer(some: Acts): () => void {
    all.value = [...all.value, some]
    return () => (all.value = all.value.filter((one) => one !== some))
  }

  return { acts, offer }
})
