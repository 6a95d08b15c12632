/**
 * A change in the making. Keeps the first `before` and the last `after` of every register and
 * drops what changes nothing.
 */
import equal from 'fast-deep-equal'
import {
  applyChanges,
  checkedEntity,
  EXISTENCE,
  readRegister,
  registerOf,
  type ChangeSet,
  type MakeEntity,
} from './changes'
import { toJson, type Json } from './json'
import { fieldsOf, isWholeKind, type EntityOf, type Kind, type RecordKind } from './kinds'
import type { Dangling } from './references'
import { emptyCollections, type Show } from './show'
import { asStored } from './stored'

export class Draft {
  readonly #show: Show
  readonly #after = new Map<string, Json | undefined>()
  /** What was put whole. */
  readonly #put = emptyCollections()
  #changes: ChangeSet | null = null

  constructor(show: Show) {
    this.#show = show
  }

  /** The show the change starts from. */
  get before(): Show {
    return this.#show
  }

  /** Makes an entity or replaces it whole. */
  put<K extends Kind>(kind: K, id: string, entity: EntityOf[K]): this {
    this.#put[kind].set(id, entity)
    if (isWholeKind(kind)) return this.write(registerOf(kind, id, EXISTENCE), toJson(entity))
    this.write(registerOf(kind, id, EXISTENCE), true)
    for (const [field, value] of Object.entries(entity)) this.write(registerOf(kind, id, field), toJson(value))
    return this
  }

  /** Sets one field of a record. */
  set<K extends RecordKind, F extends keyof EntityOf[K] & string>(
    kind: K,
    id: string,
    field: F,
    value: EntityOf[K][F],
  ): this {
    return this.write(registerOf(kind, id, field), toJson(value))
  }

  /** Takes an entity out, with all its fields, whether it stood in the show or was put here. */
  remove(kind: Kind, id: string): this {
    this.write(registerOf(kind, id, EXISTENCE), undefined)
    if (!isWholeKind(kind)) for (const field of fieldsOf(kind)) this.write(registerOf(kind, id, field), undefined)
    return this
  }

  /** Takes out what points at nothing: the field where it may be empty, else the whole entity. */
  letGo({ kind, id, field, whenGone }: Pick<Dangling, 'kind' | 'id' | 'field' | 'whenGone'>): this {
    if (whenGone !== 'turns to nothing') return this.remove(kind, id)
    const register = registerOf(kind, id, EXISTENCE)
    const entity = this.#after.has(register) ? this.#after.get(register) : readRegister(this.#show, register)
    if (entity === undefined) return this
    if (!isWholeKind(kind)) return this.write(registerOf(kind, id, field), null)
    return this.write(register, toJson({ ...Object(entity), [field]: null }))
  }

  /** Leaves an entity as it was, whatever was written of it here. */
  leave(kind: Kind, id: string): this {
    for (const field of isWholeKind(kind) ? [EXISTENCE] : [EXISTENCE, ...fieldsOf(kind)]) {
      const register = registerOf(kind, id, field)
      this.write(register, readRegister(this.#show, register))
    }
    return this
  }

  /** Writes one register by name. */
  write(register: string, after: Json | undefined): this {
    this.#after.set(register, asStored(register, after))
    this.#changes = null
    return this
  }

  /** The change set so far. */
  changes(): ChangeSet {
    return (this.#changes ??= this.#different())
  }

  #different(): ChangeSet {
    const changes = []
    for (const [register, after] of this.#after) {
      const before = readRegister(this.#show, register)
      if (!equal(before, after)) changes.push({ register, before, after })
    }
    return changes
  }

  /** The show as it would be. */
  result(): Show {
    return applyChanges(this.#show, this.changes(), this.#make)
  }

  /** What was written after it was put is another object, and checked. */
  readonly #make: MakeEntity = (kind, id, written) => {
    const put = this.#put[kind].get(id)
    return put !== undefined && put === written ? put : checkedEntity(kind, id, written)
  }
}
