/** The moves of every list that are too fast for the motors: looked for a few cues at a time, while nothing else is to be done. */
import { defineStore } from 'pinia'
import { shallowRef, watch } from 'vue'
import { listsInOrder } from '#core/cues/tracking'
import type { CueId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { tooFastIn } from '#core/travel/motors'
import { useShow } from './show'

/** A cue with moves that are too fast. */
export interface FastCue {
  readonly cue: CueId
  readonly fixtures: number
  /** The furthest any light of it is behind, metres. */
  readonly lagMetres: number
  readonly isLit: boolean
}

/** Milliseconds in which cues are looked at before the page has its turn. */
const SLICE = 6
const whenIdle = (work: () => void) =>
  typeof requestIdleCallback === 'undefined' ? setTimeout(work, SLICE) : requestIdleCallback(work)

export const useMotorCheck = defineStore('motorCheck', () => {
  const store = useShow()
  const found = shallowRef<readonly FastCue[]>([])
  const isLooking = shallowRef(false)
  /** Counts what was begun: a change of the show begins anew. */
  let round = 0

  function fastCue(show: Show, cue: CueId): FastCue[] {
    const moves = tooFastIn(show, cue)
    if (moves.length === 0) return []
    const lagMetres = Math.max(...moves.map((move) => move.lagMetres ?? 0))
    return [{ cue, fixtures: moves.length, lagMetres, isLit: moves.some((move) => move.isLit) }]
  }

  function begin(show: Show | null) {
    round += 1
    if (!show) return
    const own = round
    const cues = listsInOrder(show).flatMap((list) => list.cues.map(({ id }) => id))
    const gathered: FastCue[] = []
    let at = 0
    const goOn = () => {
      if (own !== round) return
      const until = performance.now() + SLICE
      for (; at < cues.length && performance.now() < until; at++) {
        const cue = cues[at]
        if (cue) gathered.push(...fastCue(show, cue))
      }
      if (at < cues.length) return void whenIdle(goOn)
      found.value = gathered
      isLooking.value = false
    }
    isLooking.value = true
    whenIdle(goOn)
  }

  /** Looks on as long as somebody wants to know. */
  function follow() {
    return watch(() => store.view, begin, { immediate: true })
  }

  return { found, isLooking, follow }
})
