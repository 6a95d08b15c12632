/** Runs on where a list was paused, else starts its next cue in its own times. */
import { resume, startCue } from '../../cues/going'
import { placeOfCue } from '../../cues/tracking'
import { Draft } from '../../show/draft'
import { command, done, refuse } from '../command'
import { cueListOf, noList, ofList } from '../shared/cueListOf'

export const goOn = command({
  input: ofList,
  undoable: false,
  run(show, { list: id }, { now, newId }) {
    const list = cueListOf(show, id)
    if (!list) return noList()
    const { onStage, pausedAt, name } = list.list
    const draft = new Draft(show)
    if (pausedAt !== null) {
      resume(show, draft, list, now)
      return done(draft, `run ${name} on`)
    }
    const next = list.cues[onStage === null ? 0 : (placeOfCue(show, onStage)?.at ?? -1) + 1]
    if (!next) return refuse('at the end', { list: name }, 'list')
    startCue(show, draft, list, next.id, { now, seconds: null, newId })
    return done(draft, `go: cue ${next.cue.number}`)
  },
})
