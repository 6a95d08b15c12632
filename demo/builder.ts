/** Builds a show by commands, as a person would; a refusal is a fault of the script and throws. */
import { runCommand, type CommandInput, type CommandName } from '#core/commands/registry'
import { applyChanges } from '#core/show/changes'
import { commandId, personId, showId, type PersonId } from '#core/show/ids'
import { emptyShow, type Show } from '#core/show/show'

export class ShowBuilder {
  show: Show
  readonly person: PersonId
  /** What the clock says, milliseconds. */
  now = 0
  #commands = 0

  constructor(id: string, person = 'demo') {
    this.show = emptyShow(showId.parse(id))
    this.person = personId.parse(person)
  }

  run<N extends CommandName>(name: N, input: CommandInput<N>): this {
    this.#commands += 1
    const outcome = runCommand(this.show, name, input, commandId.parse(`demo${this.#commands}`), {
      person: this.person,
      now: this.now,
    })
    if (!outcome.ok) throw new Error(`${name}: ${outcome.refusal.message}`)
    this.show = applyChanges(this.show, outcome.changes)
    return this
  }
}
