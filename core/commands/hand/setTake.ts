/**
 * Takes a family or one attribute, or holds it back, whenever the person records: until changed, or
 * for once. After that what the switches were when they were last used stands again.
 */
import { z } from 'zod'
import { attributeId, attributeName } from '../../attributes/attribute'
import { FAMILIES } from '../../attributes/families'
import { Draft } from '../../show/draft'
import { withAttribute, withFamily } from '../../show/masks'
import { attributesKnown } from '../../show/attributesKnown'
import { command, done, refuse } from '../command'

export const setTake = command({
  input: z.union([
    z.strictObject({ family: z.enum(FAMILIES), take: z.boolean() }),
    z.strictObject({ attribute: attributeId, take: z.boolean() }),
    z.strictObject({ once: z.boolean() }),
  ]),
  undoable: true,
  run(show, input, { person }) {
    const known = show.all.person.get(person)
    if (!known) return refuse('not in it', {})
    const usual = known.usual ?? { take: [...known.take], heldBack: [...known.heldBack] }
    const draft = new Draft(show)
    if ('once' in input) {
      draft.set('person', person, 'takeOnce', input.once).set('person', person, 'usual', input.once ? usual : null)
      return done(draft, input.once ? 'take switches for once' : 'take switches until changed')
    }
    draft.set('person', person, 'usual', usual)
    const mask =
      'family' in input
        ? withFamily(known, input.family, input.take)
        : withAttribute(known, input.attribute, input.take, attributesKnown(show))
    draft.set('person', person, 'take', [...mask.take]).set('person', person, 'heldBack', [...mask.heldBack])
    const what = 'family' in input ? input.family : attributeName(input.attribute)
    return done(draft, input.take ? `take ${what}` : `hold ${what} back`)
  },
})
