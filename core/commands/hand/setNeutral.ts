/** Sets which families going neutral sets: until changed, or for the next time; after that what it last was stands again. */
import equal from 'fast-deep-equal'
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { FAMILIES } from '../../attributes/families'
import { command, done, refuse } from '../command'
import { listInWords } from '../../show/listInWords'

export const setNeutral = command({
  input: z.strictObject({ families: z.array(z.enum(FAMILIES)), once: z.boolean() }),
  undoable: true,
  run(show, { families, once }, { person }) {
    const known = show.all.person.get(person)
    if (!known) return refuse('not in it', {})
    const isKept = !once && equal(families, known.neutral)
    const draft = new Draft(show)
      .set(
        'person',
        person,
        'neutral',
        FAMILIES.filter((family) => families.includes(family)),
      )
      .set('person', person, 'neutralOnce', once)
      .set('person', person, 'usualNeutral', isKept ? null : (known.usualNeutral ?? [...known.neutral]))
    const what = families.length === 0 ? 'nothing' : listInWords(FAMILIES.filter((f) => families.includes(f)))
    return done(draft, `neutral sets ${what}${once ? ' once' : ''}`)
  },
})
