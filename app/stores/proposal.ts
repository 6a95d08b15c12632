/**
 * A change that is shown before it is done: of the stage, of palettes, of cues. It is previewed with
 * what it carries along, and with what is kept out of it, until the person keeps it or puts it back.
 */
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Outcome, Refusal } from '#core/commands/command'
import type { CommandInput, CommandName } from '#core/commands/registry'
import { effectsOf, type Effects } from '#core/refocus/effects'
import { keepsAnything, NOTHING_KEPT, type KeptOut } from '#core/refocus/keepOut'
import type { CueId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useMessages } from './messages'
import { useShow } from './show'

/** What is shown before it is done because palettes or cues may lean on it. */
export type StageChange = Extract<
  CommandName,
  | 'moveTarget'
  | 'moveSetPiece'
  | 'moveHang'
  | 'switchVenue'
  | 'changeCueList'
  | 'changeFixtures'
  | 'changeGroup'
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
  readonly attempt: (kept: KeptOut) => Outcome
  readonly send: (kept: KeptOut) => Promise<boolean>
  readonly settled: boolean
}

function isEmpty({ palettes, changed, cues, losingReach, absent, staysBehind, looks }: Effects): boolean {
  const parts = [palettes, changed, cues, losingReach, absent, staysBehind, looks]
  return parts.every(({ length }) => length === 0)
}

export const useProposal = defineStore('proposal', () => {
  const show = useShow()
  const messages = useMessages()
  const asked = shallowRef<Asked | null>(null)
  /** What is held as it was instead of following. */
  const kept = shallowRef<KeptOut>(NOTHING_KEPT)
  /** The cue that is seen on both sides of the change. */
  const lookedCue = ref<CueId | null>(null)

  /** What is proposed, on the show as it is now: when someone else changes it, so does what follows. */
  const current = computed<Proposal | null>(() => {
    const outcome = asked.value?.attempt(kept.value)
    if (!asked.value || !show.view || !outcome?.ok || outcome.changes.length === 0) return null
    const after = outcome.after()
    return { title: outcome.label, after, effects: effectsOf(show.view, after), settled: asked.value.settled }
  })

  /** The show to draw: with the proposed change, if there is one. */
  const drawn = computed(() => current.value?.after ?? show.view)

  const keeping = <N extends StageChange>(name: N, input: CommandInput<N>, { fixtures, cues, families }: KeptOut) => ({
    name,
    input,
    keepOut: { fixtures: [...fixtures], cues: [...cues], families: [...families] },
  })

  /** Shows what a change does. A refused one is told and shows nothing. */
  function propose<N extends StageChange>(name: N, input: CommandInput<N>, settled: boolean) {
    if (!settled || !asked.value) forget()
    const attempt = (out: KeptOut) =>
      keepsAnything(out) ? show.attempt('keepingOut', keeping(name, input, out)) : show.attempt(name, input)
    const outcome = attempt(NOTHING_KEPT)
    if (!outcome.ok) messages.say(outcome.refusal.message, 'trouble')
    const send = (out: KeptOut) =>
      keepsAnything(out) ? show.send('keepingOut', keeping(name, input, out)) : show.send(name, input)
    asked.value = { attempt, send, settled }
  }

  /**
   * Does at once what nothing leans on; what palettes or cues lean on is shown before it is done.
   * Resolves to the refusal, if there was one, for whoever asked to show it.
   */
  async function offer<N extends StageChange>(name: N, input: CommandInput<N>): Promise<Refusal | null> {
    const outcome = show.attempt(name, input)
    if (!outcome.ok) return outcome.refusal
    forget()
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
    const one = asked.value
    const out = kept.value
    putBack()
    await one?.send(out)
  }

  function putBack() {
    asked.value = null
    forget()
  }

  function forget() {
    kept.value = NOTHING_KEPT
    lookedCue.value = null
  }

  /** Keeps more out of the change, or lets it follow again. */
  function keepOut(change: Partial<KeptOut>) {
    kept.value = { ...kept.value, ...change }
  }

  /** Sees a cue before and after; seen once more, lets go of it. */
  function look(cue: CueId) {
    lookedCue.value = lookedCue.value === cue ? null : cue
  }

  return { current, drawn, kept, lookedCue, propose, offer, offerOrSay, keep, putBack, keepOut, look }
})
