/**
 * A change that is shown before it is done: of the stage, of palettes, of cues. It is previewed with
 * what it carries along, and with what is kept out of it, until the person keeps it or puts it back.
 */
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Refusal } from '#core/commands/command'
import type { CommandInput } from '#core/commands/registry'
import { NO_EFFECTS, type Effects } from '#core/refocus/effects'
import type { LooseValue } from '#core/refocus/looseValues'
import type { Show } from '#core/show/show'
import { InTurn } from '../session/inTurn'
import { isEmpty, useAsking, type AskedChange, type StageChange } from './asking'
import { useConsequences, type ProposedStep } from './consequences'
import { useMessages } from './messages'
import { useHeldBack } from './heldBack'
import { useShow } from './show'

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

/** A change nothing is known of yet is shown after so long, milliseconds. */
const PATIENCE = 200

export const useProposal = defineStore('proposal', () => {
  const show = useShow()
  const messages = useMessages()
  const { asking, nothingLeansOn } = useAsking()
  const { exclusions, lookedCue, forget, exclude, look } = useHeldBack()
  const asked = shallowRef<AskedChange | null>(null)
  /** What was offered is decided in the order it was offered in. */
  const decisions = new InTurn()
  /** What the person has committed, or put back after it was shown. */
  const answered = new WeakSet<AskedChange>()
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
  async function effectsOnceKnown(one: AskedChange): Promise<Effects | null> {
    await known()
    return asked.value === one && after.value ? (found.value?.effects ?? null) : null
  }

  /** Begins to ask for something; what was asked under the same drag goes on. */
  function begin(one: AskedChange) {
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
    if (outcome.value?.ok === false) messages.refuse(name, outcome.value.refusal.message)
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
    const { doing } = await decisions.next(async () => {
      if (!(await isDoneAtOnce(mine))) return { doing: null }
      if (asked.value === mine) cancel()
      return { doing: show.ask(name, input) }
    })
    return doing
  }

  /**
   * Whether something offered is done without showing it. What was left for something else before
   * that was known is done where nothing leans on it, and put back where something does.
   */
  async function isDoneAtOnce(one: AskedChange): Promise<boolean> {
    const effects = await effectsOnceKnown(one)
    if (answered.has(one)) return false
    if (asked.value === one) return effects === null || isEmpty(effects)
    return nothingLeansOn(one)
  }

  /** Offers a change; a refusal is told to the person, and what was shown under the drag is put back. */
  async function offerOrSay<N extends StageChange>(name: N, input: CommandInput<N>) {
    const refusal = await offer(name, input)
    if (!refusal) return
    if (asked.value?.settled === false) cancel()
    messages.refuse(name, refusal.message)
  }

  async function commit() {
    const one = asked.value
    const out = exclusions.value
    if (one) answered.add(one)
    cancel()
    await one?.send(out)
  }

  /** Puts back what is shown; of what is not told yet, it puts back what something leans on. */
  function cancel() {
    clearTimeout(patience)
    if (isShown.value && asked.value) answered.add(asked.value)
    asked.value = null
    forgetFound()
    isShown.value = false
    forget()
  }

  /** Ends once everything offered so far is done or shown. */
  const decided = () => decisions.next(async () => undefined)

  return {
    current,
    pending,
    drawn,
    exclusions,
    lookedCue,
    propose,
    offer,
    offerOrSay,
    decided,
    commit,
    cancel,
    exclude,
    look,
  }
})
