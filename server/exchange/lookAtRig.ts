/** A look into a rig file before anything of it is taken. */
import type { Up } from '#core/exchange/drawing/units'
import type { TypeOptions } from '#core/exchange/gdtf/readType'
import type { RigReading } from '#core/exchange/mvr/rigReading'
import { inThread, NoRoom, TooLong } from './inThread'

export type LookedAt =
  { readonly ok: true; readonly reading: RigReading } | { readonly ok: false; readonly why: string }

/** No rig takes longer, milliseconds: what does is made to. */
const LONGEST = 60_000

/** What is in a file, or why it cannot be read; `module` is the thread's script. Whoever no longer waits stops it. */
export async function lookAtRig(
  module: URL,
  work: { file: Uint8Array; name: string; up: Up } & TypeOptions,
  stopped: AbortSignal,
): Promise<LookedAt> {
  try {
    return await inThread<LookedAt>(module, work, { longest: LONGEST, stopped })
  } catch (error) {
    if (stopped.aborted) return { ok: false, why: 'nobody waits for it any more' }
    if (error instanceof NoRoom) return { ok: false, why: 'it holds more than this server has room for' }
    if (error instanceof TooLong) return { ok: false, why: `it takes longer than ${LONGEST / 1000} s to read` }
    throw error
  }
}
