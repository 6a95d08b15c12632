/** Which dialog is open in this window. One at a time. */
import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { GroupId } from '#core/show/ids'

/** Dialogs that are opened by name. */
export const DIALOG_NAMES = {
  'new show': 'New show',
  tables: 'Open tables',
  'rig file': 'Open a rig file, drawing or picture',
  'cue text': 'Open cue text',
  'seen tables': 'Take out a table',
  history: 'History',
  people: 'People and links',
  restore: 'Open a back-up',
  guide: 'Guide',
  keys: 'Keyboard map',
} as const

export type DialogId = keyof typeof DIALOG_NAMES | 'find'

export const useDialogs = defineStore('dialogs', () => {
  const open = ref<DialogId | null>(null)
  /** The group that is being extended to its new members. */
  const extendingGroup = ref<GroupId | null>(null)
  const close = () => (open.value = null)
  return { open, extendingGroup, close }
})
