/** Takes a target out. One that is aimed at goes only when its aims may stay as free places. */
import { z } from 'zod'
import { removeWithDependents } from '../../show/cascade'
import { Draft } from '../../show/draft'
import { targetId } from '../../show/ids'
import { dependentsInWords, dependentsOfTarget } from '../../show/dependents'
import { aimPoint, freedAim, targetsOf } from '../../show/targets'
import type { CueContent, Value } from '../../show/values'
import { command, done, refuse } from '../command'
import { gone } from '../shared/refusals'

export const deleteTarget = command({
  input: z.strictObject({
    target: targetId,
    /** What becomes of the aims at it: they refuse, or stay at the places they light in every venue, as free aims. */
    aims: z.enum(['refuse', 'keep the place']),
  }),
  undoable: true,
  run(show, { target, aims }) {
    const known = show.all.target.get(target)
    if (!known) return gone('target', 'target')
    const leaning = dependentsInWords(dependentsOfTarget(show, target))
    const placed = targetsOf(show).get(target)
    if (leaning && (aims === 'refuse' || !placed))
      return refuse('target aimed at', { name: known.name, dependents: leaning })
    const freed = (value: CueContent): Value | null => {
      if (value.kind !== 'aim' || value.target !== target || !placed) return null
      return freedAim(show, value, aimPoint(targetsOf(show), value) ?? placed.position)
    }
    const draft = new Draft(show)
    for (const kind of ['paletteValue', 'cueValue', 'handValue'] as const)
      for (const [id, holder] of show.all[kind]) {
        const value = freed(holder.value)
        if (value) draft.put(kind, id, { ...holder, value })
      }
    return done(removeWithDependents(draft, 'target', [target]), `take out the target ${known.name}`)
  },
})
