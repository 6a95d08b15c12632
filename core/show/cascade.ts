/** Taking things out, with all that becomes of what points at them, as the list of kinds declares it. */
import type { Draft } from './draft'
import { KINDS, referencesOf, type Kind } from './kinds'

type IdsByKind = Map<Kind, Set<string>>

/**
 * Takes things of a kind out of a draft, and goes on: what goes with them goes, what may point at
 * nothing does. What keeps them from going, and values that would have to turn loose, must have been
 * seen to before; whatever is left of those is refused when the change is checked.
 */
export function removeWithDependents(draft: Draft, kind: Kind, ids: Iterable<string>): Draft {
  let gone: IdsByKind = new Map([[kind, new Set(ids)]])
  for (const id of gone.get(kind) ?? []) draft.remove(kind, id)
  while (gone.size > 0) gone = removeDependents(draft, gone)
  return draft
}

/** One step further: what pointed at things that are gone. Returns what went with them. */
function removeDependents(draft: Draft, gone: IdsByKind): IdsByKind {
  const { all } = draft.result()
  const next: IdsByKind = new Map()
  for (const kind of KINDS)
    for (const reference of referencesOf(kind)) {
      const missing = gone.get(reference.to)
      if (missing === undefined || reference.whenGone === 'refuses') continue
      for (const [id, entity] of all[kind]) {
        const pointsAt: unknown = Reflect.get(entity, reference.field)
        if (typeof pointsAt !== 'string' || !missing.has(pointsAt)) continue
        draft.letGo({ kind, id, ...reference })
        if (reference.whenGone === 'goes too') next.set(kind, (next.get(kind) ?? new Set()).add(id))
      }
    }
  return next
}
