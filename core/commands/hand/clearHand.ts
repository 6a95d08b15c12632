/** Lets go of what is in hand: some families or all, for some fixtures or all. */
import { z } from 'zod'
import { familyOf } from '../../attributes/attribute'
import { FAMILIES } from '../../attributes/families'
import { Draft } from '../../show/draft'
import { fixtureId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { listInWords } from '../../show/listInWords'

export const clearHand = command({
  input: z.strictObject({
    families: z.array(z.enum(FAMILIES)).min(1),
    /** Null clears for every fixture in hand. */
    fixtures: z.array(fixtureId).nullable(),
  }),
  undoable: true,
  run(show, { families, fixtures }, { person }) {
    const draft = new Draft(show)
    const cleared = new Set<string>()
    for (const [id, held] of show.all.handValue) {
      const family = familyOf(held.attribute)
      if (held.person !== person || !families.includes(family)) continue
      if (fixtures !== null && !fixtures.includes(held.fixture)) continue
      draft.remove('handValue', id)
      cleared.add(family)
    }
    if (cleared.size === 0) return refuse('nothing in hand', {})
    const what = FAMILIES.filter((family) => cleared.has(family))
    return done(draft, `clear ${listInWords(what)} in hand`)
  },
})
