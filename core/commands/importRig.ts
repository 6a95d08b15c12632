/**
 * Adds hangs, fixtures and targets read from a file to the venue in play. Rows are checked against
 * the show as well as against each other; a row that does not fit is refused by its own name.
 */
import { z } from 'zod'
import { Draft } from '../show/draft'
import * as entities from '../show/entities'
import { fixtureId, fixtureTypeId, hangId, targetId } from '../show/ids'
import { firstMode, modesOf } from '../show/modes'
import { plain } from '../show/names'
import { placeId, showRecordOf, type Show } from '../show/show'
import { command, done, refuse } from './command'

export const hangRow = entities.hangPlace.omit({ venue: true, hang: true }).extend(entities.hang.shape)
export const fixtureRow = entities.fixturePlace
  .omit({ venue: true, fixture: true, hang: true })
  .extend(entities.fixture.omit({ type: true, mode: true }).shape)
  .extend({
    hang: z.string(),
    type: z.string(),
    /** By name; null takes the type's first mode. */
    mode: z.string().nullable().default(null),
  })
export const targetRow = z.strictObject({
  name: entities.hang.shape.name,
  position: entities.targetPlace.shape.position,
})

export type HangRow = z.infer<typeof hangRow>
export type FixtureRow = z.infer<typeof fixtureRow>
export type TargetRow = z.infer<typeof targetRow>

export const importRig = command({
  input: z.strictObject({
    hangs: z.array(hangRow).max(2000),
    fixtures: z.array(fixtureRow).max(5000),
    targets: z.array(targetRow).max(2000),
  }),
  undoable: true,
  run(show, { hangs, fixtures, targets }, { newId }) {
    const { venue } = showRecordOf(show)
    const draft = new Draft(show)
    const hangIds = namesOf(show.all.hang)
    for (const { name, form, origin, yaw, rise, length } of hangs) {
      if (hangIds.has(plain(name))) return refuse('name taken', `There are two hangs called ${name}.`, 'hangs')
      const id = hangId.parse(newId())
      hangIds.set(plain(name), id)
      draft.put('hang', id, { name, form })
      draft.put('hangPlace', placeId(venue, id), { venue, hang: id, origin, yaw, rise, length })
    }
    const refusal = addFixtures(show, draft, fixtures, hangIds, newId)
    if (refusal) return refusal
    const targetNames = namesOf(show.all.target)
    for (const { name, position } of targets) {
      if (targetNames.has(plain(name))) return refuse('name taken', `There are two targets called ${name}.`, 'targets')
      const id = targetId.parse(newId())
      targetNames.set(plain(name), id)
      draft.put('target', id, { name, form: { kind: 'point' }, setPiece: null, local: null })
      draft.put('targetPlace', placeId(venue, id), { venue, target: id, position })
    }
    return done(draft.changes(), `import ${hangs.length} hangs, ${fixtures.length} fixtures, ${targets.length} targets`)
  },
})

function addFixtures(
  show: Show,
  draft: Draft,
  rows: readonly FixtureRow[],
  hangIds: Map<string, string>,
  newId: () => string,
) {
  const { venue } = showRecordOf(show)
  const types = new Map<string, string>([...show.all.fixtureType].map(([id, type]) => [plain(type.name), id]))
  const numbers = new Set([...show.all.fixture.values()].map((f) => f.number))
  for (const row of rows) {
    const { number, name, universe, address, note, type, mode, hang, ...place } = row
    const onHang = hangIds.get(plain(hang))
    const ofType = types.get(plain(type))
    if (numbers.has(number)) return refuse('number taken', `Number ${number} is taken.`, 'fixtures')
    if (!onHang) return refuse('unknown hang', `Fixture ${number}: there is no hang called ${hang}.`, 'fixtures')
    if (!ofType) return refuse('unknown type', `Fixture ${number}: there is no type called ${type}.`, 'fixtures')
    numbers.add(number)
    const id = fixtureId.parse(newId())
    const inMode = mode === null ? firstMode(show, ofType) : modeCalled(show, ofType, mode)
    if (mode !== null && inMode === null)
      return refuse('unknown mode', `Fixture ${number}: ${type} has no mode called ${mode}.`, 'fixtures')
    draft.put('fixture', id, { number, name, type: fixtureTypeId.parse(ofType), mode: inMode, universe, address, note })
    draft.put('fixturePlace', placeId(venue, id), { venue, fixture: id, hang: hangId.parse(onHang), ...place })
  }
  return null
}

function modeCalled(show: Show, type: string, name: string) {
  return modesOf(show, type).find(({ mode }) => plain(mode.name) === plain(name))?.id ?? null
}

function namesOf(collection: ReadonlyMap<string, { readonly name: string }>): Map<string, string> {
  return new Map([...collection].map(([id, { name }]) => [plain(name), id]))
}
