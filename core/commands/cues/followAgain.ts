/** Lets held values follow their palette again. */
import { cueValueId } from '../../show/compositeIds'
import { z } from 'zod'
import { putCueValue } from '../../cues/marks'
import { Draft } from '../../show/draft'
import { command, done, refuse } from '../command'
import { cueValueKey } from '../shared/cueValueKey'
import { plural } from '../../show/counted'

export const followAgain = command({
  input: z.strictObject({ values: z.array(z.strictObject(cueValueKey)).min(1, 'choose a value') }),
  undoable: true,
  run(show, { values }) {
    const draft = new Draft(show)
    for (const { cue, fixture, attribute } of values) {
      const stored = show.all.cueValue.get(cueValueId(cue, fixture, attribute))
      const palette = stored?.mark === 'held' ? stored.source : null
      if (stored && palette !== null) putCueValue(draft, { ...stored, value: { kind: 'link', palette } })
    }
    const { length } = draft.changes()
    if (length === 0) return refuse('nothing held', {}, 'values')
    return done(draft, `let ${length} held ${plural(length, 'value')} follow again`)
  },
})
