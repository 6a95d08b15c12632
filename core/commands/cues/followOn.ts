/** What the clock does when a cue has arrived: starts the one that comes after it by itself, at the moment it was due. */
import { z } from 'zod'
import { followerOf, startCue } from '../../cues/going'
import { Draft } from '../../show/draft'
import { cueId, cueListId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { cueListOf, noList } from '../shared/cueListOf'

export const followOn = command({
  input: z.strictObject({ list: cueListId, after: cueId }),
  undoable: false,
  run(show, { list: id, after }, { now, newId }) {
    const list = cueListOf(show, id)
    if (!list) return noList()
    const follower = followerOf(show, list)
    if (!follower || list.list.onStage !== after || follower.at > now)
      return refuse('nothing due', { list: list.list.name }, 'after')
    const draft = new Draft(show)
    startCue(show, draft, list, follower.cue, { now: follower.at, seconds: null, newId })
    return done(draft, `follow: cue ${show.all.cue.get(follower.cue)?.number ?? ''}`)
  },
})
