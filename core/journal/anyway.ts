/**
 * Undoing or redoing all the same: what the step wrote is taken back or done again, and what cannot
 * stand beside it gives way, until the show is sound. An ordinary change, so it can itself be undone.
 */
import { EXISTENCE, registerParts, readRegister, registerOf, type ChangeSet } from '../show/changes'
import type { Json } from '../show/json'
import { Draft } from '../show/draft'
import { isWholeKind, type Kind } from '../show/kinds'
import { checkedChange, type Fault } from '../show/soundness'
import type { ChangeGroupId } from '../show/ids'
import type { Show } from '../show/show'
import type { ChangeGroup, History } from './history'
import { withoutRuns } from './running'
import { recordOf, toggled, writtenSince, type Liveness } from './undo'

/** `along` are the writes to what the step itself did not touch, or others have written since. */
export interface AnywayPlan {
  readonly changes: ChangeSet
  readonly along: ChangeSet
}

/** What is being put right, and all that is known for it. */
interface Repair {
  readonly draft: Draft
  readonly history: History
  readonly target: ChangeGroup
  readonly to: Liveness
  readonly changes: ChangeSet
  /** The show as it would be; null where something does not fit its kind. */
  readonly after: Show | null
}

/** Rounds after which a show is taken to be beyond putting right; each takes some of the change away. */
const MOST_ROUNDS = 500

/** What undoing or redoing a step all the same would write; null where no way was found. */
export function planAnyway(show: Show, history: History, group: ChangeGroupId, to: Liveness): AnywayPlan | null {
  const target = history.groups.get(group)
  if (!target) return null
  const draft = new Draft(show)
  for (const { register, after } of toggled(show, history, target, to).changes) {
    draft.write(register, after)
    const { kind, id, field } = registerParts(register)
    if (field === EXISTENCE && after === undefined) draft.remove(kind, id)
  }
  const attempted = new Set<string>()
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const changes = withoutRuns(show, draft.changes())
    const checked = checkedChange(show, changes)
    if (checked.ok)
      return {
        changes,
        along: changes.filter(
          ({ register }) => !target.registers.has(register) || writtenSince(history, register, target) !== undefined,
        ),
      }
    for (const { register, after } of changes) draft.write(register, after)
    for (const fault of checked.faults) {
      const repair = { draft, history, target, to, changes, after: checked.after }
      const key = JSON.stringify(fault)
      if (attempted.has(key)) leaveAsItIs(repair, fault)
      else giveWay(repair, fault)
      attempted.add(key)
    }
  }
  return null
}

function giveWay(repair: Repair, fault: Fault): void {
  switch (fault.code) {
    case 'missing':
      return giveUpMissing(repair, fault)
    case 'clash':
      return standApart(repair, fault.clash)
    case 'loop':
      return openLoop(repair, fault.palettes)
    case 'misfit':
      return asTheStepHadIt(repair, fault.kind, fault.id)
    case 'other mode':
      return asTheStepHadIt(repair, 'fixture', fault.fixture)
    case 'too deep':
    case 'other list':
    case 'not hung':
    case 'other id':
      return leaveAsItIs(repair, fault)
  }
}

/** Where giving way has not helped, what the change does to the thing is not done. */
function leaveAsItIs({ draft, changes }: Repair, fault: Fault): void {
  const record = 'kind' in fault ? fault : recordOf(fault)
  if (record) draft.leave(record.kind, record.id)
  else if (fault.code === 'clash') {
    draft.leave(fault.clash.kind, fault.clash.id)
    draft.leave(fault.clash.kind, fault.clash.other)
  } else
    for (const { register } of changes) {
      const { kind, id } = registerParts(register)
      if (kind === 'paletteValue') draft.leave(kind, id)
    }
}

/** What points at nothing lets go where it may; what was put in place for it stays as it is; else it goes along. */
function giveUpMissing({ draft, changes, after }: Repair, missing: Extract<Fault, { code: 'missing' }>): void {
  const { kind, id, field, to } = missing
  if (kind === 'show' && field === 'venue') return playElsewhere(draft, after, id)
  const register = registerOf(kind, id, isWholeKind(kind) ? EXISTENCE : field)
  const before = readRegister(draft.before, register)
  const isPointedHere = before !== undefined && changes.some((change) => change.register === register)
  if (isPointedHere && !draft.before.all[to].has(missing.missing)) draft.write(register, before)
  else draft.letGo(missing)
}

/** A show whose venue goes plays in another; the only one stays. */
function playElsewhere(draft: Draft, after: Show | null, show: string): void {
  const [other] = after?.all.venue.keys() ?? []
  if (other !== undefined) draft.write(registerOf('show', show, 'venue'), other)
  else for (const venue of draft.before.all.venue.keys()) draft.leave('venue', venue)
}

/** Of two with one name or number, the one that comes back takes a free one; one that only changed stays as it was. */
function standApart({ draft, after, changes }: Repair, clash: Extract<Fault, { code: 'clash' }>['clash']): void {
  const { kind, field } = clash
  const made = [clash.id, clash.other].find((id) => !draft.before.all[kind].has(id))
  if (made !== undefined && after) draft.write(registerOf(kind, made, field), freeValue(after, kind, made, field))
  else
    for (const id of [clash.id, clash.other]) {
      const register = registerOf(kind, id, field)
      if (changes.some((change) => change.register === register))
        draft.write(register, readRegister(draft.before, register))
    }
}

/** The next number, or the name with the next numeral, that no other of the kind has. */
function freeValue(show: Show, kind: Kind, id: string, field: string): Json {
  const taken = new Set<unknown>([...show.all[kind].values()].map((other) => Reflect.get(other, field)))
  const value: unknown = Reflect.get(show.all[kind].get(id) ?? {}, field)
  if (typeof value === 'number') {
    let number = Math.floor(value) + 1
    while (taken.has(number)) number += 1
    return number
  }
  for (let numeral = 2; ; numeral++) {
    const name = `${String(value).slice(0, 110)} ${numeral}`
    if (!taken.has(name)) return name
  }
}

/** Palettes made of each other: a link that the step did not make goes, or, where it made all, what it made. */
function openLoop({ draft, after, changes }: Repair, palettes: readonly string[]): void {
  const written = new Set(changes.map(({ register }) => register))
  const edges = palettes
    .slice(1)
    .map((part, i) =>
      [...(after?.all.paletteValue ?? [])].flatMap(([id, { palette, value }]) =>
        palette === palettes[i] && value.kind === 'link' && value.palette === part ? [id] : [],
      ),
    )
  const isWritten = (id: string) => written.has(registerOf('paletteValue', id, EXISTENCE))
  const theirs = edges.findLast((ids) => !ids.some(isWritten))
  if (theirs) for (const id of theirs) draft.remove('paletteValue', id)
  else for (const id of edges.flat().filter(isWritten)) draft.leave('paletteValue', id)
}

/** A record whose parts no longer go together gets the step's own parts back, over what was made of them since. */
function asTheStepHadIt({ draft, history, target, to }: Repair, kind: Kind, id: string): void {
  for (const register of target.registers) {
    const parts = registerParts(register)
    if (parts.kind !== kind || parts.id !== id || parts.field === EXISTENCE) continue
    const writes = history.writes.get(register) ?? []
    const latest = writes.findLast(({ group, seq }) =>
      group === target.id ? to === 'live' : seq < target.firstSeq && history.groups.get(group)?.live === true,
    )
    draft.write(register, latest ? latest.after : writes[0]?.before)
  }
}
