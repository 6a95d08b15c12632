/** A fixture as a row of a table, with its hang, type and mode by name. */
import { hangFixture } from './hangFixture'
import { z } from 'zod'
import type { Draft } from '../../show/draft'
import * as entities from '../../show/entities'
import { fixtureTypeId, hangId, type FixtureId } from '../../show/ids'
import { firstMode, modesOf } from '../../show/modes'
import { normalisedName } from '../../show/names'
import { showRecordOf, type Show } from '../../show/show'
import { refuse, type Outcome } from '../command'

export const fixtureRow = entities.fixturePlace
  .omit({ venue: true, fixture: true, hang: true })
  .extend(entities.fixture.omit({ type: true, mode: true, bar: true, cell: true }).shape)
  .extend({
    hang: z.string(),
    type: z.string(),
    /** By name; null takes the type's first mode. */
    mode: z.string().nullable().default(null),
  })
export type FixtureRow = z.infer<typeof fixtureRow>

/** Ids by name, as names are compared. */
export interface RowNames {
  readonly hangs: ReadonlyMap<string, string>
  readonly types: ReadonlyMap<string, string>
}

export function idsByName(collection: ReadonlyMap<string, { readonly name: string }>): Map<string, string> {
  return new Map([...collection].map(([id, { name }]) => [normalisedName(name), id]))
}

/** Writes a row as the fixture `id` with its place in the venue in play; refuses names nothing has. */
export function putFixtureRow(
  show: Show,
  draft: Draft,
  id: FixtureId,
  row: FixtureRow,
  names: RowNames,
): Outcome | null {
  const { number, name, universe, address, note, type, mode, hang, ...place } = row
  const { venue } = showRecordOf(show)
  const onHang = names.hangs.get(normalisedName(hang))
  const ofType = names.types.get(normalisedName(type))
  if (!onHang) return refuse('unknown in a row', { fixture: number, kind: 'hang', name: hang }, 'fixtures')
  if (!ofType) return refuse('unknown in a row', { fixture: number, kind: 'fixtureType', name: type }, 'fixtures')
  const called = modesOf(show, ofType).find(
    (known) => mode !== null && normalisedName(known.mode.name) === normalisedName(mode),
  )
  const inMode = mode === null ? firstMode(show, ofType) : (called?.id ?? null)
  if (mode !== null && inMode === null)
    return refuse('unknown mode in a row', { fixture: number, type, name: mode }, 'fixtures')
  const own = { bar: null, cell: null }
  draft.put('fixture', id, {
    number,
    name,
    type: fixtureTypeId.parse(ofType),
    mode: inMode,
    universe,
    address,
    note,
    ...own,
  })
  hangFixture(draft, { venue, fixture: id, hang: hangId.parse(onHang), ...place })
  return null
}
