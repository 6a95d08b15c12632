/**
 * Undo and redo, resolved against the journal instead of by stored inverses.
 *
 * A register's value is the `after` of its latest live write, else its base (the first `before`
 * the journal knows). Undo marks a group dead and writes only where that value changes, so another
 * person's later work stays, a value already undone cannot come back, and the order of undoing does
 * not matter. Replaying inverses was rejected: one person's undo then overwrites another's later
 * value. What would be written is checked as a command's result is; what is not sound is refused.
 */
import equal from 'fast-deep-equal'
import { EXISTENCE, registerParts, readRegister, registerOf, type ChangeSet, type Write } from '../show/changes'
import { fieldsOf } from '../show/kinds'
import { checkedChange, type Fault } from '../show/soundness'
import type { ChangeGroupId, PersonId } from '../show/ids'
import type { Show } from '../show/show'
import type { ChangeGroup, History, RegisterWrite } from './history'
import { withoutRuns } from './running'

/** A register that stays: as someone left it later, or because what it belongs to is gone. */
export interface Kept {
  readonly register: string
  readonly by: PersonId
  readonly isGone: boolean
}

export type ToggleRefusal =
  | { readonly code: 'unknown' }
  | { readonly code: 'built on'; readonly register: string; readonly by: PersonId }
  | { readonly code: 'unsound'; readonly fault: Fault }

export type TogglePlan =
  | { readonly ok: true; readonly changes: ChangeSet; readonly kept: readonly Kept[] }
  | { readonly ok: false; readonly refusal: ToggleRefusal }

export type Liveness = 'dead' | 'live'

/** What undoing (`dead`) or redoing (`live`) a group would write, what it leaves, or why it may not. */
export function planToggle(show: Show, history: History, group: ChangeGroupId, to: Liveness): TogglePlan {
  const target = history.groups.get(group)
  if (!target) return { ok: false, refusal: { code: 'unknown' } }
  const { changes, kept } = toggled(show, history, target, to)
  const swept = withoutRuns(show, changes)
  const refusal = builtOn(show, history, swept, target) ?? unsound(show, history, swept, target)
  return refusal ? { ok: false, refusal } : { ok: true, changes: swept, kept }
}

/** What the registers of a group come to when it is dead or live, checked against nothing. */
export function toggled(
  show: Show,
  history: History,
  target: ChangeGroup,
  to: Liveness,
): { readonly changes: ChangeSet; readonly kept: readonly Kept[] } {
  const changes: Write[] = []
  const kept: Kept[] = []
  for (const register of target.registers) {
    const writes = history.writes.get(register) ?? []
    const isLive = (write: RegisterWrite) =>
      write.group === target.id ? to === 'live' : history.groups.get(write.group)?.live === true
    const latest = writes.findLast(isLive)
    const before = readRegister(show, register)
    const after = latest ? latest.after : writes[0]?.before
    if (!equal(before, after)) changes.push({ register, before, after })
    const overlaid = writes.findLast((write) => isLive(write) || write.group === target.id)
    if (overlaid && overlaid.group !== target.id)
      kept.push({
        register,
        by: overlaid.person,
        isGone: readRegister(show, existenceOf(register)) === undefined,
      })
  }
  const made = new Set(changes.flatMap(({ register, after }) => (isExistence(register) && after ? [register] : [])))
  const isOfGone = ({ register }: Write) => {
    const whole = existenceOf(register)
    return register !== whole && readRegister(show, whole) === undefined && !made.has(whole)
  }
  const left = changes.filter(isOfGone).map(({ register }): Kept => {
    const taker = history.writes.get(existenceOf(register))?.findLast((w) => history.groups.get(w.group)?.live)
    return { register, by: taker?.person ?? target.person, isGone: true }
  })
  return { changes: changes.filter((change) => !isOfGone(change)), kept: [...kept, ...left] }
}

const isExistence = (register: string) => registerParts(register).field === EXISTENCE

function existenceOf(register: string): string {
  const { kind, id } = registerParts(register)
  return registerOf(kind, id, EXISTENCE)
}

/** The latest live write to a register that came after a group and is not its own. */
export function writtenSince(history: History, register: string, target: ChangeGroup): RegisterWrite | undefined {
  return history.writes
    .get(register)
    ?.findLast(({ group, seq }) => group !== target.id && seq > target.firstSeq && history.groups.get(group)?.live)
}

/** Taking out what someone has edited since would lose their work. */
function builtOn(show: Show, history: History, changes: ChangeSet, target: ChangeGroup): ToggleRefusal | null {
  for (const change of changes) {
    const { kind, id, field } = registerParts(change.register)
    if (field !== EXISTENCE || change.after !== undefined || !show.all[kind].has(id)) continue
    const later = laterOf(history, kind, id, target)
    if (later) return later
  }
  return null
}

type Parts = ReturnType<typeof registerParts>

function laterOf(history: History, kind: Parts['kind'], id: string, target: ChangeGroup): ToggleRefusal | null {
  for (const field of fieldsOf(kind)) {
    const register = registerOf(kind, id, field)
    const latest = writtenSince(history, register, target)
    if (latest) return { code: 'built on', register, by: latest.person }
  }
  return null
}

/** Why a change may not be: what others made of the record since, else what is wrong with it. */
function unsound(show: Show, history: History, changes: ChangeSet, target: ChangeGroup): ToggleRefusal | null {
  const checked = checkedChange(show, changes)
  const fault = checked.ok ? undefined : checked.faults[0]
  if (!fault) return null
  const record = recordOf(fault)
  return (record && laterOf(history, record.kind, record.id, target)) ?? { code: 'unsound', fault }
}

/** The record whose parts do not go together; null where it is about two things. */
export function recordOf(fault: Fault): Pick<Parts, 'kind' | 'id'> | null {
  if (fault.code === 'misfit') return fault
  return fault.code === 'other mode' ? { kind: 'fixture', id: fault.fixture } : null
}
