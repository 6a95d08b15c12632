/** Back-ups are read and written in a thread of their own, one at a time. */
import type { Refusal } from '#core/commands/command'
import type { ShowId } from '#core/show/ids'
import { inThread, NoRoom } from './inThread'

export type Restored =
  | { readonly kind: 'done' }
  /** It cannot be a show, and why. */
  | { readonly kind: 'not one'; readonly why: string }
  /** The database is away, or refused it. */
  | { readonly kind: 'away' | 'refused'; readonly refusal: Refusal }

let last: Promise<unknown> = Promise.resolve()

/**
 * Makes a show of a file: `module` is the thread's script, `database` its address. Rejects when the
 * thread fails for what nobody foresaw.
 */
export function restore(module: URL, work: { file: Uint8Array; id: ShowId; database: string }): Promise<Restored> {
  const done = last.then(() => restored(module, work))
  last = done.catch(() => undefined)
  return done
}

async function restored(module: URL, work: object): Promise<Restored> {
  try {
    return await inThread<Restored>(module, work)
  } catch (error) {
    if (!(error instanceof NoRoom)) throw error
    return { kind: 'not one', why: error.message }
  }
}
