/** What is seen instead of the stage: two pictures side by side, dashed before and solid after. */
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { comparedCue, type Compared } from '#core/cues/comparedCue'
import { useProposal } from './proposal'
import { useShow } from './show'

export const useCompared = defineStore('compared', () => {
  const show = useShow()
  const proposal = useProposal()
  /** A pair put together by whoever looks, such as a loose value and the palette beside it. */
  const pair = shallowRef<Compared | null>(null)

  /** The pair, or a cue on both sides of what is proposed. */
  const pictures = computed<Compared | null>(() => {
    if (pair.value) return pair.value
    const { current, lookedCue } = proposal
    return current && lookedCue && show.view ? comparedCue(show.view, current.after, lookedCue) : null
  })

  return { pair, pictures }
})
