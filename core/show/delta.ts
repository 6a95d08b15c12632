/** What differs between two shows, thing by thing: small where one was made of the other. */
import { KINDS, type EntityOf, type Kind } from './kinds'
import type { Collections, Show } from './show'

interface KindDelta<K extends Kind> {
  /** Things that are new or other, with their ids. */
  readonly put: readonly (readonly [string, EntityOf[K]])[]
  readonly gone: readonly string[]
}

export type Delta = { readonly [K in Kind]?: KindDelta<K> }

/** What makes one show the other. Things are told apart by identity, so that it is quick: those that were read anew are all other. */
export function deltaBetween(before: Show, after: Show): Delta {
  let delta: Delta = {}
  for (const kind of KINDS)
    if (before.all[kind] !== after.all[kind]) delta = { ...delta, [kind]: kindDelta(before, after, kind) }
  return delta
}

function kindDelta<K extends Kind>(before: Show, after: Show, kind: K): KindDelta<K> {
  const [was, is] = [before.all[kind], after.all[kind]]
  const put = [...is].filter(([id, entity]) => was.get(id) !== entity)
  const gone = [...was.keys()].filter((id) => !is.has(id))
  return { put, gone }
}

/** A show made into another by what differs. */
export function withDelta(show: Show, delta: Delta): Show {
  let all: Collections = show.all
  for (const kind of KINDS) if (delta[kind]) all = { ...all, [kind]: withKind(all, delta, kind) }
  return all === show.all ? show : { id: show.id, all }
}

function withKind<K extends Kind>(all: Collections, delta: Delta, kind: K): Map<string, EntityOf[K]> {
  const next = new Map<string, EntityOf[K]>(all[kind])
  const { put, gone } = delta[kind] ?? { put: [], gone: [] }
  for (const id of gone) next.delete(id)
  for (const [id, entity] of put) next.set(id, entity)
  return next
}
