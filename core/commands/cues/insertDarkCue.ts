/** Puts a cue of its own before one, in which what that one needs is brought into place in the dark. */
import { z } from 'zod'
import { placeOfCue } from '../../cues/tracking'
import { darkRuleId } from '../../show/compositeIds'
import { Draft } from '../../show/draft'
import { cue as cueSchema } from '../../show/entities'
import { cueId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { noCue } from '../shared/cueListOf'
import { numberBetween } from '../shared/cueNumbers'
import { fixtureChoice } from '../shared/fixtureChoice'
import { gone } from '../shared/refusals'

export const insertDarkCue = command({
  input: z.strictObject({
    cue: cueId,
    /** Who moves in it; null for all who have to. */
    fixtures: fixtureChoice,
    /** Whether it is called, or comes by itself. */
    follow: cueSchema.shape.follow.exclude(['with']),
    /** How long it is. */
    seconds: cueSchema.shape.rise,
  }),
  undoable: true,
  run(show, { cue, fixtures, follow, seconds }, { newId }) {
    const place = placeOfCue(show, cue)
    if (!place) return noCue()
    if (fixtures?.some((fixture) => !show.all.fixture.has(fixture))) return gone('fixture', 'fixtures')
    const { list, at } = place
    const [before, after] = [list.cues[at - 1]?.cue.number ?? 0, list.cues[at]?.cue.number ?? 0]
    const number = numberBetween(before, after)
    if (number === null) return refuse('no number between', { before, after }, 'cue')
    const id = cueId.parse(newId())
    const draft = new Draft(show)
    draft.put('cue', id, {
      ...{ list: list.id, number, name: 'Move in the dark', note: '' },
      ...{ rise: seconds, fall: seconds, move: null, delay: 0, follow, travel: null, quiet: false },
    })
    for (const fixture of fixtures ?? [null])
      draft.put('darkRule', darkRuleId(null, cue, fixture, null), {
        ...{ list: null, cue, fixture, family: null, when: 'in cue', inCue: id },
      })
    return done(draft, `cue ${number} for dark moves before cue ${after}`)
  },
})
