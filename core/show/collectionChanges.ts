/** What differs between two generations of a collection: told by what made the later one, where that is known. */
type Collection<T> = ReadonlyMap<string, T>

interface Origin {
  readonly before: WeakRef<object>
  /** All that was written to. */
  readonly ids: readonly string[]
}
const origins = new WeakMap<object, Origin>()

/** Beyond so many generations the collections are held against each other entry by entry. */
const MOST_GENERATIONS = 50

/** Keeps that a collection was made from another by writing to some ids, and to no others. */
export function noteOrigin<T>(after: Collection<T>, before: Collection<T>, ids: readonly string[]): void {
  origins.set(after, { before: new WeakRef(before), ids })
}

/** What one entry was and is; undefined where it is not there. */
export interface EntryChange<T> {
  readonly was: T | undefined
  readonly is: T | undefined
}

/** The entries of which two collections hold not the very same. */
export function changesBetween<T>(before: Collection<T>, after: Collection<T>): readonly EntryChange<T>[] {
  if (before === after) return []
  const ids = idsBetween(before, after) ?? new Set([...before.keys(), ...after.keys()])
  return [...ids].map((id) => ({ was: before.get(id), is: after.get(id) })).filter(({ was, is }) => was !== is)
}

/** What was written to from one generation to a later one; null where the one did not come from the other, or that is long ago. */
function idsBetween(before: object, after: object): ReadonlySet<string> | null {
  const ids = new Set<string>()
  for (const generation of generationsBefore(after)) {
    for (const id of generation.ids) ids.add(id)
    if (generation.before === before) return ids
  }
  return null
}

/** What a collection came from, the nearest first, as far as that is known; and what was written to from each to the next. */
export function* generationsBefore(
  after: object,
): Generator<{ readonly before: object; readonly ids: readonly string[] }, void> {
  let at = after
  for (let i = 0; i < MOST_GENERATIONS; i++) {
    const origin = origins.get(at)
    const before = origin?.before.deref()
    if (!origin || !before) return
    yield { before, ids: origin.ids }
    at = before
  }
}
