/** What may stand only once in a show. The database guards the same; here it is told in words. */
import { declarationOf, type Kind } from './kinds'
import type { Show } from './show'

/** Two things of a kind that would carry the same name or number. */
export interface Clash {
  readonly kind: Kind
  readonly id: string
  readonly other: string
  /** The field that is the same, and what stands in it. */
  readonly field: string
  readonly value: string
}

/** The first clash in a show that one of some things has a part in; null where there is none. */
export function clashAmong(after: Show, touched: ReadonlyMap<Kind, ReadonlySet<string>>): Clash | null {
  for (const [kind, ids] of touched) {
    const fields = declarationOf(kind).unique
    if (!fields) continue
    const first = new Map<string, string>()
    for (const [id, entity] of after.all[kind]) {
      const key = JSON.stringify(fields.map((field): unknown => Reflect.get(entity, field)))
      const other = first.get(key)
      const field = fields.at(-1) ?? ''
      if (other === undefined) first.set(key, id)
      else if (ids.has(id) || ids.has(other))
        return { kind, id, other, field, value: String(Reflect.get(entity, field)) }
    }
  }
  return null
}
