/**
 * A change of the stage that is shown before it is done: a target, set piece or hang that was
 * dragged, or another venue. It is previewed on the plan with what it carries along, until the
 * person keeps it or puts it back.
 */
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { CommandInput, CommandName } from '#core/commands/registry'
import { effectsOf, type Effects } from '#core/refocus/effects'
import type { Show } from '#core/show/show'
import { useMessages } from './messages'
import { useShow } from './show'

type StageChange = Extract<CommandName, 'moveTarget' | 'moveSetPiece' | 'moveHang' | 'switchVenue'>

export interface Proposal {
  readonly title: string
  readonly after: Show
  readonly effects: Effects
  /** False while the pointer still drags. */
  readonly settled: boolean
  readonly send: () => Promise<boolean>
}

export const useProposal = defineStore('proposal', () => {
  const show = useShow()
  const messages = useMessages()
  const current = shallowRef<Proposal | null>(null)
  /** The show to draw: with the proposed change, if there is one. */
  const drawn = computed(() => current.value?.after ?? show.view)

  /** Works out what a change does and shows it. A refused one is told and shows nothing. */
  function propose<N extends StageChange>(name: N, input: CommandInput<N>, settled: boolean) {
    const outcome = show.attempt(name, input)
    if (!outcome.ok) {
      messages.say(outcome.refusal.message, 'trouble')
      return
    }
    const after = show.preview(name, input)
    if (!show.view || !after || outcome.changes.length === 0) {
      current.value = null
      return
    }
    const effects = effectsOf(show.view, after)
    current.value = { title: outcome.label, after, effects, settled, send: () => show.send(name, input) }
  }

  function settle() {
    if (current.value) current.value = { ...current.value, settled: true }
  }

  async function keep() {
    const proposal = current.value
    current.value = null
    await proposal?.send()
  }

  function putBack() {
    current.value = null
  }

  return { current, drawn, propose, settle, keep, putBack }
})
