/** A fixture type with its modes, as it is begun with, added and changed. */
import { z } from 'zod'
import type { Draft } from '../../show/draft'
import { fixtureMode, fixtureType } from '../../show/entities'
import { fixtureModeId, fixtureTypeId, type FixtureTypeId } from '../../show/ids'
import { normalisedName } from '../../show/names'
import type { Show } from '../../show/show'
import { refuse, type Outcome } from '../command'

export const typeWithModes = fixtureType.extend({
  modes: z
    .array(fixtureMode.pick({ name: true, channels: true }))
    .min(1, 'a type needs at least one mode')
    .max(100)
    .refine(
      (modes) => new Set(modes.map((m) => normalisedName(m.name))).size === modes.length,
      'two modes have the same name; each needs its own',
    ),
})
export type TypeWithModes = z.infer<typeof typeWithModes>

/** Writes a new type and its modes; returns its id. */
export function putType(draft: Draft, { modes, ...type }: TypeWithModes, newId: () => string): FixtureTypeId {
  const id = fixtureTypeId.parse(newId())
  draft.put('fixtureType', id, type)
  for (const [i, mode] of modes.entries())
    draft.put('fixtureMode', fixtureModeId.parse(newId()), { type: id, order: i + 1, ...mode })
  return id
}

/** Refuses a maker's type name that another type has. */
export function typeInUse(show: Show, maker: string, name: string, except?: string): Outcome | null {
  for (const [id, type] of show.all.fixtureType)
    if (
      id !== except &&
      normalisedName(type.name) === normalisedName(name) &&
      normalisedName(type.maker) === normalisedName(maker)
    )
      return refuse('name taken', { kind: 'fixtureType', name: `${type.maker} ${type.name}` }, 'name')
  return null
}
