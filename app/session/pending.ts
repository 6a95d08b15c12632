/** Commands that are under way, on top of what the server confirmed. */
import equal from 'fast-deep-equal'
import type { Done, Outcome } from '#core/commands/command'
import { runCommand, type CommandName } from '#core/commands/registry'
import type { JournalEntry } from '#core/journal/entry'
import { applyChanges, type ChangeSet } from '#core/show/changes'
import type { CommandId, PersonId } from '#core/show/ids'
import type { Show } from '#core/show/show'

/** A command, and when it was asked for by the server's clock, milliseconds since 1970. */
export interface Asked {
  readonly id: CommandId
  readonly now: number
  readonly name: CommandName
  readonly input: unknown
}

/** One that is under way, with what it makes of the show it was asked on. */
export interface Pending extends Asked {
  readonly ground: Show
  readonly changes: ChangeSet
  readonly after: Show
}

/** What a command does to a show. */
export function outcomeOf(show: Show, who: PersonId, { name, input, id, now }: Asked): Outcome {
  return runCommand(show, name, input, id, { person: who, now })
}

/** A command as it is under way, by what it changes. */
export function begun(ground: Show, asked: Asked, { changes, after }: Done): Pending {
  return { ...asked, ground, changes, after: after() }
}

/** The show with commands on top, run again where the ground under them is new; one that is refused there does nothing. */
export function withPending(ground: Show, who: PersonId, pending: readonly Pending[]): Show {
  return pending.reduce((show, one) => {
    if (show === one.ground) return one.after
    const outcome = outcomeOf(show, who, one)
    return outcome.ok ? outcome.after() : show
  }, ground)
}

/**
 * The show after an entry. Of our own command that did what was expected it is the very show that is
 * seen already, so that nothing is drawn anew.
 */
export function confirmedBy({ id, changes }: JournalEntry, ground: Show, pending: readonly Pending[]): Show {
  const own = pending.find((one) => one.id === id)
  return own?.ground === ground && isSame(own.changes, changes) ? own.after : applyChanges(ground, changes)
}

/** What is absent before or after may be left out, as on the wire. */
function isSame(expected: ChangeSet, done: ChangeSet): boolean {
  return (
    expected.length === done.length &&
    expected.every(({ register, before, after }, i) => {
      const other = done[i]
      return register === other?.register && equal(before, other.before) && equal(after, other.after)
    })
  )
}
