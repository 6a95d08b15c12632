/** Says why something was touched up. */
import { z } from 'zod'
import { putTouchUp } from '../../palettes/touchUps'
import { counted } from '../../show/counted'
import { Draft } from '../../show/draft'
import { touchUp } from '../../show/entities'
import { command, done, refuse } from '../command'
import { touchUps, touchUpsNamed } from '../shared/touchUpsIn'

export const noteTouchUps = command({
  input: z.strictObject({ touchUps, note: touchUp.shape.note }),
  undoable: true,
  run(show, { touchUps: named, note }) {
    const found = touchUpsNamed(show, named)
    if (found.length === 0) return refuse('no touch-up', {}, 'touchUps')
    const draft = new Draft(show)
    for (const one of found) putTouchUp(draft, { ...one, note })
    return done(draft, `note on ${counted(found.length, 'touch-up')}`)
  },
})
