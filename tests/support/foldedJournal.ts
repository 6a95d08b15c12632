/**
 * The whole journal folded: who did which group, is it live, and every write of every register.
 * Slow and obvious: what the server reads from its database in parts is held against it.
 */
import type { JournalEntry } from '#core/journal/entry'
import type { ChangeGroup, History, RegisterWrite } from '#core/journal/history'
import type { ChangeGroupId, PersonId } from '#core/show/ids'

export interface FoldedGroup extends ChangeGroup {
  label: string
  readonly undoable: boolean
  readonly registers: Set<string>
  lastSeq: number
  live: boolean
  waived: boolean
  toggledAt: number
}

export class FoldedJournal implements History {
  readonly groups = new Map<ChangeGroupId, FoldedGroup>()
  readonly writes = new Map<string, RegisterWrite[]>()

  add(entry: JournalEntry): void {
    if (entry.kind === 'do') return this.#addDone(entry)
    const group = this.groups.get(entry.group)
    if (!group) throw new RangeError(`the journal has no group ${entry.group}`)
    group.toggledAt = entry.seq
    if (entry.kind === 'waive') group.waived = true
    else group.live = entry.kind === 'redo'
  }

  #addDone(entry: JournalEntry): void {
    const group = this.groups.get(entry.group) ?? newGroup(entry)
    this.groups.set(entry.group, group)
    group.label = entry.label
    group.lastSeq = entry.seq
    const { seq, person } = entry
    for (const { register, before, after } of entry.changes) {
      group.registers.add(register)
      const writes = this.writes.get(register)
      const write = { seq, group: entry.group, person, before, after }
      if (writes) writes.push(write)
      else this.writes.set(register, [write])
    }
  }
}

function newGroup(entry: JournalEntry): FoldedGroup {
  return {
    id: entry.group,
    person: entry.person,
    label: entry.label,
    undoable: entry.undoable,
    registers: new Set(),
    firstSeq: entry.seq,
    lastSeq: entry.seq,
    live: true,
    waived: false,
    toggledAt: 0,
  }
}

/** The group undo would take back next for a person, or null. */
export function nextUndo(index: FoldedJournal, person: PersonId): FoldedGroup | null {
  let next: FoldedGroup | null = null
  for (const group of index.groups.values()) {
    if (group.person !== person || !group.live || !group.undoable || group.waived) continue
    if (next === null || group.lastSeq > next.lastSeq) next = group
  }
  return next
}

/** The group redo would bring back next for a person: the last undone with nothing new done since. */
export function nextRedo(index: FoldedJournal, person: PersonId): FoldedGroup | null {
  let next: FoldedGroup | null = null
  let lastDone = 0
  for (const group of index.groups.values()) {
    if (group.person !== person || !group.undoable) continue
    lastDone = Math.max(lastDone, group.lastSeq)
    if (group.live || group.waived) continue
    if (next === null || group.toggledAt > next.toggledAt) next = group
  }
  return next !== null && next.toggledAt > lastDone ? next : null
}
