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
    if (!gone) return refuse('unknown person', 'This person is no longer in the show.', 'person')
    const hasInHand = [...show.all.handValue.values()].some((value) => value.person === person)
    if (hasInHand || gone.editing)
      return refuse('has work', `${gone.name} still has work in hand. Have it recorded or cleared first.`, 'person')
    return done(removeWithDependents(new Draft(show), 'person', [person]), `${gone.name} is taken out`)
  },
})
