/** What is worked out from kept versions, in a thread: reading a large one takes seconds. */
import { z } from 'zod'
import type { PlainOutcome, Refusal } from '#core/commands/command'
import type { Difference } from '#core/history/compare'
import { commandId, personId, showId } from '#core/show/ids'
import { inThread } from './inThread'

const bytes = z.custom<Uint8Array>((value) => value instanceof Uint8Array)
/** A show under a name, as versions hold it: a compressed JSON record. */
const held = z.object({ name: z.string(), contents: bytes })
const comparing = z.object({ kind: z.literal('compare'), show: showId, earlier: held, later: held })
const restoring = z.object({
  kind: z.literal('restore'),
  show: showId,
  version: held,
  current: held,
  id: commandId,
  person: personId,
  now: z.number(),
})
/** What the thread is given. */
export const versionWork = z.discriminatedUnion('kind', [comparing, restoring])
export type HeldShow = z.infer<typeof held>

export type ComparedVersions =
  { readonly ok: true; readonly differences: readonly Difference[] } | { readonly ok: false; readonly refusal: Refusal }

/** What differs between two versions; `module` is the thread's script. */
export function compareVersions(module: URL, work: Omit<z.infer<typeof comparing>, 'kind'>): Promise<ComparedVersions> {
  return inThread(module, { kind: 'compare', ...work })
}

/** What restoring a version comes to for a show that is as `current` says, as the command of that name would. */
export function outcomeOfRestoring(module: URL, work: Omit<z.infer<typeof restoring>, 'kind'>): Promise<PlainOutcome> {
  return inThread(module, { kind: 'restore', ...work })
}
