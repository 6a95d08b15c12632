/** Brings families of fixtures home: straight down, dark, open, white. */
import { z } from 'zod'
import { homeValue, putEvery } from '../../hand/rest'
import { Draft } from '../../show/draft'
import { FAMILIES } from '../../attributes/families'
import { fixtureId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { fixturesInWords } from '../shared/wording'
import { listInWords } from '../../show/listInWords'

export const goHome = command({
  input: z.strictObject({ fixtures: z.array(fixtureId).min(1), families: z.array(z.enum(FAMILIES)).min(1) }),
  undoable: true,
  run(show, { fixtures, families }, { person }) {
    const draft = new Draft(show)
    putEvery(show, draft, person, fixtures, families, homeValue)
    const what = listInWords(families)
    if (draft.changes().length === 0) return refuse('home already', { families })
    return done(draft, `${what} of ${fixturesInWords(show, fixtures)} home`)
  },
})
