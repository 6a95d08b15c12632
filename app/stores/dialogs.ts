/** Which dialog is open in this window. One at a time. */
import { defineStore } from 'pinia'
import { ref } from 'vue'

export const useDialogs = defineStore('dialogs', () => {
  const open = ref<'import' | 'new show' | 'keys' | 'history' | 'restore' | null>(null)
  const close = () => (open.value = null)
  return { open, close }
})
