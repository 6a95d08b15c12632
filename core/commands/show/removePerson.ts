/** Takes out a person who has nothing in hand and no palette open. */
import { z } from 'zod'
import { removeWithDependents } from '../../show/cascade'
import { Draft } from '../../show/draft'
import { personId } from '../../show/ids'
import { command, done, refuse } from '../command'

export const removePerson = command({
  input: z.strictObject({ person: personId }),
  undoable: false,
  run(show, { person }) {
    const gone = show.all.person.get(person)
    if (!gone) return refuse('gone', { kind: 'person' }, 'person')
    const hasInHand = [...show.all.handValue.values()].some((value) => value.person === person)
    if (hasInHand || gone.editing) return refuse('has work', { name: gone.name }, 'person')
    return done(removeWithDependents(new Draft(show), 'person', [person]), `${gone.name} is taken out`)
  },
})
