/** Gives fixtures what another one shows, by family: places are aimed at anew, as links or as loose values. */
import { z } from 'zod'
import { stageLookup } from '../../cues/onStage'
import { lentValue } from '../../hand/lend'
import { setInHand } from '../../hand/setInHand'
import { resolveValue } from '../../palettes/resolve'
import { fixtureNumber } from '../../show/cells'
import { Draft } from '../../show/draft'
import { familyOf } from '../../attributes/attribute'
import { FAMILIES } from '../../attributes/families'
import { fixtureId } from '../../show/ids'
import { rigOf } from '../../show/rig'
import { command, done, refuse } from '../command'
import { fixturesInWords } from '../shared/wording'
import { listInWords } from '../../show/listInWords'

export const copyValues = command({
  input: z.strictObject({
    from: fixtureId,
    to: z.array(fixtureId).min(1),
    families: z.array(z.enum(FAMILIES)).min(1, 'choose a family'),
    as: z.enum(['link', 'loose']),
  }),
  undoable: true,
  run(show, { from, to, families, as }, { person }) {
    const source = rigOf(show).get(from)
    if (!source) return refuse('source hangs elsewhere', {}, 'from')
    const lookup = stageLookup(show, person)
    const draft = new Draft(show)
    for (const attribute of source.type.has) {
      const value = families.includes(familyOf(attribute)) ? lookup(from, attribute) : null
      const shown = value && (as === 'loose' ? resolveValue(show, source, attribute, value).value : value)
      if (!shown) continue
      for (const id of to) {
        const rigged = id === from ? undefined : rigOf(show).get(id)
        const lent = rigged && lentValue(show, rigged, source, attribute, shown)
        if (lent) setInHand(draft, person, id, attribute, lent)
      }
    }
    if (draft.changes().length === 0)
      return refuse('nothing to copy', { fixture: fixtureNumber(source.fixture), families }, 'families')
    const label = `copy ${listInWords(families)} of fixture ${fixtureNumber(source.fixture)} to ${fixturesInWords(show, to)}`
    return done(draft, label)
  },
})
