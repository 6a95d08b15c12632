/** A copy of the open show, off the thread that draws. It is read only once something is asked of it. */
import { effectsOf, type Effects } from '#core/refocus/effects'
import { looseLeftBehind } from '#core/refocus/looseBehind'
import type { LooseValue } from '#core/refocus/looseValues'
import { withDelta, type Delta } from '#core/show/delta'
import type { Show } from '#core/show/show'
import { isSnapshotSound, readSnapshot } from './responses'

/** What a change carries along, and what it leaves beside it. */
export interface Consequences {
  readonly effects: Effects
  /** Asked for once a change is settled: nobody reads it under a drag. */
  readonly leftBehind: readonly LooseValue[]
}

/** What a change of a show carries along; `isSettled` when what it leaves behind is wanted too. */
export function consequencesOf(before: Show, after: Show, isSettled: boolean): Consequences {
  const effects = effectsOf(before, after)
  return { effects, leftBehind: isSettled ? looseLeftBehind(before, after, effects) : [] }
}

export class ShowCopy {
  #bytes: ArrayBuffer | null = null
  #show: Show | null = null

  /** Takes a snapshot over, as it was sent, and tells whether every value of it is what it should be. */
  hold(bytes: ArrayBuffer): boolean {
    this.#bytes = bytes
    return isSnapshotSound(bytes)
  }

  /**
   * Brings the copy to what is seen, and works out what a change from there carries along; throws
   * RangeError where no show was handed over, and ZodError where that was none.
   */
  consequences(toSeen: Delta, change: Delta, isSettled: boolean): Consequences {
    const seen = withDelta(this.#show ?? this.#read(), toSeen)
    this.#show = seen
    return consequencesOf(seen, withDelta(seen, change), isSettled)
  }

  #read(): Show {
    if (!this.#bytes) throw new RangeError('no show was handed over')
    const { show } = readSnapshot(new TextDecoder().decode(this.#bytes))
    this.#bytes = null
    return show
  }
}
