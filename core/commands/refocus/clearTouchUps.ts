/** Takes touch-ups away: the light is as it is solved. */
import { z } from 'zod'
import { removeTouchUp } from '../../palettes/touchUps'
import { counted } from '../../show/counted'
import { Draft } from '../../show/draft'
import { command, done, refuse } from '../command'
import { touchUps, touchUpsNamed } from '../shared/touchUpsIn'

export const clearTouchUps = command({
  input: z.strictObject({ touchUps }),
  undoable: true,
  run(show, { touchUps: named }) {
    const found = touchUpsNamed(show, named)
    if (found.length === 0) return refuse('no touch-up', {}, 'touchUps')
    const draft = new Draft(show)
    for (const one of found) removeTouchUp(draft, one)
    return done(draft, `take away ${counted(found.length, 'touch-up')}`)
  },
})
