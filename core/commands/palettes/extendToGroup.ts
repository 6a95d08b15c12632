/** Gives members of a group what palettes and cues hold for the others. */
import { paletteValueId } from '../../show/compositeIds'
import { z } from 'zod'
import { putCueValue } from '../../cues/marks'
import { extensionsOf } from '../../groups/extension'
import { Draft } from '../../show/draft'
import { cueId, groupId, paletteId } from '../../show/ids'
import { command, done, refuse } from '../command'

export const extendToGroup = command({
  input: z.strictObject({ group: groupId, palettes: z.array(paletteId), cues: z.array(cueId) }),
  undoable: true,
  run(show, { group, palettes, cues }) {
    const known = show.all.group.get(group)
    if (!known) return refuse('gone', { kind: 'group' }, 'group')
    const wanted = new Set<string>([...palettes, ...cues])
    const draft = new Draft(show)
    for (const { holder, values } of extensionsOf(show, group)) {
      if (!wanted.has(holder.id)) continue
      for (const { fixture, attribute, value } of values) {
        if (holder.kind === 'cue') putCueValue(draft, { cue: holder.id, fixture, attribute, value })
        else
          draft.put('paletteValue', paletteValueId(holder.id, attribute, { own: fixture }), {
            palette: holder.id,
            fixture,
            fixtureType: null,
            attribute,
            value,
          })
      }
    }
    if (draft.changes().length === 0) return refuse('nothing to extend', { name: known.name })
    return done(draft, `extend to all of ${known.name}`)
  },
})
