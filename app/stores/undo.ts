/** Undo and redo of this person's steps, in all their windows. Asked for by step, never optimistic. */
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { commandId, type ChangeGroupId } from '#core/show/ids'
import { useMessages } from './messages'
import { useShow } from './show'

interface Step {
  readonly group: ChangeGroupId
  readonly label: string
}

export const useUndo = defineStore('undo', () => {
  const show = useShow()
  const messages = useMessages()
  const nextUndo = computed(() => show.undoState.undo)
  const nextRedo = computed(() => show.undoState.redo)

  function ask(direction: 'undo' | 'redo', group: ChangeGroupId, how: 'ask' | 'anyway' | 'waive') {
    return show.post('undo', { id: commandId.parse(crypto.randomUUID()), direction, group, how })
  }

  /** What was done a moment ago may still be under way: it is the step that is meant. */
  async function toggle(direction: 'undo' | 'redo', next: () => Step | null, done: string) {
    await show.answered()
    const step = next()
    if (!step) return
    const refusal = await ask(direction, step.group, 'ask')
    if (!refusal) messages.say(`${done}: ${step.label}.`)
    else if (direction === 'undo' && (refusal.code === 'built on' || refusal.code === 'leaned on'))
      offerWaysOn(step, refusal.message)
    else messages.say(refusal.message, 'trouble')
  }

  /** A step that others have built on would block the way back for ever without these. */
  function offerWaysOn(step: Step, message: string) {
    messages.say(message, 'trouble', [
      { label: 'Leave it, go on', run: () => void ask('undo', step.group, 'waive') },
      { label: 'Undo all the same', run: () => void ask('undo', step.group, 'anyway') },
    ])
  }

  const undo = () => toggle('undo', () => nextUndo.value, 'Undone')
  const redo = () => toggle('redo', () => nextRedo.value, 'Redone')

  return { nextUndo, nextRedo, undo, redo }
})
