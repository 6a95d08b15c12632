/** Which fields point at which kind. `weak` ones may be emptied, the others bind. */
import { EXISTENCE, registerParts, touchedBy, type ChangeSet } from './changes'
import { KINDS, type Kind } from './entities'
import type { Show } from './show'
import type { CueContent } from './values'

interface Reference {
  readonly field: string
  readonly to: Kind
  readonly weak?: true
}

export const REFERENCES: Readonly<Partial<Record<Kind, readonly Reference[]>>> = {
  show: [
    { field: 'venue', to: 'venue' },
    { field: 'rest', to: 'palette', weak: true },
    { field: 'highlight', to: 'palette', weak: true },
  ],
  person: [{ field: 'editing', to: 'palette', weak: true }],
  hangPlace: [
    { field: 'venue', to: 'venue' },
    { field: 'hang', to: 'hang' },
  ],
  fixtureMode: [{ field: 'type', to: 'fixtureType' }],
  fixture: [
    { field: 'type', to: 'fixtureType', weak: true },
    { field: 'mode', to: 'fixtureMode', weak: true },
  ],
  fixturePlace: [
    { field: 'venue', to: 'venue' },
    { field: 'fixture', to: 'fixture' },
    { field: 'hang', to: 'hang' },
  ],
  setPiece: [{ field: 'layer', to: 'layer', weak: true }],
  setPiecePlace: [
    { field: 'venue', to: 'venue' },
    { field: 'setPiece', to: 'setPiece' },
  ],
  target: [{ field: 'setPiece', to: 'setPiece' }],
  targetPlace: [
    { field: 'venue', to: 'venue' },
    { field: 'target', to: 'target' },
  ],
  groupMember: [
    { field: 'group', to: 'group' },
    { field: 'fixture', to: 'fixture' },
  ],
  paletteValue: [
    { field: 'palette', to: 'palette' },
    { field: 'fixture', to: 'fixture' },
    { field: 'fixtureType', to: 'fixtureType' },
  ],
  recordedFixture: [
    { field: 'palette', to: 'palette' },
    { field: 'fixture', to: 'fixture' },
  ],
  paletteSpread: [
    { field: 'palette', to: 'palette' },
    { field: 'group', to: 'group' },
    { field: 'target', to: 'target' },
  ],
  cueList: [{ field: 'onStage', to: 'cue', weak: true }],
  cue: [{ field: 'list', to: 'cueList' }],
  cueValue: [
    { field: 'cue', to: 'cue' },
    { field: 'fixture', to: 'fixture' },
    { field: 'source', to: 'palette', weak: true },
  ],
  cueTime: [
    { field: 'cue', to: 'cue' },
    { field: 'fixture', to: 'fixture' },
  ],
  cueRun: [
    { field: 'list', to: 'cueList' },
    { field: 'cue', to: 'cue' },
    { field: 'from', to: 'cue' },
  ],
  handValue: [
    { field: 'person', to: 'person' },
    { field: 'fixture', to: 'fixture' },
    { field: 'source', to: 'palette', weak: true },
  ],
  highlighted: [
    { field: 'person', to: 'person' },
    { field: 'fixture', to: 'fixture' },
  ],
  workingSetMember: [
    { field: 'workingSet', to: 'workingSet' },
    { field: 'fixture', to: 'fixture' },
  ],
}

/** A reference that points at nothing. */
export interface Dangling {
  readonly kind: Kind
  readonly id: string
  readonly field: string
  readonly weak: boolean
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
  const named = (REFERENCES[kind] ?? []).map(({ to }) => to)
  return new Set<Kind>(isValued(kind) ? [...named, 'palette', 'target'] : named)
}

function danglingOf(show: Show, kind: Kind, id: string): Dangling[] {
  const entity: object | undefined = show.all[kind].get(id)
  if (!entity) return []
  const found: Dangling[] = []
  for (const { field, to, weak } of REFERENCES[kind] ?? []) {
    const missing: unknown = Reflect.get(entity, field)
    if (typeof missing === 'string' && !show.all[to].has(missing))
      found.push({ kind, id, field, weak: weak === true, to, missing })
  }
  const reference = isValued(kind) ? referenceIn(show, kind, id) : null
  if (reference && !show.all[reference.to].has(reference.id))
    found.push({ kind, id, field: 'value', weak: false, to: reference.to, missing: reference.id })
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
