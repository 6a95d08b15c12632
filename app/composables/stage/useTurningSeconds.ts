/** A clock for drawings in which something turns; it stands at 0 where nothing does, and for who wants no motion. */
import { useDocumentVisibility, useIntervalFn, usePreferredReducedMotion } from '@vueuse/core'
import { computed, ref, watch, type Ref } from 'vue'

/** Turning is seen well enough at twenty-five pictures a second. */
const BETWEEN = 40

export function useTurningSeconds(isTurning: () => boolean): Readonly<Ref<number>> {
  const seconds = ref(0)
  const visibility = useDocumentVisibility()
  const motion = usePreferredReducedMotion()
  const runs = computed(() => isTurning() && visibility.value === 'visible' && motion.value !== 'reduce')
  const { pause, resume } = useIntervalFn(() => (seconds.value = performance.now() / 1000), BETWEEN, {
    immediate: false,
  })
  watch(
    runs,
    (now) => {
      if (now) return resume()
      pause()
      if (!isTurning()) seconds.value = 0
    },
    { immediate: true },
  )
  return seconds
}
