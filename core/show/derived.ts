/** Values derived from a show, kept while the collections they come from are the same. */
import type { Kind } from './kinds'
import type { ShowPart } from './show'

/**
 * A function of the show that is worked out again only when one of `kinds` changes; it can read no
 * others. It remembers the newest results for each generation of the first kind, so a preview beside
 * the real show does not throw the real one's result away: name the kind that changes most first.
 */
export function derived<K extends Kind, T>(
  kinds: readonly [K, ...K[]],
  compute: (show: ShowPart<K>) => T,
): (show: ShowPart<K>) => T {
  const cache = new WeakMap<object, { show: ShowPart<K>; result: T }[]>()
  let lastShow: ShowPart<K> | null = null
  let lastResult: T
  const look = (show: ShowPart<K>): T => {
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

/** As `derived`, for each of many keys, worked out only when asked for. */
export function derivedEach<K extends Kind, Key, T>(
  kinds: readonly [K, ...K[]],
  compute: (show: ShowPart<K>, key: Key) => T,
): (show: ShowPart<K>, key: Key) => T {
  const resultsOf = derived(kinds, (): Map<Key, { readonly result: T }> => new Map())
  return (show, key) => {
    const results = resultsOf(show)
    const known = results.get(key)
    if (known) return known.result
    const result = compute(show, key)
    results.set(key, { result })
    return result
  }
}
