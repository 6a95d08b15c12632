/** What is looked at in the Output room. */
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { doubledOutputs } from '#core/output/outputTroubles'
import { asOutputId, type OutputId } from '#core/show/ids'
import { useShow } from './show'

export const useOutputRoom = defineStore('outputRoom', () => {
  const store = useShow()
  const asked = ref<OutputId | null>(null)
  const isAdding = ref(false)

  const outputs = computed(() =>
    [...(store.view?.all.output ?? [])]
      .map(([id, output]) => ({ id: asOutputId(id), output }))
      .sort((a, b) => a.output.name.localeCompare(b.output.name)),
  )
  /** The output looked at: the one asked for, else the first. */
  const chosen = computed(() => outputs.value.find(({ id }) => id === asked.value) ?? outputs.value[0] ?? null)
  const doubled = computed(() => (store.view ? doubledOutputs(store.view) : new Map()))

  return { asked, isAdding, outputs, chosen, doubled }
})
