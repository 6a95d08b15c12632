/**
 * A show as plain immutable collections: nested maps by kind and id. A change makes new maps for
 * the kinds it touches and shares the rest, so identity tells what moved.
 */
import { KINDS, type EntityOf, type Kind } from './kinds'
import type { ShowId } from './ids'

export type Collections = { readonly [K in Kind]: ReadonlyMap<string, EntityOf[K]> }

/** A show as far as it is of some kinds: what is handed one can read nothing else. */
export interface ShowPart<K extends Kind> {
  readonly id: ShowId
  readonly all: Pick<Collections, K>
}

export type Show = ShowPart<Kind>

/** Collections in the making. */
export type GrowingCollections = { readonly [K in Kind]: Map<string, EntityOf[K]> }

/** Maps for every kind, all empty. */
export function emptyCollections(): GrowingCollections {
  const maps: { [K in Kind]?: Map<string, EntityOf[K]> } = {}
  for (const kind of KINDS) maps[kind] = new Map<string, never>()
  if (!isComplete(maps)) throw new RangeError('a kind has no collection')
  return maps
}

function isComplete(maps: object): maps is GrowingCollections {
  return KINDS.every((kind) => kind in maps)
}

/** A show with nothing in it. */
export function emptyShow(id: ShowId): Show {
  return { id, all: emptyCollections() }
}

/** The one entity of an id; throws RangeError when a caller is sure and wrong. */
export function entity<K extends Kind>(show: ShowPart<K>, kind: K, id: string): EntityOf[K] {
  const found = show.all[kind].get(id)
  if (found === undefined) throw new RangeError(`no ${kind} with the id ${id}`)
  return found
}

/** The show's own record: its name and the venue it plays. */
export function showRecordOf(show: ShowPart<'show'>): EntityOf['show'] {
  return entity(show, 'show', show.id)
}
