/** Says when what some fixtures need in some cues is brought into place in the dark; null says it no longer. */
import { z } from 'zod'
import { FAMILIES } from '../../attributes/families'
import { darkRuleId } from '../../show/compositeIds'
import { Draft } from '../../show/draft'
import { darkRule } from '../../show/entities'
import { cueListId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { cues, cuesInWords, cuesOf } from '../shared/chosenCues'
import { cueListOf, noCue, noList } from '../shared/cueListOf'
import { fixtureChoice } from '../shared/fixtureChoice'
import { gone } from '../shared/refusals'

const WORDS = {
  planned: 'planned',
  early: 'early',
  late: 'late',
  'in cue': 'in a cue of their own',
  live: 'stay live',
} as const

export const setDarkMoves = command({
  input: z.strictObject({
    list: cueListId,
    /** Null for the list as a whole. */
    cues: cues.nullable(),
    fixtures: fixtureChoice,
    /** Null for all but intensity. */
    families: z
      .array(z.enum(FAMILIES).exclude(['intensity']))
      .min(1)
      .nullable(),
    when: darkRule.shape.when.nullable(),
    inCue: darkRule.shape.inCue,
  }),
  undoable: true,
  run(show, { list: id, cues: ids, fixtures, families, when, inCue }) {
    const list = cueListOf(show, id)
    if (!list) return noList()
    if (ids && !cuesOf(show, ids)) return noCue()
    if (fixtures?.some((fixture) => !show.all.fixture.has(fixture))) return gone('fixture', 'fixtures')
    if (ids?.some((cue) => show.all.cue.get(cue)?.list !== id)) return refuse('other list', {}, 'cues')
    if (when === 'in cue' && show.all.cue.get(inCue ?? '')?.list !== id) return refuse('other list', {}, 'inCue')
    const draft = new Draft(show)
    for (const cue of ids ?? [null])
      for (const fixture of fixtures ?? [null])
        for (const family of families ?? [null]) {
          const owner = cue === null ? { list: id, cue: null } : { list: null, cue }
          const rule = darkRuleId(owner.list, owner.cue, fixture, family)
          if (when === null) draft.remove('darkRule', rule)
          else draft.put('darkRule', rule, { ...owner, fixture, family, when, inCue: when === 'in cue' ? inCue : null })
        }
    const where = ids ? cuesInWords(show, ids) : list.list.name
    return done(draft, `dark moves of ${where}: ${when === null ? 'as before' : WORDS[when]}`)
  },
})
