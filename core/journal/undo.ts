/**
 * Undo and redo, resolved against the journal instead of by stored inverses.
 *
 * A register's value is the `after` of its latest live write, else its base (the first `before`
 * the journal knows). Undo marks a group dead and writes only where that value changes, so another
 * person's later work stays, a value already undone cannot come back, and the order of undoing does
 * not matter. Replaying inverses was rejected: one person's undo then overwrites another's later
 * value.
 */
import equal from 'fast-deep-equal'
import { applyChanges, EXISTENCE, partsOf, readRegister, registerOf, type ChangeSet, type Write } from '../show/changes'
import { Draft } from '../show/draft'
import { danglingReferences } from '../show/references'
import { clashIn, type Clash } from '../show/uniqueness'
import type { ChangeGroupId, PersonId } from '../show/ids'
import type { Show } from '../show/show'
import type { JournalIndex, RegisterWrite } from './journalIndex'

/** A register that stays as someone left it later. */
export interface Kept {
  readonly register: string
  readonly by: PersonId
}

export type ToggleRefusal =
  | { readonly code: 'unknown' }
  | { readonly code: 'built on'; readonly register: string; readonly by: PersonId }
  | { readonly code: 'clashes'; readonly clash: Clash }
  | { readonly code: 'leaned on'; readonly kind: string; readonly id: string; readonly missing: string }

export type TogglePlan =
  | { readonly ok: true; readonly changes: ChangeSet; readonly kept: readonly Kept[] }
  | { readonly ok: false; readonly refusal: ToggleRefusal }

/** What undoing (`dead`) or redoing (`live`) a group would write, what it leaves, or why it may not. */
export function planToggle(show: Show, index: JournalIndex, group: ChangeGroupId, to: 'dead' | 'live'): TogglePlan {
  const target = index.groups.get(group)
  if (!target) return { ok: false, refusal: { code: 'unknown' } }
  const changes: Write[] = []
  const kept: Kept[] = []
  for (const register of target.registers) {
    const writes = index.writes.get(register) ?? []
    const isLive = (write: RegisterWrite) =>
      write.group === group ? to === 'live' : index.groups.get(write.group)?.live === true
    const latest = writes.findLast(isLive)
    const before = readRegister(show, register)
    const after = latest ? latest.after : writes[0]?.before
    if (!equal(before, after)) changes.push({ register, before, after })
    const overlaid = writes.findLast((write) => isLive(write) || write.group === group)
    if (overlaid && overlaid.group !== group) kept.push({ register, by: overlaid.person })
  }
  const swept = withoutRuns(show, changes)
  const refusal = builtOn(show, index, swept, group) ?? unsound(show, swept)
  return refusal ? { ok: false, refusal } : { ok: true, changes: swept, kept }
}

/** Taking back a creation that someone has since edited would lose their work. */
function builtOn(show: Show, index: JournalIndex, changes: ChangeSet, group: ChangeGroupId): ToggleRefusal | null {
  for (const change of changes) {
    const { kind, id, field } = partsOf(change.register)
    if (field !== EXISTENCE || change.after !== undefined) continue
    for (const name of Object.keys(show.all[kind].get(id) ?? {})) {
      const register = `${kind}/${id}/${name}`
      const latest = index.writes.get(register)?.findLast((write) => index.groups.get(write.group)?.live)
      if (latest && latest.group !== group) return { code: 'built on', register, by: latest.person }
    }
  }
  return null
}

/** What was running is no one's work: it goes with the cue it ran, and a list that stood in it stands in none. */
function withoutRuns(show: Show, changes: ChangeSet): ChangeSet {
  const gone = new Set(
    changes.flatMap(({ register, after }) => {
      const { kind, id, field } = partsOf(register)
      return kind === 'cue' && field === EXISTENCE && after === undefined ? [id] : []
    }),
  )
  if (gone.size === 0) return changes
  const after = applyChanges(show, changes)
  const draft = new Draft(after)
  for (const [id, { cue, from }] of after.all.cueRun)
    if (gone.has(cue ?? '') || gone.has(from ?? '')) draft.remove('cueRun', id)
  for (const [id, { onStage }] of after.all.cueList)
    if (gone.has(onStage ?? '')) draft.set('cueList', id, 'onStage', null)
  const swept = draft.changes()
  const registers = new Set(swept.map(({ register }) => register))
  return [
    ...changes.filter(({ register }) => !registers.has(register)),
    ...swept.map((write) => ({ ...write, before: readRegister(show, write.register) })),
  ]
}

/** What would be left pointing at nothing, or standing twice. */
function unsound(show: Show, changes: ChangeSet): ToggleRefusal | null {
  const after = applyChanges(show, changes)
  const clash = clashIn(after, changes)
  if (clash) return { code: 'clashes', clash }
  if (!changes.some((change) => partsOf(change.register).field === EXISTENCE)) return null
  const dangling = danglingReferences(after)[0]
  if (!dangling) return null
  return { code: 'leaned on', kind: dangling.kind, id: dangling.id, missing: dangling.missing }
}

/**
 * Undoing all the same: the group's writes taken back, records it made taken out whole, and with
 * them everything that leans on them. An ordinary change, so it can itself be undone.
 */
export function planAnyway(show: Show, index: JournalIndex, group: ChangeGroupId): ChangeSet {
  const target = index.groups.get(group)
  if (!target) return []
  const draft = new Draft(show)
  for (const register of target.registers) {
    const writes = index.writes.get(register) ?? []
    const latest = writes.findLast((w) => w.group !== group && index.groups.get(w.group)?.live === true)
    draft.write(register, latest ? latest.after : writes[0]?.before)
  }
  for (const register of target.registers) {
    const { kind, id, field } = partsOf(register)
    if (field === EXISTENCE && !draft.result().all[kind].has(id)) draft.remove(kind, id)
  }
  for (;;) {
    const dangling = danglingReferences(draft.result())
    if (dangling.length === 0) return draft.changes()
    for (const { kind, id, field, weak } of dangling) {
      if (weak) draft.write(registerOf(kind, id, field), null)
      else draft.remove(kind, id)
    }
  }
}
