/** A value that stands, or is on its way from one to another. */
import type { CueId } from '../show/ids'
import type { Value } from '../show/values'
import type { Travel } from './travel'

/** A value on its way; instants in milliseconds by the server's clock. */
export interface Move {
  readonly from: Track
  /** The instant at which `from` was left: it is looked at as it was then. */
  readonly leftAt: number
  readonly startsAt: number
  readonly lasts: number
  /** How long it lasts for a level that falls. */
  readonly falls: number
  /** When its list was paused; null while it runs. */
  readonly stoppedAt: number | null
  readonly travel: Travel
}

/** Where a value ends, and how it gets there. */
export interface Track {
  /** Null where the list has nothing: what lies under it comes through. */
  readonly value: Value | null
  /** The cue that set it: from there a head knows its way round. Null for none. */
  readonly cue: CueId | null
  readonly move: Move | null
  /** What other lists do under it, where it has no value itself; null for nothing, which is the state at rest. */
  readonly under: Track | null
}

export const NOWHERE: Track = { value: null, cue: null, move: null, under: null }

/** A value that stands. */
export function standing(value: Value, cue: CueId | null): Track {
  return { value, cue, move: null, under: null }
}
