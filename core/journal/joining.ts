/** Steps of one kind in quick succession are undone as one. */
import type { ChangeGroupId, PersonId, WindowId } from '../show/ids'
import type { JournalEntry } from './entry'

/** How long, in milliseconds, steps of one kind join into one undo. */
export const MERGE_WINDOW = 800

/** The last step of each person, as far as another may join it. */
interface Open {
  readonly group: ChangeGroupId
  readonly window: WindowId
  readonly mergeKey: string
  readonly at: string
  readonly registers: ReadonlySet<string>
}

export class Joining {
  readonly #open = new Map<PersonId, Open>()

  /** Takes the next entry in. What anybody else touches stands alone from then on. */
  add({ person, kind, window, mergeKey, at, undoable, group, changes }: JournalEntry): void {
    for (const [other, { registers }] of this.#open)
      if (other !== person && changes.some(({ register }) => registers.has(register))) this.#open.delete(other)
    const isJoinable = kind === 'do' && undoable && mergeKey !== null
    if (isJoinable)
      this.#open.set(person, { group, window, mergeKey, at, registers: new Set(changes.map((c) => c.register)) })
    else if (kind !== 'do' || undoable || this.#touches(person, changes)) this.#open.delete(person)
  }

  #touches(person: PersonId, changes: JournalEntry['changes']): boolean {
    return changes.some(({ register }) => this.#open.get(person)?.registers.has(register))
  }

  /**
   * The group a new step joins: same person, window, merge key and registers, in quick succession,
   * with nothing else on those registers in between. Null when it stands alone.
   */
  groupFor(step: {
    readonly person: PersonId
    readonly window: WindowId
    readonly mergeKey: string | null
    readonly at: string
    readonly registers: readonly string[]
  }): ChangeGroupId | null {
    const last = this.#open.get(step.person)
    if (!last || last.mergeKey !== step.mergeKey || last.window !== step.window) return null
    if (Date.parse(step.at) - Date.parse(last.at) > MERGE_WINDOW) return null
    const isSame = last.registers.size === step.registers.length && step.registers.every((r) => last.registers.has(r))
    return isSame ? last.group : null
  }
}
