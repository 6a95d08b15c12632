/** Which fields point at which kind. `weak` ones may be emptied, the others bind. */
import type { Kind } from './entities'
import type { Show } from './show'
import type { Value } from './values'

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
    { field: 'type', to: 'fixtureType' },
    { field: 'mode', to: 'fixtureMode' },
  ],
  fixturePlace: [
    { field: 'venue', to: 'venue' },
    { field: 'fixture', to: 'fixture' },
    { field: 'hang', to: 'hang' },
  ],
  setPiece: [{ field: 'layer', to: 'layer' }],
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
    { field: 'source', to: 'palette' },
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
    { field: 'source', to: 'palette' },
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

function valueReference(value: Value): { to: Kind; id: string } | null {
  if (value.kind === 'link') return { to: 'palette', id: value.palette }
  if (value.kind === 'aim' && value.target !== null) return { to: 'target', id: value.target }
  return null
}

/** Every reference in the show that points at nothing; empty for a sound show. */
export function danglingReferences(show: Show): Dangling[] {
  const found: Dangling[] = []
  for (const [kind, references] of kindsWithReferences()) {
    for (const [id, entity] of show.all[kind]) {
      for (const { field, to, weak } of references) {
        const missing: unknown = Reflect.get(entity, field)
        if (typeof missing !== 'string' || show.all[to].has(missing)) continue
        found.push({ kind, id, field, weak: weak === true, to, missing })
      }
    }
  }
  for (const kind of ['paletteValue', 'cueValue', 'handValue'] as const) {
    for (const [id, entity] of show.all[kind]) {
      const reference = valueReference(entity.value)
      if (reference === null || show.all[reference.to].has(reference.id)) continue
      found.push({ kind, id, field: 'value', weak: false, to: reference.to, missing: reference.id })
    }
  }
  return found
}

function kindsWithReferences(): [Kind, readonly Reference[]][] {
  const kinds: [Kind, readonly Reference[]][] = []
  for (const kind of KINDS_IN_ORDER) {
    const references = REFERENCES[kind]
    if (references) kinds.push([kind, references])
  }
  return kinds
}

const KINDS_IN_ORDER = [
  'show',
  'person',
  'hangPlace',
  'fixtureMode',
  'fixture',
  'fixturePlace',
  'setPiece',
  'setPiecePlace',
  'target',
  'targetPlace',
  'groupMember',
  'paletteValue',
  'paletteSpread',
  'cueList',
  'cue',
  'cueValue',
  'cueTime',
  'cueRun',
  'handValue',
  'highlighted',
  'workingSetMember',
] as const satisfies readonly Kind[]
