/** What a person looks at and holds back in what is proposed. */
import { ref, shallowRef } from 'vue'
import { NO_EXCLUSIONS, type Exclusions } from '#core/refocus/exclusions'
import type { CueId } from '#core/show/ids'

export function useHeldBack() {
  /** What is held as it was instead of following. */
  const exclusions = shallowRef<Exclusions>(NO_EXCLUSIONS)
  /** The cue that is seen on both sides of the change. */
  const lookedCue = ref<CueId | null>(null)

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

  return { exclusions, lookedCue, forget, exclude, look }
}
