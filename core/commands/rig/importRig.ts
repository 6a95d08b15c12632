/**
 * Adds hangs, fixtures and targets read from a file to the venue in play. Rows are checked against
 * the show as well as against each other; a row that does not fit is refused by its own name.
 */
import { placeId } from '../../show/compositeIds'
import { z } from 'zod'
import { Draft } from '../../show/draft'
import * as entities from '../../show/entities'
import { fixtureId, hangId, targetId } from '../../show/ids'
import { normalisedName } from '../../show/names'
import { showRecordOf, type Show } from '../../show/show'
import { command, done, refuse } from '../command'
import { fixtureRow, idsByName, putFixtureRow, type FixtureRow } from '../shared/fixtureRows'

export const hangRow = entities.hangPlace.omit({ venue: true, hang: true }).extend(entities.hang.shape)
export const targetRow = z.strictObject({
  name: entities.hang.shape.name,
  position: entities.targetPlace.shape.position,
})

export type HangRow = z.infer<typeof hangRow>
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
    const hangIds = idsByName(show.all.hang)
    for (const { name, form, origin, yaw, rise, length } of hangs) {
      if (hangIds.has(normalisedName(name))) return refuse('name twice', { what: 'hangs', name }, 'hangs')
      const id = hangId.parse(newId())
      hangIds.set(normalisedName(name), id)
      draft.put('hang', id, { name, form })
      draft.put('hangPlace', placeId(venue, id), { venue, hang: id, origin, yaw, rise, length })
    }
    const refusal = addFixtures(show, draft, fixtures, hangIds, newId)
    if (refusal) return refusal
    const targetNames = idsByName(show.all.target)
    for (const { name, position } of targets) {
      if (targetNames.has(normalisedName(name))) return refuse('name twice', { what: 'targets', name }, 'targets')
      const id = targetId.parse(newId())
      targetNames.set(normalisedName(name), id)
      draft.put('target', id, { name, form: { kind: 'point' }, setPiece: null, local: null })
      draft.put('targetPlace', placeId(venue, id), { venue, target: id, position })
    }
    return done(draft, `import ${hangs.length} hangs, ${fixtures.length} fixtures, ${targets.length} targets`)
  },
})

function addFixtures(
  show: Show,
  draft: Draft,
  rows: readonly FixtureRow[],
  hangs: ReadonlyMap<string, string>,
  newId: () => string,
) {
  const names = { hangs, types: idsByName(show.all.fixtureType) }
  const numbers = new Set([...show.all.fixture.values()].map((f) => f.number))
  for (const row of rows) {
    if (numbers.has(row.number)) return refuse('number taken in the rig', { number: row.number }, 'fixtures')
    numbers.add(row.number)
    const refusal = putFixtureRow(show, draft, fixtureId.parse(newId()), row, names)
    if (refusal) return refusal
  }
  return null
}
