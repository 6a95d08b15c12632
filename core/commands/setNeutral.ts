/** Sets which families going neutral sets: for the next time, after which what it was stands again, or until changed. */
import { z } from 'zod'
import { Draft } from '../show/draft'
import { FAMILIES } from '../show/families'
import { command, done, refuse } from './command'
import { listInWords } from './wording'

export const setNeutral = command({
  input: z.strictObject({ families: z.array(z.enum(FAMILIES)), once: z.boolean() }),
  undoable: true,
  run(show, { families, once }, { person }) {
    const known = show.all.person.get(person)
    if (!known) return refuse('unknown person', 'Open the show again: you are not in it yet.')
    const draft = new Draft(show)
      .set(
        'person',
        person,
        'neutral',
        FAMILIES.filter((family) => families.includes(family)),
      )
      .set('person', person, 'neutralOnce', once)
      .set('person', person, 'usualNeutral', once ? (known.usualNeutral ?? [...known.neutral]) : null)
    const what = families.length === 0 ? 'nothing' : listInWords(FAMILIES.filter((f) => families.includes(f)))
    return done(draft, `neutral sets ${what}${once ? ' once' : ''}`)
  },
})
