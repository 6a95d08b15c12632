/** What is asked of a show, and what is to be written for it. */
import type { Refusal } from '#core/commands/command'
import type { JournalEntry } from '#core/journal/entry'
import type { ChangeGroupId, CommandId, PersonId, WindowId } from '#core/show/ids'

/** Who asks, from which window, and the last revision that window has seen. */
export interface Asker {
  readonly person: PersonId
  readonly window: WindowId
  readonly seenRevision: number
}

export interface CommandRequest extends Asker {
  readonly id: CommandId
  readonly name: string
  readonly input: unknown
}

export interface ToggleRequest extends Asker {
  readonly id: CommandId
  readonly direction: 'undo' | 'redo'
  readonly group: ChangeGroupId
  /** What to do when taking back would harm someone else's work. */
  readonly how: 'ask' | 'anyway' | 'waive'
}

/** One entry of the journal to be. */
export interface Step {
  readonly entry: Omit<JournalEntry, 'seq' | 'at'>
  readonly note: string | null
  /** Whether the show is kept as it is before. */
  readonly isBig?: boolean
}
/** An entry, a refusal with its HTTP status, or nothing, with what is said of it. */
export type Plan = Step | { readonly refused: Refusal; readonly status: number } | { readonly nothing: string | null }
