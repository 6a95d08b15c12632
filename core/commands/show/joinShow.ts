/** Brings a person into the show, with an empty hand and the usual take mask. */
import { person as personSchema } from '../../show/entities'
import { Draft } from '../../show/draft'
import { FIRST_NEUTRAL, FIRST_TAKE } from '../../attributes/families'
import { command, done } from '../command'

export const joinShow = command({
  input: personSchema.pick({ name: true }),
  undoable: false,
  run(show, { name }, { person }) {
    if (show.all.person.has(person)) return done(new Draft(show), `${name} is in`)
    const draft = new Draft(show).put('person', person, {
      name,
      take: [...FIRST_TAKE],
      heldBack: [],
      takeOnce: false,
      usual: null,
      editing: null,
      neutral: [...FIRST_NEUTRAL],
      neutralOnce: false,
      usualNeutral: null,
      checking: null,
      only: null,
      blind: false,
      highlight: 'off',
    })
    return done(draft, `${name} joins`)
  },
})
