/** Takes fixtures out of the show, from every venue, group, palette and cue. */
import { z } from 'zod'
import { removeWithDependents } from '../../show/cascade'
import { wholesAmong } from '../../show/cells'
import { Draft } from '../../show/draft'
import { fixtureId } from '../../show/ids'
import { command, done } from '../command'
import { fixturesInWords } from '../shared/wording'

export const deleteFixtures = command({
  input: z.strictObject({ fixtures: z.array(fixtureId).min(1) }),
  undoable: true,
  run(show, { fixtures }) {
    const there = wholesAmong(show, fixtures).filter((id) => show.all.fixture.has(id))
    const draft = removeWithDependents(new Draft(show), 'fixture', there)
    return done(draft, `take out ${fixturesInWords(show, there)}`)
  },
})
