/**
 * Brings a whole show back to what it was in a kept version: an ordinary change, so it can itself
 * be undone. Who works on it, what they have in hand and where each list stands stay as they are,
 * as far as what they lean on is there.
 */
import { z } from 'zod'
import { readCollections } from '../../history/collections'
import { Draft } from '../../show/draft'
import { declarationOf, KINDS, type Kind } from '../../show/kinds'
import { danglingReferences } from '../../show/references'
import type { Collections, Show } from '../../show/show'
import { command, done, refuse } from '../command'

export const restoreShow = command({
  input: z.strictObject({
    /** What is restored, in words. */
    name: z.string().trim().min(1).max(120),
    /** Everything it held, by kind. */
    contents: z.unknown(),
  }),
  undoable: true,
  run(show, { name, contents }) {
    const read = readCollections(contents, show.id)
    if (!read.ok) return refuse('not a show', { name, why: read.message }, 'contents')
    const draft = new Draft(show)
    for (const kind of KINDS) if (!declarationOf(kind).concerns) restoreKind(show, draft, read.all, kind)
    for (const id of show.all.cueRun.keys()) draft.remove('cueRun', id)
    for (const [id, list] of read.all.cueList) {
      const stands = show.all.cueList.get(id)?.onStage ?? null
      draft.set('cueList', id, 'onStage', stands !== null && read.all.cue.get(stands)?.list === id ? stands : null)
      draft.set('cueList', id, 'pausedAt', null).set('cueList', id, 'level', list.level)
    }
    sweep(draft)
    return done(draft, `restore ${name}`)
  },
})

function restoreKind<K extends Kind>(show: Show, draft: Draft, all: Collections, kind: K): void {
  for (const [id, entity] of all[kind]) draft.put(kind, id, entity)
  for (const id of show.all[kind].keys()) if (!all[kind].has(id)) draft.remove(kind, id)
}

/** Lets go of what people hold of things that are no longer there. */
function sweep(draft: Draft): void {
  for (;;) {
    const dangling = danglingReferences(draft.result())
    if (dangling.length === 0) return
    for (const reference of dangling) draft.letGo(reference)
  }
}
