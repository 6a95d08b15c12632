/** A computed value that stays the same object while it is worked out anew to the same: what hangs on it is left alone. */
import equal from 'fast-deep-equal/es6'
import { computed, type ComputedRef } from 'vue'

export function computedStable<T extends object>(workOut: () => T): ComputedRef<T> {
  return computed<T>((before) => {
    const now = workOut()
    return before && equal(before, now) ? before : now
  })
}
