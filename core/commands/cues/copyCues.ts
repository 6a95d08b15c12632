/** Copies cues with what they set, or with all they show. */
import { cueTimeId, darkRuleId } from '../../show/compositeIds'
import { z } from 'zod'
import { darkRulesOf } from '../../cues/darkRules'
import { putCueValue } from '../../cues/marks'
import { timesOf } from '../../cues/times'
import { placeOfCue, stateAtPlace, valuesByCue } from '../../cues/tracking'
import { Draft } from '../../show/draft'
import { cueId, type CueId } from '../../show/ids'
import type { Show } from '../../show/show'
import { command, done } from '../command'
import { cueListOf, noCue, noList } from '../shared/cueListOf'
import { cuesInWords, cuesOf } from '../shared/chosenCues'
import { cueNumbersInUse, elsewhere, numberedFrom } from '../shared/cueNumbers'

export const copyCues = command({
  input: z.strictObject({ ...elsewhere, what: z.enum(['what it sets', 'all it shows']) }),
  undoable: true,
  run(show, { cues: ids, list: listId, number, what }, { newId }) {
    const known = cuesOf(show, ids)
    const list = cueListOf(show, listId)
    if (!known) return noCue()
    if (!list) return noList()
    const numbers = numberedFrom(number, known)
    const refusal = cueNumbersInUse(list, numbers)
    if (refusal) return refusal
    const draft = new Draft(show)
    for (const [i, { id, cue }] of known.entries()) {
      const copy = cueId.parse(newId())
      draft.put('cue', copy, { ...cue, list: listId, number: numbers[i]?.number ?? cue.number })
      for (const time of timesOf(show, id))
        draft.put('cueTime', cueTimeId(copy, time.fixture, time.family), { ...time, cue: copy })
      for (const rule of darkRulesOf(show, id))
        if (rule.when !== 'in cue')
          draft.put('darkRule', darkRuleId(null, copy, rule.fixture, rule.family), { ...rule, cue: copy })
      for (const stored of copied(show, id, what)) putCueValue(draft, { ...stored, cue: copy }, stored)
    }
    return done(draft, `copy ${cuesInWords(show, ids)} to ${number}`)
  },
})

function copied(show: Show, cue: CueId, what: 'what it sets' | 'all it shows') {
  const place = placeOfCue(show, cue)
  if (what === 'what it sets' || !place) return valuesByCue(show).get(cue) ?? []
  return [...stateAtPlace(show, place.list.id, place.at).values()]
}
