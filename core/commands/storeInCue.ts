/** Stores what is in hand, or what is on stage, in a cue that is there: merged, instead of it, or taken out. */
import { z } from 'zod'
import { setInCues, WHERE } from '../cues/editing'
import { takeCueValue, type Setting } from '../cues/marks'
import { handValueId } from '../cues/onStage'
import { valuesByCue } from '../cues/tracking'
import { Draft } from '../show/draft'
import { cueId, workingSetId } from '../show/ids'
import { lets } from '../show/masks'
import { command, done, refuse } from './command'
import { noCue } from './cueListOf'
import { recordable, RECORD_FROM } from './recordable'
import { spendMask } from './taken'
import { fixturesInWords } from './wording'

export const storeInCue = command({
  input: z.strictObject({
    cue: cueId,
    from: z.enum(RECORD_FROM),
    how: z.enum(['merge', 'replace', 'remove']),
    where: z.enum(WHERE).optional(),
    workingSet: workingSetId.nullable().optional(),
  }),
  undoable: true,
  run(show, { cue: id, from, how, where = 'here and on', workingSet }, { person }) {
    const cue = show.all.cue.get(id)
    const list = cue && show.all.cueList.get(cue.list)
    if (!cue || !list) return noCue()
    const { values, fixtures, nothing } = recordable(show, person, list, from, workingSet)
    if (values.length === 0) return refuse('nothing to take', nothing)
    const draft = new Draft(show)
    const settings = values.map(({ fixture, attribute, value }): Setting => ({ cue: id, fixture, attribute, value }))
    if (how === 'replace')
      for (const stored of valuesByCue(show).get(id) ?? [])
        if (lets(list, stored.attribute)) takeCueValue(draft, stored)
    if (how === 'remove') for (const setting of settings) takeCueValue(draft, setting)
    else setInCues(show, draft, settings, where)
    for (const { fixture, attribute } of values) draft.remove('handValue', handValueId(person, fixture, attribute))
    spendMask(show, draft, person)
    const doing = { merge: 'merge into', replace: 'replace', remove: 'take out of' }[how]
    return done(draft, `${doing} cue ${cue.number} (${fixturesInWords(show, fixtures)})`)
  },
})
