/** Has targets follow no tracker any more: they are at their own places. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { targetId } from '../../show/ids'
import { command, done } from '../command'
import { namesInWords } from '../shared/wording'

export const stopFollowing = command({
  input: z.strictObject({ targets: z.array(targetId).min(1) }),
  undoable: true,
  run(show, { targets }) {
    const draft = new Draft(show)
    for (const target of targets) draft.remove('trackedTarget', target)
    const names = targets.flatMap((target) => show.all.target.get(target)?.name ?? [])
    return done(draft, `${namesInWords(names)}: no tracker`)
  },
})
