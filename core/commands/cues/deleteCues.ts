/** Takes cues out; what they would have carried on is lost to later cues, or set there. */
import { z } from 'zod'
import { keepLater } from '../../cues/editing'
import { removeCues } from '../../cues/removal'
import { Draft } from '../../show/draft'
import { command, done, type Outcome } from '../command'
import { noCue } from '../shared/cueListOf'
import { cues, cuesOf } from '../shared/chosenCues'

export const deleteCues = command({
  input: z.strictObject({ cues, later: z.enum(['change', 'stay as they look']) }),
  undoable: true,
  run(show, { cues: ids, later }): Outcome {
    const known = cuesOf(show, ids)
    if (!known) return noCue()
    const gone = new Set<string>(ids)
    const draft = new Draft(show)
    if (later === 'stay as they look') keepLater(show, draft, gone)
    removeCues(draft, gone)
    const [only] = known
    const what = known.length === 1 && only ? `cue ${only.cue.number} ${only.cue.name}`.trim() : `${known.length} cues`
    return done(draft, `take out ${what}`)
  },
})
