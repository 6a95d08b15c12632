/** Stores what is in hand, or what is on stage, in a cue that is there: merged, instead of it, or taken out. */
import { cueValueId, handValueId } from '../../show/compositeIds'
import { z } from 'zod'
import { setInCues, removeFromCues, WHERE } from '../../cues/editing'
import type { Setting } from '../../cues/marks'
import { valuesByCue } from '../../cues/tracking'
import { Draft } from '../../show/draft'
import type { CueList, CueValue } from '../../show/entities'
import { cueId, workingSetId, type PersonId, type WorkingSetId } from '../../show/ids'
import { lets } from '../../show/masks'
import type { Show } from '../../show/show'
import { workingSetMembersOf } from '../../show/workingSets'
import { command, done, refuse } from '../command'
import { noCue } from '../shared/cueListOf'
import { recordable, RECORD_FROM } from '../shared/recordable'
import { spendMask } from '../shared/takenFromHand'
import { fixturesInWords } from '../shared/wording'

/** Which values of a cue a person speaks of: what is held back, or outside the working set, stays as it is. */
function takenFrom(show: Show, person: PersonId, list: CueList, workingSet: WorkingSetId | null = null) {
  const mask = show.all.person.get(person) ?? { take: [], heldBack: [] }
  const within = workingSet === null ? null : workingSetMembersOf(show).get(workingSet)
  return ({ fixture, attribute }: CueValue) =>
    lets(list, attribute) && lets(mask, attribute) && (workingSet === null || within?.has(fixture) === true)
}

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
    const { values, fixtures } = recordable(show, person, list, from, workingSet)
    if (values.length === 0) return refuse('nothing to record', { from, list: list.name })
    const draft = new Draft(show)
    const settings = values.map(({ fixture, attribute, value }): Setting => ({ cue: id, fixture, attribute, value }))
    const isMeant = takenFrom(show, person, list, workingSet)
    const there = (valuesByCue(show).get(id) ?? []).filter(isMeant)
    const held = new Set(values.map(({ fixture, attribute }) => cueValueId(id, fixture, attribute)))
    const isHeld = ({ fixture, attribute }: CueValue) => held.has(cueValueId(id, fixture, attribute))
    if (how === 'replace')
      removeFromCues(
        show,
        draft,
        there.filter((one) => !isHeld(one)),
        where,
      )
    if (how === 'remove') removeFromCues(show, draft, there.filter(isHeld), where)
    else setInCues(show, draft, settings, where)
    for (const { fixture, attribute } of values) draft.remove('handValue', handValueId(person, fixture, attribute))
    spendMask(show, draft, person)
    const doing = { merge: 'merge into', replace: 'replace', remove: 'take out of' }[how]
    return done(draft, `${doing} cue ${cue.number} (${fixturesInWords(show, fixtures)})`)
  },
})
