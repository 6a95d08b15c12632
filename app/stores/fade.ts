/** A recall that takes its time: this window's stage goes over from what it showed to what is set. */
import { useRafFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { fadedTo } from '#core/cues/fade'
import type { StageFixture } from '#core/cues/onStage'
import type { FixtureId } from '#core/show/ids'

export const useFade = defineStore('fade', () => {
  const from = shallowRef<ReadonlyMap<FixtureId, StageFixture> | null>(null)
  /** How far it has come, 0 to 1. */
  const progress = ref(1)
  let began = 0
  let milliseconds = 0

  const clock = useRafFn(
    ({ timestamp }) => {
      progress.value = Math.min(1, Math.max(0, (timestamp - began) / milliseconds))
      if (progress.value < 1) return
      from.value = null
      clock.pause()
    },
    { immediate: false },
  )

  /** Goes over from a picture to whatever the stage shows next; at once for no time. */
  function begin(picture: ReadonlyMap<FixtureId, StageFixture>, seconds: number) {
    if (seconds <= 0) return
    from.value = new Map(picture)
    began = performance.now()
    milliseconds = seconds * 1000
    progress.value = 0
    clock.resume()
  }

  /** The picture on its way; the same one when nothing is. */
  function onTheWay(picture: ReadonlyMap<FixtureId, StageFixture>): ReadonlyMap<FixtureId, StageFixture> {
    const before = from.value
    if (!before) return picture
    const t = progress.value
    return new Map(
      [...picture].map(([id, to]) => {
        const was = before.get(id)
        return [id, was && was !== to ? fadedTo(was, to, () => t) : to]
      }),
    )
  }

  return { progress, begin, onTheWay }
})
