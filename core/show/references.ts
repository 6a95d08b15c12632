/** What points at what, and whether it is there. */
import { EXISTENCE, registerParts, touchedBy, type ChangeSet } from './changes'
import type { WhenGone } from './kindDeclaration'
import { declarationOf, KINDS, referencesOf, type Kind } from './kinds'
import type { Show } from './show'
import type { CueContent } from './values'

/** A reference that points at nothing. */
export interface Dangling {
  readonly kind: Kind
  readonly id: string
  readonly field: string
  readonly whenGone: WhenGone
  readonly to: Kind
  readonly missing: string
}

function valueReference(value: CueContent): { to: Kind; id: string } | null {
  if (value.kind === 'link') return { to: 'palette', id: value.palette }
  if (value.kind === 'aim' && value.target !== null) return { to: 'target', id: value.target }
  return null
}

type Valued = 'paletteValue' | 'cueValue' | 'handValue'
const isValued = (kind: Kind): kind is Valued => kind === 'paletteValue' || kind === 'cueValue' || kind === 'handValue'

/** What a kind points at: by its fields, and inside its values. */
function targetsFrom(kind: Kind): ReadonlySet<Kind> {
  return new Set([...referencesOf(kind), ...(declarationOf(kind).inValue ?? [])].map(({ to }) => to))
}

function danglingOf(show: Show, kind: Kind, id: string): Dangling[] {
  const entity: object | undefined = show.all[kind].get(id)
  if (!entity) return []
  const found: Dangling[] = []
  for (const { field, to, whenGone } of referencesOf(kind)) {
    const missing: unknown = Reflect.get(entity, field)
    if (typeof missing === 'string' && !show.all[to].has(missing))
      found.push({ kind, id, field, whenGone, to, missing })
  }
  const reference = isValued(kind) ? referenceIn(show, kind, id) : null
  if (reference && !show.all[reference.to].has(reference.id))
    found.push({ kind, id, field: 'value', whenGone: 'turns loose', to: reference.to, missing: reference.id })
  return found
}

function referenceIn(show: Show, kind: Valued, id: string) {
  const stored = show.all[kind].get(id)
  return stored ? valueReference(stored.value) : null
}

/** Every reference in the show that points at nothing; empty for a sound show. */
export function danglingReferences(show: Show): Dangling[] {
  return KINDS.flatMap((kind) => [...show.all[kind].keys()].flatMap((id) => danglingOf(show, kind, id)))
}

/**
 * The references that point at nothing in the show a change set leads to, when none did before: of
 * what it touches, and of whatever may point at what it takes out.
 */
export function danglingAfter(after: Show, changes: ChangeSet): Dangling[] {
  const touched = touchedBy(changes)
  const gone = new Set<Kind>()
  for (const { register, after: stays } of changes) {
    const { kind, field } = registerParts(register)
    if (field === EXISTENCE && stays === undefined) gone.add(kind)
  }
  return KINDS.flatMap((kind) => {
    const mayLean = [...targetsFrom(kind)].some((to) => gone.has(to))
    const ids = mayLean ? after.all[kind].keys() : (touched.get(kind) ?? [])
    return [...ids].flatMap((id) => danglingOf(after, kind, id))
  })
}
