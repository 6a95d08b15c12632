/** Sets what recording on a shelf takes by itself. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { shelfMask } from '../../show/entities'
import { SHELVES } from '../../attributes/families'
import { maskInWords } from '../../show/masks'
import { command, done, refuse } from '../command'

export const setShelfMask = command({
  input: shelfMask.extend({ shelf: z.enum(SHELVES) }),
  undoable: true,
  run(show, { shelf, take, heldBack }) {
    if (take.length === 0) return refuse('takes nothing', { name: `The ${shelf} shelf` }, 'take')
    const draft = new Draft(show).put('shelfMask', shelf, { take, heldBack })
    return done(draft, `the ${shelf} shelf takes ${maskInWords({ take, heldBack })}`)
  },
})
