/** What two venues do to each cue: looked for beside the page when it is asked for. */
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { CueDifference } from '#core/refocus/cueDifference'
import { byHurt, hurtOf } from '#core/refocus/difference'
import type { CueId } from '#core/show/ids'
import { useConfirmed } from './confirmed'
import { useDifference } from './difference'
import { useShow } from './show'

/** So many are the worst. */
const WORST = 10

export const useCueDifference = defineStore('cueDifference', () => {
  const store = useShow()
  const ground = useConfirmed()
  const venues = useDifference()
  /** Null until it was looked for. */
  const found = shallowRef<readonly CueDifference[] | null>(null)
  /** How far the look has come, 0 to 1; null while none goes on. */
  const part = ref<number | null>(null)
  const onlyWorst = ref(false)
  const looked = ref<CueId | null>(null)
  let looks = 0

  async function look() {
    const own = (looks += 1)
    const { here, there } = venues
    if (!store.view || !here || !there) return
    ;[found.value, part.value] = [null, 0]
    const all: CueDifference[] = []
    const isWhole = await ground.cueDifference(store.view, here, there, (news) => {
      all.push(...news.found)
      if (own === looks && news.part < 1) part.value = news.part
      if (own === looks && news.part === 1) [found.value, part.value] = [all, null]
    })
    if (own === looks && !isWhole) part.value = null
  }
  function stop() {
    looks += 1
    part.value = null
    ground.stop('cue difference')
  }

  /** Those in which something is worse or a head turns, in the order of the show. */
  const changed = computed(() => found.value?.filter((one) => hurtOf(one).some((number) => number > 0)) ?? [])
  const worst = computed(() => [...changed.value].sort(byHurt).slice(0, WORST))
  const shown = computed(() => (onlyWorst.value ? worst.value : changed.value))
  /** The cue that is opened, where it is shown. */
  const opened = computed(() => shown.value.find(({ cue }) => cue === looked.value) ?? null)
  /** To the next or the one before of those shown. */
  function step(by: 1 | -1) {
    const at = shown.value.findIndex(({ cue }) => cue === looked.value)
    const to = at < 0 ? 0 : Math.max(0, Math.min(shown.value.length - 1, at + by))
    looked.value = shown.value[to]?.cue ?? null
  }
  return { found, part, onlyWorst, looked, changed, worst, shown, opened, look, stop, step }
})
