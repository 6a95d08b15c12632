/** Undo and redo of this person's steps, in all their windows. Asked for by step, never optimistic. */
import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { Refusal } from '#core/commands/command'
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
  async function toggle(direction: 'undo' | 'redo', next: () => Step | null) {
    await show.answered()
    const step = next()
    if (!step) return
    const refusal = await ask(direction, step.group, 'ask')
    if (!refusal) return
    if (refusal.code === 'harms others' || refusal.code === 'cannot stand') offerWaysOn(direction, step, refusal)
    else messages.say(refusal.message, 'trouble')
  }

  /** A step that others have built on would block the way for ever without these. */
  function offerWaysOn(direction: 'undo' | 'redo', step: Step, { code, message }: Refusal) {
    const leave = { label: 'Leave it, go on', run: () => void ask(direction, step.group, 'waive') }
    const insist = {
      label: `${direction === 'undo' ? 'Undo' : 'Redo'} all the same`,
      run: () => void ask(direction, step.group, 'anyway'),
    }
    messages.say(message, 'trouble', code === 'harms others' ? [leave, insist] : [leave])
  }

  const undo = () => toggle('undo', () => nextUndo.value)
  const redo = () => toggle('redo', () => nextRedo.value)

  return { nextUndo, nextRedo, undo, redo }
})
