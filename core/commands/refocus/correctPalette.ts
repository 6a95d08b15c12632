/** Moves the light some fixtures have in a palette for good: every venue follows by as much. */
import { group } from 'd3-array'
import { subtract } from '../../geometry/vector'
import { putReaching } from '../../palettes/reach'
import { updating } from '../../palettes/update'
import { correctedBy, touchOf } from '../../refocus/touchUpBy'
import { Draft } from '../../show/draft'
import { command, done } from '../command'
import { nudge, nudging } from '../shared/nudges'

export const correctPalette = command({
  input: nudge,
  undoable: true,
  run: (show, input) =>
    nudging(show, input, (wanted, words) => {
      const draft = new Draft(show)
      for (const [palette, ofPalette] of group(wanted, (one) => one.palette)) {
        const values = ofPalette.flatMap(({ fixture, touch }) => {
          const { offset, pan, tilt } = touchOf(show, palette, fixture)
          const by = { offset: subtract(touch.offset, offset), pan: touch.pan - pan, tilt: touch.tilt - tilt }
          return correctedBy(show, { palette, fixture }, by)
        })
        putReaching(show, draft, palette, updating(show, palette, values), { merge: [] })
      }
      return done(draft, `correct ${words}, in every venue`, `correct ${input.palette}`)
    }),
})
