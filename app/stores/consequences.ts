/** What the newest of what is proposed carries along, worked out beside the page: once for each show it is proposed on. */
import { shallowRef, watch, type ComputedRef } from 'vue'
import type { Outcome } from '#core/commands/command'
import type { Show } from '#core/show/show'
import { LatestOnly } from '../session/latestOnly'
import type { Consequences } from '../session/showCopy'
import { useConfirmed } from './confirmed'

export interface ProposedStep {
  readonly of: Outcome
  readonly before: Show
  readonly after: Show
  readonly isSettled: boolean
}

interface Found extends Consequences {
  readonly of: Outcome
}

/** `found` is of an earlier step until `of` is that of the newest. */
export function useConsequences(step: ComputedRef<ProposedStep | null>) {
  const ground = useConfirmed()
  const found = shallowRef<Found | null>(null)
  const newest = new LatestOnly<Consequences>()
  /** Counts what was forgotten: what is still worked out for it tells nothing of what came after. */
  let round = 0
  let working = Promise.resolve()

  async function work(): Promise<void> {
    const one = step.value
    if (!one) return
    const begunIn = round
    const consequences = await newest.ask(() => ground.consequences(one.before, one.after, one.isSettled))
    if (consequences && round === begunIn) found.value = { ...consequences, of: one.of }
  }
  watch(step, () => (working = work()), { flush: 'sync' })

  function forget() {
    round += 1
    found.value = null
  }

  /** Ends once the newest step's consequences are found, or there is no step any more. */
  async function known(): Promise<void> {
    while (step.value && found.value?.of !== step.value.of) await working
  }

  return { found, forget, known }
}
