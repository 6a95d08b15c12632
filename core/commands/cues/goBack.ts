/** Starts the cue before the one on stage, and before those it came with, in the time that took. */
import { startCue, startedTogether } from '../../cues/going'
import { lengthOf } from '../../cues/times'
import { placeOfCue } from '../../cues/tracking'
import { Draft } from '../../show/draft'
import { command, done, refuse } from '../command'
import { cueListOf, noList, ofList } from '../shared/cueListOf'

export const goBack = command({
  input: ofList,
  undoable: false,
  run(show, { list: id }, { now, newId }) {
    const list = cueListOf(show, id)
    if (!list) return noList()
    const together = startedTogether(show, list)
    const [first] = together
    const before = first && list.cues[(placeOfCue(show, first.id)?.at ?? 0) - 1]
    if (!before) return refuse('at the start', { list: list.list.name }, 'list')
    const draft = new Draft(show)
    const seconds = Math.max(...together.map((cue) => lengthOf(show, cue.id)))
    startCue(show, draft, list, before.id, { now, seconds, newId })
    return done(draft, `back: cue ${before.cue.number}`)
  },
})
