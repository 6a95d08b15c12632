/** Undo and redo of this person's steps, in all their windows. Asked for by step, never optimistic. */
import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { Refusal } from '#core/commands/command'
import type { ChangeGroupId } from '#core/show/ids'
import { useMessages } from './messages'
import { useProposal } from './proposal'
import { useSending } from './sending'
import { useShow } from './show'

export const useUndo = defineStore('undo', () => {
  const show = useShow()
  const messages = useMessages()
  const sending = useSending()
  const proposal = useProposal()
  const nextUndo = computed(() => show.undoState.undo)
  const nextRedo = computed(() => show.undoState.redo)

  function ask(direction: 'undo' | 'redo', group: ChangeGroupId | null, how: 'ask' | 'anyway' | 'waive') {
    return sending.put({ kind: 'toggle', direction, group, how })
  }

  /** Its turn comes after what is under way: the step that is next then is meant. */
  async function toggle(direction: 'undo' | 'redo') {
    await proposal.decided()
    const { refusal, group } = await ask(direction, null, 'ask')
    if (!refusal) return
    const hasWaysOn = refusal.code === 'harms others' || refusal.code === 'cannot stand'
    if (group && hasWaysOn) offerWaysOn(direction, group, refusal)
    else messages.say(refusal.message, 'trouble')
  }

  /** A step that others have built on would block the way for ever without these. */
  function offerWaysOn(direction: 'undo' | 'redo', group: ChangeGroupId, { code, message }: Refusal) {
    const leave = { label: 'Leave it, go on', run: () => void ask(direction, group, 'waive') }
    const insist = {
      label: `${direction === 'undo' ? 'Undo' : 'Redo'} all the same`,
      run: () => void ask(direction, group, 'anyway'),
    }
    messages.say(message, 'trouble', code === 'harms others' ? [leave, insist] : [leave])
  }

  const undo = () => toggle('undo')
  const redo = () => toggle('redo')

  return { nextUndo, nextRedo, undo, redo }
})
