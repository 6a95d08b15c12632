/** What this window does in the Rig room: which form is open beside the stage, which table stands below it. */
import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { ref, watch } from 'vue'
import { useChosen } from './chosen'
import { useSelection } from './selection'

export type RigForm = 'hang' | 'row' | 'set piece' | 'target' | 'venue' | 'layers' | 'underlays'
export type RigTable = 'fixtures' | 'hangs' | 'set pieces' | 'targets'

export const useRigRoom = defineStore('rigRoom', () => {
  const form = ref<RigForm | null>(null)
  const chosen = useChosen()
  const selection = useSelection()
  const table = useLocalStorage<RigTable>('rhopander-rig-table', 'fixtures')
  /** Whoever looks at something else is done with the form. */
  watch([() => chosen.thing, () => selection.fixtures], ([thing, fixtures]) => {
    if (thing || fixtures.length > 0) form.value = null
  })
  return { form, table }
})
