/** Says what whoever asks is called in this show. */
import { person as personSchema } from '../../show/entities'
import { Draft } from '../../show/draft'
import { command, done, refuse } from '../command'

export const renamePerson = command({
  input: personSchema.pick({ name: true }),
  undoable: false,
  run(show, { name }, { person }) {
    const before = show.all.person.get(person)
    if (!before) return refuse('not in it', {}, 'name')
    return done(new Draft(show).set('person', person, 'name', name), `${before.name} is called ${name}`, 'name')
  },
})
