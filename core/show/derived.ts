/** Values derived from a show, kept while the collections they come from are the same. */
import type { Kind } from './kinds'
import type { Show } from './show'

/**
 * A function of the show that is worked out again only when one of `kinds` changes. It remembers
 * the newest result for each generation of the first kind, so a preview beside the real show does
 * not throw the real one's result away: name the kind that changes most first.
 */
export function derived<T>(kinds: readonly [Kind, ...Kind[]], compute: (show: Show) => T): (show: Show) => T {
  const cache = new WeakMap<object, { show: Show; result: T }[]>()
  let lastShow: Show | null = null
  let lastResult: T
  const look = (show: Show): T => {
    const key = show.all[kinds[0]]
    const known = cache.get(key) ?? []
    const hit = known.find((entry) => kinds.every((kind) => entry.show.all[kind] === show.all[kind]))
    if (hit) return hit.result
    const result = compute(show)
    cache.set(key, [{ show, result }, ...known].slice(0, 3))
    return result
  }
  return (show) => {
    if (show === lastShow) return lastResult
    lastResult = look(show)
    lastShow = show
    return lastResult
  }
}
