/** Takes a family, or holds it back, whenever the person records. */
import { z } from 'zod'
import { FAMILIES } from '../show/families'
import { Draft } from '../show/draft'
import { command, done, refuse } from './command'

export const setTake = command({
  input: z.strictObject({ family: z.enum(FAMILIES), take: z.boolean() }),
  undoable: true,
  run(show, { family, take }, { person }) {
    const known = show.all.person.get(person)
    if (!known) return refuse('unknown person', 'Open the show again: you are not in it yet.')
    const taken = FAMILIES.filter((f) => (f === family ? take : known.take.includes(f)))
    const draft = new Draft(show).set('person', person, 'take', taken)
    return done(draft.changes(), take ? `take ${family}` : `hold ${family} back`)
  },
})
