/** Times of a family or of fixtures where they differ from the cue's own; with all of them null they go. */
import { familyOf } from '../../attributes/attribute'
import { LEADING } from '../../attributes/catalogue'
import { cueTimeId } from '../../show/compositeIds'
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { cueTime } from '../../show/entities'
import { fixtureChoice } from '../shared/fixtureChoice'
import { command, done, refuse } from '../command'
import { noCue } from '../shared/cueListOf'
import { cues, cuesInWords, cuesOf } from '../shared/chosenCues'

export const setCueTimes = command({
  input: z.strictObject({
    cues,
    fixtures: fixtureChoice,
    family: cueTime.shape.family,
    seconds: cueTime.shape.seconds,
    delay: cueTime.shape.delay,
    travel: cueTime.shape.travel.unwrap().optional(),
  }),
  undoable: true,
  run(show, { cues: ids, fixtures, family, seconds, delay, travel = null }) {
    if (!cuesOf(show, ids)) return noCue()
    if (fixtures === null && family === null) return refuse('of whom', {}, 'family')
    if (travel !== null && (fixtures === null || (family !== null && family !== familyOf(LEADING.place))))
      return refuse('travel of whom', {}, 'travel')
    const draft = new Draft(show)
    for (const cue of ids)
      for (const fixture of fixtures ?? [null]) {
        const id = cueTimeId(cue, fixture, family)
        if (seconds === null && delay === null && travel === null) draft.remove('cueTime', id)
        else draft.put('cueTime', id, { cue, fixture, family, seconds, delay, travel })
      }
    const of = [family, fixtures && `${fixtures.length} fixtures`].filter(Boolean).join(', ')
    return done(draft, `times of ${of} in ${cuesInWords(show, ids)}`)
  },
})
