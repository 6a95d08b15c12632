/** What this window does with groups: which one is being extended to its new members. */
import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { GroupId } from '#core/show/ids'

export const useGroupDesk = defineStore('groupDesk', () => {
  const extending = ref<GroupId | null>(null)
  return { extending }
})
