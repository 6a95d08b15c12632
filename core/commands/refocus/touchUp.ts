/** Moves the light some fixtures have in a palette, in the venue in play only: metres from where it is, or degrees. */
import { Draft } from '../../show/draft'
import { command, done } from '../command'
import { nudge, nudging } from '../shared/nudges'
import { touchHere } from '../shared/touchUpsIn'

export const touchUp = command({
  input: nudge,
  undoable: true,
  run: (show, input, environment) =>
    nudging(show, input, (wanted, words) => {
      const draft = new Draft(show)
      for (const one of wanted) touchHere(show, draft, environment, one)
      return done(draft, `touch up ${words}`, `touch up ${input.palette}`)
    }),
})
