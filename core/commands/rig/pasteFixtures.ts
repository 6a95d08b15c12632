/** Takes in whole rows of fixtures: those with a known number are changed, the others are new. */
import { placeId } from '../../show/compositeIds'
import { z } from 'zod'
import { wholeFixtures } from '../../show/cells'
import { Draft } from '../../show/draft'
import { fixtureId } from '../../show/ids'
import { showRecordOf } from '../../show/show'
import { command, done, refuse } from '../command'
import { fixtureRow, idsByName, putFixtureRow } from '../shared/fixtureRows'
import { plural } from '../../show/counted'

export const pasteFixtures = command({
  input: z.strictObject({ rows: z.array(fixtureRow).min(1).max(5000) }),
  undoable: true,
  run(show, { rows }, { newId }) {
    const { venue } = showRecordOf(show)
    const hangs = new Map([...idsByName(show.all.hang)].filter(([, id]) => show.all.hangPlace.has(placeId(venue, id))))
    const names = { hangs, types: idsByName(show.all.fixtureType) }
    const known = new Map(wholeFixtures(show).map(([id, { number }]) => [number, id]))
    const seen = new Set<number>()
    const draft = new Draft(show)
    for (const row of rows) {
      if (seen.has(row.number)) return refuse('number twice', { number: row.number, where: 'in these rows' }, 'rows')
      seen.add(row.number)
      const refusal = putFixtureRow(show, draft, known.get(row.number) ?? fixtureId.parse(newId()), row, names)
      if (refusal) return refusal
    }
    const changed = rows.filter(({ number }) => known.has(number)).length
    const parts = [
      ...(changed > 0 ? [`change ${changed}`] : []),
      ...(changed < rows.length ? [`add ${rows.length - changed}`] : []),
    ]
    return done(draft, `${parts.join(' and ')} ${plural(rows.length, 'fixture')} from a paste`)
  },
})
