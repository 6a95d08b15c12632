/** Says of targets that their places were measured in the venue in play, or that they were not. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { placeId } from '../../show/compositeIds'
import { targetId } from '../../show/ids'
import { showRecordOf } from '../../show/show'
import { targetsOf } from '../../show/targets'
import { command, done, refuse } from '../command'
import { namesInWords } from '../shared/wording'
import { gone } from '../shared/refusals'

export const surveyTargets = command({
  input: z.strictObject({ targets: z.array(targetId).min(1), isSurveyed: z.boolean() }),
  undoable: true,
  run(show, { targets, isSurveyed }) {
    const { venue } = showRecordOf(show)
    const draft = new Draft(show)
    const names: string[] = []
    for (const target of targets) {
      const known = show.all.target.get(target)
      if (!known) return gone('target', 'targets')
      if (isSurveyed && !targetsOf(show).has(target)) return refuse('no place here', { kind: 'target' }, 'targets')
      names.push(known.name)
      const id = placeId(venue, target)
      if (isSurveyed) draft.put('surveyed', id, { venue, target })
      else draft.remove('surveyed', id)
    }
    return done(draft, `${isSurveyed ? 'survey' : 'no longer count as surveyed:'} ${namesInWords(names)}`)
  },
})
