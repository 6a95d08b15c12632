/** Gives cues other numbers, in their list or another: what they carry on changes with their place. */
import { z } from 'zod'
import { placeOfCue, stateAtPlace, type CueInOrder } from '../../cues/tracking'
import { Draft } from '../../show/draft'
import type { CueValue } from '../../show/entities'
import type { CueId } from '../../show/ids'
import type { Show } from '../../show/show'
import { leaveLostCues } from '../../show/standing'
import { givenBy } from '../../show/values'
import { command, done } from '../command'
import { cueListOf, noCue, noList } from '../shared/cueListOf'
import { fixturesInWords } from '../shared/wording'
import { cuesOf } from '../shared/chosenCues'
import { cueNumbersInUse, elsewhere, numberedFrom } from '../shared/cueNumbers'
import { counted, plural } from '../../show/counted'

export const moveCues = command({
  input: z.strictObject(elsewhere),
  undoable: true,
  run(show, { cues: ids, list: listId, number }) {
    const known = cuesOf(show, ids)
    const list = cueListOf(show, listId)
    if (!known) return noCue()
    if (!list) return noList()
    const numbers = numberedFrom(number, known)
    const refusal = cueNumbersInUse(list, numbers, ids)
    if (refusal) return refusal
    const draft = new Draft(show)
    const leaving = known.filter(({ cue }) => cue.list !== listId)
    for (const { id, number: next } of numbers) draft.set('cue', id, 'number', next).set('cue', id, 'list', listId)
    leaveLostCues(draft)
    const what = known.length === 1 ? `cue ${known[0]?.cue.number ?? ''}` : `${known.length} cues`
    const where = leaving.length ? ` of ${list.list.name}${lostInWords(show, draft.result(), leaving)}` : ''
    return done(draft, `move ${what} to ${number}${where}`)
  },
})

/** "; 12 values of 6 fixtures are no longer carried": what cues held in their list and do not in another. */
function lostInWords(before: Show, after: Show, cues: readonly CueInOrder[]): string {
  const lost = cues.flatMap(({ id }) => {
    const [was, is] = [stateIn(before, id), stateIn(after, id)]
    return [...was].filter(([key, stored]) => givenBy(stored) && !givenBy(is.get(key))).map(([, stored]) => stored)
  })
  if (lost.length === 0) return ''
  const fixtures = [...new Set(lost.map(({ fixture }) => fixture))]
  return `; ${counted(lost.length, 'value')} of ${fixturesInWords(before, fixtures)} ${plural(lost.length, 'is', 'are')} no longer carried`
}

function stateIn(show: Show, cue: CueId) {
  const place = placeOfCue(show, cue)
  return place ? stateAtPlace(show, place.list.id, place.at) : new Map<string, CueValue>()
}
