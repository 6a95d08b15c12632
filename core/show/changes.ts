/**
 * Change sets: what a command does, as writes to registers. A register is the smallest thing that
 * is meaningful alone; `$` is whether a record exists, or the whole of a kind that is one value.
 */
import { z } from 'zod'
import { isWholeKind, KINDS, schemaOf, type EntityOf, type Kind } from './kinds'
import { noteOrigin } from './collectionChanges'
import { json, toJson, type Json } from './json'
import type { Collections, Show } from './show'

/** One register's change; undefined means absent. `register` reads `kind/id/field`. */
export interface Write {
  readonly register: string
  readonly before?: Json | undefined
  readonly after?: Json | undefined
}

export type ChangeSet = readonly Write[]

export const writeSchema = z.strictObject({
  register: z.string().regex(/^[A-Za-z]+\/[^/\s]+\/[A-Za-z$]+$/),
  before: json.optional(),
  after: json.optional(),
})
export const changeSetSchema: z.ZodType<ChangeSet> = z.array(writeSchema)

export const EXISTENCE = '$'

export function registerOf(kind: Kind, id: string, field: string): string {
  return `${kind}/${id}/${field}`
}

export interface RegisterParts {
  readonly kind: Kind
  readonly id: string
  readonly field: string
}

const KIND_NAMED: ReadonlyMap<string, Kind> = new Map(KINDS.map((kind) => [kind, kind]))

/** The parts of a register; throws RangeError for a name that is none. */
export function registerParts(register: string): RegisterParts {
  const afterKind = register.indexOf('/')
  const beforeField = register.lastIndexOf('/')
  const known = KIND_NAMED.get(register.slice(0, afterKind))
  const id = register.slice(afterKind + 1, beforeField)
  const field = register.slice(beforeField + 1)
  if (!known || !id || !field) throw new RangeError(`not a register: ${register}`)
  return { kind: known, id, field }
}

/** What a register holds now; undefined when absent. */
export function readRegister(show: Show, register: string): Json | undefined {
  const { kind, id, field } = registerParts(register)
  const entity = show.all[kind].get(id)
  if (entity === undefined) return undefined
  if (field !== EXISTENCE) return toJson(Reflect.get(entity, field))
  return isWholeKind(kind) ? toJson(entity) : true
}

/** What a kind keeps of what was written to one of its entities. */
export type MakeEntity = <K extends Kind>(kind: K, id: string, written: unknown) => EntityOf[K]

/** Throws ZodError for what does not fit its kind. */
export const checkedEntity: MakeEntity = (kind, _id, written) => schemaOf(kind).parse(written)

/**
 * The show after a change set, in one pass a kind. Throws ZodError when a write does not fit its
 * kind: a programmer's fault, since commands check what people send. `make` is how a draft hands
 * over what typed code put in it, which needs no check.
 */
export function applyChanges(show: Show, changes: ChangeSet, make: MakeEntity = checkedEntity): Show {
  if (changes.length === 0) return show
  const byKind = new Map<Kind, Map<string, Write[]>>()
  for (const write of changes) {
    const { kind, id } = registerParts(write.register)
    const ofKind = byKind.get(kind) ?? new Map<string, Write[]>()
    byKind.set(kind, ofKind)
    const ofEntity = ofKind.get(id)
    if (ofEntity) ofEntity.push(write)
    else ofKind.set(id, [write])
  }
  let all: Collections = show.all
  for (const [kind, writes] of byKind) all = { ...all, [kind]: applyToKind(all, kind, writes, make) }
  return { id: show.id, all }
}

function applyToKind<K extends Kind>(all: Collections, kind: K, writes: Map<string, Write[]>, make: MakeEntity) {
  const next = new Map<string, EntityOf[K]>(all[kind])
  for (const [id, ofEntity] of writes) {
    const changed = isWholeKind(kind) ? ofEntity[0]?.after : changedRecord(next.get(id), ofEntity)
    if (changed === undefined) next.delete(id)
    else next.set(id, make(kind, id, changed))
  }
  noteOrigin(next, all[kind], [...writes.keys()])
  return next
}

function changedRecord(record: object | undefined, writes: readonly Write[]): object | undefined {
  const next: Record<string, unknown> = { ...record }
  let exists = record !== undefined
  for (const { register, after } of writes) {
    const { field } = registerParts(register)
    if (field === EXISTENCE) exists = after === true
    else next[field] = after
  }
  return exists ? next : undefined
}

/** The entities a change set touches, by kind. */
export function touchedBy(changes: ChangeSet): Map<Kind, Set<string>> {
  const touched = new Map<Kind, Set<string>>()
  for (const { register } of changes) {
    const { kind, id } = registerParts(register)
    const ids = touched.get(kind) ?? new Set<string>()
    ids.add(id)
    touched.set(kind, ids)
  }
  return touched
}
