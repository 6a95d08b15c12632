/**
 * A command is a pure function from a show and its arguments to a change set, or a refusal with
 * its reason. Ids come from the command's own id, so the same command gives the same ids wherever
 * it runs: a page can show its outcome before the server answers.
 */
import type { z } from 'zod'
import { issueInWords } from '../show/faults'
import { keepCells } from '../show/cells'
import type { ChangeSet } from '../show/changes'
import type { Draft } from '../show/draft'
import type { CommandId, PersonId } from '../show/ids'
import type { Show } from '../show/show'
import { refusalInWords, type CommandRefusalCode, type RefusalAbout, type RefusalCode } from './refusals'

export interface Environment {
  readonly person: PersonId
  /** When it is done: milliseconds since 1970 by the server's clock. */
  readonly now: number
  /** A fresh id, the same ones in the same order for the same command. */
  newId(): string
}

/** What a person asked for and cannot have, with the remedy in its message. */
export interface Refusal {
  readonly code: RefusalCode
  /** The ids, names and numbers it is about. */
  readonly about?: unknown
  readonly message: string
  /** The argument it is about, where there is one. */
  readonly field?: string | undefined
}

/** What a command does. */
export interface Done {
  readonly ok: true
  readonly changes: ChangeSet
  /** The show as it leaves it. */
  readonly after: () => Show
  readonly label: string
  readonly mergeKey?: string | undefined
}

export type Outcome = Done | { readonly ok: false; readonly refusal: Refusal }

/** An outcome that can be handed from thread to thread. */
export type PlainOutcome = Omit<Done, 'after'> | Extract<Outcome, { readonly ok: false }>

export interface CommandDefinition<Input> {
  readonly input: z.ZodType<Input>
  /** False for what is not work but moving about, such as going to a cue. */
  readonly undoable: boolean
  run(show: Show, input: Input, environment: Environment): Outcome
}

export interface Command<Input> extends CommandDefinition<Input> {
  /** Runs on arguments from outside: they are checked first, and refused by field. */
  attempt(show: Show, input: unknown, environment: Environment): Outcome
}

export function command<Input>(definition: CommandDefinition<Input>): Command<Input> {
  return {
    ...definition,
    attempt(show, input, environment) {
      const checked = definition.input.safeParse(input)
      if (checked.success) return definition.run(show, checked.data, environment)
      const issue = checked.error.issues[0]
      const field = issue?.path.join('.') ?? ''
      return refuse('bad input', { field, why: issue ? issueInWords(issue) : 'not understood' }, field || undefined)
    },
  }
}

/** What a draft makes of the show; fixtures get the cells of their types with it. */
export function done(draft: Draft, label: string, mergeKey?: string): Done {
  keepCells(draft)
  return { ok: true, changes: draft.changes(), after: () => draft.result(), label, mergeKey }
}

/** What a command may not do; its words are made from its code and what it is about. */
export function refuse<C extends CommandRefusalCode>(
  code: C,
  about: RefusalAbout[C],
  field?: string,
): { readonly ok: false; readonly refusal: Refusal } {
  return { ok: false, refusal: { code, about, message: refusalInWords(code, about), field } }
}

export function environmentFor(commandId: CommandId, person: PersonId, now: number): Environment {
  let made = 0
  return { person, now, newId: () => `${commandId}-${++made}` }
}
