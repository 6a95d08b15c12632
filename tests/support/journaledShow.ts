/** A show with its journal and several people at work on it, as a server holds them. */
import { COMMANDS, runCommand, type CommandInput, type CommandName } from '#core/commands/registry'
import type { JournalEntry } from '#core/journal/entry'
import { FoldedJournal, nextRedo, nextUndo } from './foldedJournal'
import { toggleStep, type ToggleAsked, type ToggleStep } from '#core/journal/toggle'
import type { ChangeSet } from '#core/show/changes'
import { changeGroupId, commandId, personId, windowId, type ChangeGroupId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { checkedChange } from '#core/show/soundness'

export type Person = 'anna' | 'ben' | 'cleo'
export const PEOPLE: readonly Person[] = ['anna', 'ben', 'cleo']

interface Entered {
  readonly seq: number
  readonly person: string
  readonly kind: JournalEntry['kind']
  readonly group: string
  readonly label: string
  readonly undoable: boolean
  readonly changes: ChangeSet
}

/** An entry as a server would write it; a second lies between two. */
export function journalEntry({ seq, person, group, ...entered }: Entered): JournalEntry {
  return {
    ...entered,
    id: commandId.parse(`e${seq}`),
    seq,
    person: personId.parse(person),
    window: windowId.parse(`${person}1`),
    at: new Date(seq * 1000).toISOString(),
    group: changeGroupId.parse(group),
    mergeKey: null,
  }
}

export class JournaledShow {
  show: Show
  now = 1_000_000
  readonly first: Show
  readonly entries: JournalEntry[] = []
  readonly index = new FoldedJournal()
  /** Commands that would have left the show unsound, each with what was wrong. */
  readonly unsound: string[] = []

  constructor(show: Show) {
    this.first = this.show = show
    for (const person of PEOPLE) this.attempt(person, 'joinShow', { name: person })
  }

  /** Runs a command; null when it is refused, changes nothing, or would leave the show unsound. */
  attempt(person: Person, name: CommandName, input: unknown): ChangeGroupId | null {
    const id = `e${this.entries.length + 1}`
    const asking = { person: personId.parse(person), now: this.now }
    const outcome = runCommand(this.show, name, input, commandId.parse(id), asking)
    if (!outcome.ok || outcome.changes.length === 0) return null
    const checked = checkedChange(this.show, outcome.changes)
    if (!checked.ok) {
      this.unsound.push(`${name}: ${JSON.stringify(checked.faults[0])}`)
      return null
    }
    this.#enter(person, 'do', id, outcome.label, COMMANDS[name].undoable, outcome.changes)
    return changeGroupId.parse(id)
  }

  /** Runs a command that must be done. */
  do<N extends CommandName>(person: Person, name: N, input: CommandInput<N>): ChangeGroupId {
    const done = this.attempt(person, name, input)
    if (!done) throw new Error(`${name} did nothing, or was refused`)
    return done
  }

  /** Undoes or redoes a step; what it came to. */
  toggle(person: Person, asked: ToggleAsked): ToggleStep {
    const step = toggleStep(this.show, this.index, asked)
    const { group, direction } = asked
    if (step.kind === 'toggle') this.#enter(person, direction, group, 'toggle', false, step.changes)
    if (step.kind === 'waive') this.#enter(person, 'waive', group, 'waive', false, [])
    if (step.kind === 'anyway')
      this.#enter(person, 'do', `e${this.entries.length + 1}`, 'all the same', true, step.changes)
    return step
  }

  /** Undoes a person's last step; null when they have none. */
  undo(person: Person, how: ToggleAsked['how'] = 'ask'): ToggleStep | null {
    const next = nextUndo(this.index, personId.parse(person))
    return next ? this.toggle(person, { group: next.id, direction: 'undo', how }) : null
  }

  /** Redoes what a person undid last; null when there is nothing. */
  redo(person: Person, how: ToggleAsked['how'] = 'ask'): ToggleStep | null {
    const next = nextRedo(this.index, personId.parse(person))
    return next ? this.toggle(person, { group: next.id, direction: 'redo', how }) : null
  }

  #enter(
    person: Person,
    kind: JournalEntry['kind'],
    group: string,
    label: string,
    undoable: boolean,
    changes: ChangeSet,
  ) {
    const checked = checkedChange(this.show, changes)
    if (!checked.ok) throw new Error(`${kind} ${label} is not sound: ${JSON.stringify(checked.faults.slice(0, 3))}`)
    const entry = journalEntry({ seq: this.entries.length + 1, person, kind, group, label, undoable, changes })
    this.entries.push(entry)
    this.index.add(entry)
    this.show = checked.after
    this.now += 1000
  }
}
