/** How a kind of record is declared: once, with all that must be known of it. */
import type { z } from 'zod'

/**
 * What happens to a record when one it points at goes: it goes too; it keeps that one from going;
 * what stands in its place is a plain value; or it points at nothing.
 */
export type WhenGone = 'goes too' | 'refuses' | 'turns loose' | 'turns to nothing'

export interface ReferenceTo {
  readonly to: string
  readonly whenGone: WhenGone
}

/** Only a field that may be empty can come to point at nothing. */
type ReferenceIn<Field> = null extends Field ? ReferenceTo : ReferenceTo & { readonly whenGone: 'goes too' | 'refuses' }
type References<Entity> = { readonly [F in keyof Entity]?: ReferenceIn<Entity[F]> }

export interface KindDeclaration<Entity, Schema extends z.ZodObject> {
  readonly schema: Schema
  /** What a person calls one, and many. */
  readonly words: readonly [one: string, many: string]
  /** The table it is kept in. */
  readonly table: string
  /** `whole` where its parts mean nothing alone: it is one register. Else each field is. */
  readonly register: 'whole' | 'fields'
  /** For what tells of people, or of what goes on just now, and is no part of the work. */
  readonly concerns?: 'people' | 'moment'
  /** Its fields that point at others. */
  readonly references: References<Entity>
  /** What its `value` may point at, where it has one. */
  readonly inValue?: readonly ReferenceTo[]
  /** No two may have the same in these; the last of them is what a person can change. */
  readonly unique?: readonly (keyof Entity & string)[]
  /** Makes its id of its parts; null where its id is free. */
  readonly id?: (entity: Entity) => string | null
  /** The field that says whose part it is, where nobody would name it by itself. */
  readonly partOf?: keyof Entity & string
}

/** Declares a kind; keeps its literal types, so that what it points at can be checked where all are listed. */
export function kind<
  Schema extends z.ZodObject,
  const Rest extends Omit<KindDeclaration<z.infer<Schema>, Schema>, 'schema'>,
>(schema: Schema, rest: Rest): Rest & { readonly schema: Schema } {
  return { ...rest, schema }
}

export const goesWith = <const To extends string>(to: To) => ({ to, whenGone: 'goes too' }) as const
export const holds = <const To extends string>(to: To) => ({ to, whenGone: 'refuses' }) as const
export const mayPointAt = <const To extends string>(to: To) => ({ to, whenGone: 'turns to nothing' }) as const
