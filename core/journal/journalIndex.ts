/**
 * The journal folded for questions: who did which group, is it live, and who wrote a register.
 * A pure fold over entries in order of `seq`; adding one at a time or all at once agree.
 */
import type { Json } from '../show/changes'
import type { ChangeGroupId, PersonId, WindowId } from '../show/ids'
import type { JournalEntry } from './entry'

export interface ChangeGroup {
  readonly id: ChangeGroupId
  readonly person: PersonId
  readonly window: WindowId
  label: string
  readonly undoable: boolean
  readonly registers: Set<string>
  firstSeq: number
  lastSeq: number
  mergeKey: string | null
  lastAt: string
  live: boolean
  waived: boolean
  toggledAt: number
}

export interface RegisterWrite {
  readonly seq: number
  readonly group: ChangeGroupId
  readonly person: PersonId
  readonly window: WindowId
  readonly before: Json | undefined
  readonly after: Json | undefined
}

export class JournalIndex {
  readonly groups = new Map<ChangeGroupId, ChangeGroup>()
  readonly writes = new Map<string, RegisterWrite[]>()
  /** Seq of the last write of any kind to a register, undo included: what a stale command checks. */
  readonly lastTouched = new Map<string, { seq: number; person: PersonId; window: WindowId }>()
  barrierSeq = 0
  lastSeq = 0

  add(entry: JournalEntry): void {
    this.lastSeq = entry.seq
    for (const { register } of entry.changes)
      this.lastTouched.set(register, { seq: entry.seq, person: entry.person, window: entry.window })
    if (entry.kind === 'barrier') {
      this.barrierSeq = entry.seq
      return
    }
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
    group.lastAt = entry.at
    const { seq, person, window } = entry
    for (const { register, before, after } of entry.changes) {
      group.registers.add(register)
      const writes = this.writes.get(register)
      const write = { seq, group: entry.group, person, window, before, after }
      if (writes) writes.push(write)
      else this.writes.set(register, [write])
    }
  }
}

function newGroup(entry: JournalEntry): ChangeGroup {
  return {
    id: entry.group,
    person: entry.person,
    window: entry.window,
    label: entry.label,
    undoable: entry.undoable,
    registers: new Set(),
    firstSeq: entry.seq,
    lastSeq: entry.seq,
    mergeKey: entry.mergeKey,
    lastAt: entry.at,
    live: true,
    waived: false,
    toggledAt: 0,
  }
}

/** The group undo would take back next for a person, or null. */
export function nextUndo(index: JournalIndex, person: PersonId): ChangeGroup | null {
  let next: ChangeGroup | null = null
  for (const group of index.groups.values()) {
    if (group.person !== person || !group.live || !group.undoable || group.waived) continue
    if (group.firstSeq <= index.barrierSeq) continue
    if (next === null || group.lastSeq > next.lastSeq) next = group
  }
  return next
}

/** The group redo would bring back next for a person: the last undone with nothing new done since. */
export function nextRedo(index: JournalIndex, person: PersonId): ChangeGroup | null {
  let next: ChangeGroup | null = null
  let lastDone = 0
  for (const group of index.groups.values()) {
    if (group.person !== person || !group.undoable) continue
    lastDone = Math.max(lastDone, group.lastSeq)
    if (group.live || group.waived || group.firstSeq <= index.barrierSeq) continue
    if (next === null || group.toggledAt > next.toggledAt) next = group
  }
  return next !== null && next.toggledAt > lastDone ? next : null
}

/** How long, in milliseconds, steps of one kind join into one undo. */
export const MERGE_WINDOW = 800

/**
 * The group a new step joins: same person, window, merge key and registers, in quick succession,
 * with no one else's entry on those registers in between. Null when it stands alone.
 */
export function groupToJoin(
  index: JournalIndex,
  step: { person: PersonId; window: WindowId; mergeKey: string | null; at: string; registers: readonly string[] },
): ChangeGroup | null {
  if (step.mergeKey === null) return null
  const last = nextUndo(index, step.person)
  if (!last || last.mergeKey !== step.mergeKey || last.window !== step.window) return null
  if (Date.parse(step.at) - Date.parse(last.lastAt) > MERGE_WINDOW) return null
  if (last.registers.size !== step.registers.length) return null
  const isUntouched = step.registers.every(
    (register) => last.registers.has(register) && (index.lastTouched.get(register)?.seq ?? 0) <= last.lastSeq,
  )
  return isUntouched && !hasUndoneSince(index, step.person, last.lastSeq) ? last : null
}

function hasUndoneSince(index: JournalIndex, person: PersonId, seq: number): boolean {
  for (const group of index.groups.values()) if (group.person === person && group.toggledAt > seq) return true
  return false
}
