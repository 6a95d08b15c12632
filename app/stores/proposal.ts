/**
 * A change that is shown before it is done: of the stage, of palettes, of cues. It is previewed with
 * what it carries along, and with what is kept out of it, until the person keeps it or puts it back.
 */
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Outcome, Refusal } from '#core/commands/command'
import type { CommandInput, CommandName } from '#core/commands/registry'
import { NO_EFFECTS, type Effects } from '#core/refocus/effects'
import { hasExclusions, NO_EXCLUSIONS, type Exclusions } from '#core/refocus/exclusions'
import type { LooseValue } from '#core/refocus/looseValues'
import type { CueId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useConsequences, type ProposedStep } from './consequences'
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
  /** What it carries along; of an earlier moment of the drag while `isReckoned` is false. */
  readonly effects: Effects
  /** Loose values that a settled change leaves beside what moves. */
  readonly leftBehind: readonly LooseValue[]
  readonly isReckoned: boolean
  /** False while the pointer still drags. */
  readonly settled: boolean
}

interface Asked {
  readonly change: StageChange
  readonly attempt: (excluded: Exclusions) => Outcome
  readonly send: (excluded: Exclusions) => Promise<boolean>
  readonly settled: boolean
}

/** A change nothing is known of yet is shown after so long, milliseconds. */
const PATIENCE = 200

function isEmpty({ palettes, changed, cues, losingReach, absent, staysBehind, looks }: Effects): boolean {
  const parts = [palettes, changed, cues, losingReach, absent, staysBehind, looks]
  return parts.every(({ length }) => length === 0)
}

export const useProposal = defineStore('proposal', () => {
  const show = useShow()
  const messages = useMessages()
  const asked = shallowRef<Asked | null>(null)
  /** What is held as it was instead of following. */
  const exclusions = shallowRef<Exclusions>(NO_EXCLUSIONS)
  /** The cue that is seen on both sides of the change. */
  const lookedCue = ref<CueId | null>(null)

  /** What is proposed does, on the show as it is now: when someone else changes it, so does what follows. */
  const outcome = computed(() => asked.value?.attempt(exclusions.value) ?? null)
  const after = computed(() => (outcome.value?.ok && outcome.value.changes.length > 0 ? outcome.value.after() : null))
  const step = computed<ProposedStep | null>(() =>
    outcome.value && asked.value && show.view && after.value
      ? { of: outcome.value, before: show.view, after: after.value, isSettled: asked.value.settled }
      : null,
  )
  const { found, forget: forgetFound, known } = useConsequences(step)
  /** Whether what is proposed is told: not before something is known of it, or that takes its time. */
  const isShown = ref(false)
  let patience: ReturnType<typeof setTimeout> | undefined
  watch(found, () => (isShown.value ||= found.value !== null), { flush: 'sync' })

  const current = computed<Proposal | null>(() => {
    if (!isShown.value || !asked.value || !outcome.value?.ok || !after.value) return null
    return {
      title: outcome.value.label,
      after: after.value,
      effects: found.value?.effects ?? NO_EFFECTS,
      leftBehind: found.value?.leftBehind ?? [],
      isReckoned: found.value?.of === outcome.value,
      settled: asked.value.settled,
    }
  })

  /** What is asked for, whether it is told yet or not: it can be committed or cancelled at once. */
  const pending = computed(() => (after.value && asked.value ? { settled: asked.value.settled } : null))

  /** The show to draw: with the proposed change, if there is one. */
  const drawn = computed(() => after.value ?? show.view)

  /** What a proposal carries along, on the show as it is by then; null once it is no longer asked for, or does nothing. */
  async function effectsOnceKnown(one: Asked): Promise<Effects | null> {
    await known()
    return asked.value === one && after.value ? (found.value?.effects ?? null) : null
  }

  const keeping = <N extends StageChange>(
    name: N,
    input: CommandInput<N>,
    { fixtures, cues, families }: Exclusions,
  ) => ({
    name,
    input,
    keepOut: { fixtures: [...fixtures], cues: [...cues], families: [...families] },
  })

  const asking = <N extends StageChange>(name: N, input: CommandInput<N>, settled: boolean): Asked => ({
    change: name,
    attempt: (out) =>
      hasExclusions(out) ? show.attempt('keepingOut', keeping(name, input, out)) : show.attempt(name, input),
    send: (out) => (hasExclusions(out) ? show.send('keepingOut', keeping(name, input, out)) : show.send(name, input)),
    settled,
  })

  /** Begins to ask for something; what was asked under the same drag goes on. */
  function begin(one: Asked) {
    if (!one.settled || !asked.value) forget()
    if (asked.value?.change !== one.change) forgetFound()
    if (!asked.value) {
      clearTimeout(patience)
      patience = setTimeout(() => (isShown.value = asked.value !== null), PATIENCE)
    }
    asked.value = one
  }

  /** Shows what a change does. A refused one is told and shows nothing. */
  function propose<N extends StageChange>(name: N, input: CommandInput<N>, settled: boolean) {
    begin(asking(name, input, settled))
    if (outcome.value?.ok === false) messages.say(outcome.value.refusal.message, 'trouble')
  }

  /**
   * Does at once what nothing leans on; what palettes or cues lean on is shown before it is done.
   * Resolves to the refusal, if there was one, for whoever asked to show it.
   */
  async function offer<N extends StageChange>(name: N, input: CommandInput<N>): Promise<Refusal | null> {
    const [before, excluded] = [asked.value, exclusions.value]
    const mine = asking(name, input, true)
    forget()
    begin(mine)
    if (outcome.value?.ok === false) {
      const { refusal } = outcome.value
      exclusions.value = excluded
      asked.value = before
      return refusal
    }
    const effects = await effectsOnceKnown(mine)
    if (asked.value !== mine) return null
    if (effects && !isEmpty(effects)) return null
    cancel()
    return show.ask(name, input)
  }

  /** Offers a change; a refusal is told to the person. */
  async function offerOrSay<N extends StageChange>(name: N, input: CommandInput<N>) {
    const refusal = await offer(name, input)
    if (!refusal) return
    cancel()
    messages.say(refusal.message, 'trouble')
  }

  async function commit() {
    const one = asked.value
    const out = exclusions.value
    cancel()
    await one?.send(out)
  }

  function cancel() {
    clearTimeout(patience)
    asked.value = null
    forgetFound()
    isShown.value = false
    forget()
  }

  function forget() {
    exclusions.value = NO_EXCLUSIONS
    lookedCue.value = null
  }

  /** Keeps more out of the change, or lets it follow again. */
  function exclude(change: Partial<Exclusions>) {
    exclusions.value = { ...exclusions.value, ...change }
  }

  /** Sees a cue before and after; seen once more, lets go of it. */
  function look(cue: CueId) {
    lookedCue.value = lookedCue.value === cue ? null : cue
  }

  return { current, pending, drawn, exclusions, lookedCue, propose, offer, offerOrSay, commit, cancel, exclude, look }
})
