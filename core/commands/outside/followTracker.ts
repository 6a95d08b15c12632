/** Has a target follow a tracker, or changes how it does. */
import { Draft } from '../../show/draft'
import { followFields } from '../../show/entities'
import { targetId } from '../../show/ids'
import { USUAL_FOLLOWING } from '../../tracking/tracked'
import { command, done } from '../command'
import { gone } from '../shared/refusals'
import { definedFields } from '../shared/definedFields'

export const followTracker = command({
  input: followFields.partial().extend({ target: targetId }),
  undoable: true,
  run(show, { target, ...fields }) {
    const known = show.all.target.get(target)
    if (!known) return gone('target', 'target')
    const following = { ...(show.all.trackedTarget.get(target) ?? USUAL_FOLLOWING), ...definedFields(fields), target }
    const draft = new Draft(show).put('trackedTarget', target, following)
    return done(draft, `${known.name} follows tracker ${following.tracker}`)
  },
})
