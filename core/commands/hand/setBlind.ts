/** Keeps a person's hand off the stage, or lets it on again. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { command, done, refuse } from '../command'

export const setBlind = command({
  input: z.strictObject({ blind: z.boolean() }),
  undoable: false,
  run(show, { blind }, { person }) {
    if (!show.all.person.has(person)) return refuse('not in it', {})
    const draft = new Draft(show).set('person', person, 'blind', blind)
    return done(draft, blind ? 'work blind' : 'show the hand on stage')
  },
})
