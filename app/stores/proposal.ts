/**
 * A change of the stage that is shown before it is done: a target, set piece or hang that was
 * dragged, or another venue. It is previewed on the plan with what it carries along, until the
 * person keeps it or puts it back.
 */
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { Outcome, Refusal } from '#core/commands/command'
import type { CommandInput, CommandName } from '#core/commands/registry'
import { effectsOf, type Effects } from '#core/refocus/effects'
import { applyChanges } from '#core/show/changes'
import type { Show } from '#core/show/show'
import { useMessages } from './messages'
import { useShow } from './show'

export type StageChange = Extract<
  CommandName,
  | 'moveTarget'
  | 'moveSetPiece'
  | 'moveHang'
  | 'switchVenue'
  | 'changeCueList'
  | 'changeFixtures'
  | 'copyCues'
  | 'deleteCueList'
  | 'deleteCues'
  | 'followAgain'
  | 'linkLoose'
  | 'moveCues'
  | 'replaceFixture'
  | 'replacePaletteInCues'
  | 'changeTarget'
  | 'changeType'
  | 'pasteFixtures'
  | 'deletePalettes'
  | 'keepPalette'
  | 'removeFromPalette'
  | 'splitPalette'
  | 'spreadPalette'
  | 'storeInPalette'
  | 'updatePalettes'
>

export interface Proposal {
  readonly title: string
  readonly after: Show
  readonly effects: Effects
  /** False while the pointer still drags. */
  readonly settled: boolean
}

interface Asked {
  readonly attempt: () => Outcome
  readonly send: () => Promise<boolean>
  readonly settled: boolean
}

function isEmpty({ palettes, changed, cues, losingReach, staysBehind, looks }: Effects): boolean {
  const parts = [palettes, changed, cues, losingReach, staysBehind, looks]
  return parts.every(({ length }) => length === 0)
}

export const useProposal = defineStore('proposal', () => {
  const show = useShow()
  const messages = useMessages()
  const asked = shallowRef<Asked | null>(null)

  /** What is proposed, on the show as it is now: when someone else changes it, so does what follows. */
  const current = computed<Proposal | null>(() => {
    const outcome = asked.value?.attempt()
    if (!asked.value || !show.view || !outcome?.ok || outcome.changes.length === 0) return null
    const after = applyChanges(show.view, outcome.changes)
    return { title: outcome.label, after, effects: effectsOf(show.view, after), settled: asked.value.settled }
  })

  /** The show to draw: with the proposed change, if there is one. */
  const drawn = computed(() => current.value?.after ?? show.view)

  /** Shows what a change does. A refused one is told and shows nothing. */
  function propose<N extends StageChange>(name: N, input: CommandInput<N>, settled: boolean) {
    const attempt = () => show.attempt(name, input)
    const outcome = attempt()
    if (!outcome.ok) messages.say(outcome.refusal.message, 'trouble')
    asked.value = { attempt, send: () => show.send(name, input), settled }
  }

  /**
   * Does at once what nothing leans on; what palettes or cues lean on is shown before it is done.
   * Resolves to the refusal, if there was one, for whoever asked to show it.
   */
  async function offer<N extends StageChange>(name: N, input: CommandInput<N>): Promise<Refusal | null> {
    const outcome = show.attempt(name, input)
    if (!outcome.ok) return outcome.refusal
    propose(name, input, true)
    const effects = current.value?.effects
    if (effects && !isEmpty(effects)) return null
    putBack()
    return show.ask(name, input)
  }

  /** Offers a change; a refusal is told to the person. */
  async function offerOrSay<N extends StageChange>(name: N, input: CommandInput<N>) {
    const refusal = await offer(name, input)
    if (!refusal) return
    putBack()
    messages.say(refusal.message, 'trouble')
  }

  async function keep() {
    const kept = asked.value
    asked.value = null
    await kept?.send()
  }

  function putBack() {
    asked.value = null
  }

  return { current, drawn, propose, offer, offerOrSay, keep, putBack }
})
