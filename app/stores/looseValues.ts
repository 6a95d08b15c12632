/** The loose values of the show as it is drawn, and how near a palette must stand. Worked out once for all who tell of them. */
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { looseValues, USUAL_LIMITS } from '#core/refocus/looseValues'
import { numberTyped } from '#core/show/numberTyped'
import { useProposal } from './proposal'

/** What is typed as a limit; what is no number is nothing. */
const limitTyped = (text: string) => Math.max(0, numberTyped(text) ?? 0)

export const useLooseValues = defineStore('looseValues', () => {
  const proposal = useProposal()
  /** The limits as they are typed: metres, degrees, per cent of a range. */
  const metres = ref(String(USUAL_LIMITS.metres))
  const degrees = ref(String(USUAL_LIMITS.degrees))
  const percent = ref(String(USUAL_LIMITS.part * 100))
  const limits = computed(() => ({
    metres: limitTyped(metres.value),
    degrees: limitTyped(degrees.value),
    part: limitTyped(percent.value) / 100,
  }))
  const all = computed(() => (proposal.drawn ? looseValues(proposal.drawn, limits.value) : []))
  /** How many stand beside a palette; levels are loose by nature. */
  const beside = computed(() => all.value.filter(({ family, near }) => near && family !== 'intensity').length)

  return { metres, degrees, percent, all, beside }
})
