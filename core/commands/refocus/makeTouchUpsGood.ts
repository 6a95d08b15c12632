/** Makes touch-ups good: the palette itself gives the place from then on, and every venue follows by as much. */
import { group } from 'd3-array'
import { z } from 'zod'
import { putReaching } from '../../palettes/reach'
import { removeTouchUp } from '../../palettes/touchUps'
import { updating } from '../../palettes/update'
import { correctedBy } from '../../refocus/touchUpBy'
import { counted } from '../../show/counted'
import { Draft } from '../../show/draft'
import { command, done, refuse } from '../command'
import { touchUps, touchUpsNamed } from '../shared/touchUpsIn'

export const makeTouchUpsGood = command({
  input: z.strictObject({ touchUps }),
  undoable: true,
  run(show, { touchUps: named }) {
    const draft = new Draft(show)
    const found = touchUpsNamed(show, named)
    const byPalette = group(found, ({ palette }) => palette)
    if (found.length === 0) return refuse('no touch-up', {}, 'touchUps')
    for (const [palette, ofPalette] of byPalette) {
      const values = ofPalette.flatMap((one) => correctedBy(show, one, one))
      putReaching(show, draft, palette, updating(show, palette, values), { merge: [] })
    }
    for (const one of found) removeTouchUp(draft, one)
    return done(draft, `make ${counted(found.length, 'touch-up')} good in every venue`)
  },
})
