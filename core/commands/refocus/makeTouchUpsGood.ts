/** Makes touch-ups good: the palette itself gives the place from then on, and every venue follows by as much. */
import { group } from 'd3-array'
import { z } from 'zod'
import { LEADING } from '../../attributes/catalogue'
import { putReaching } from '../../palettes/reach'
import { storedFor } from '../../palettes/resolve'
import { removeTouchUp } from '../../palettes/touchUps'
import { updating } from '../../palettes/update'
import { counted } from '../../show/counted'
import { Draft } from '../../show/draft'
import type { TouchUp } from '../../show/entities'
import type { FixtureValue } from '../../show/fixtureValue'
import { movedBy, turnedBy } from '../../show/perVenue'
import { typedFixtures } from '../../show/rig'
import type { Show } from '../../show/show'
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
      const values = ofPalette.flatMap((one) => madeGood(show, one))
      putReaching(show, draft, palette, updating(show, palette, values), { merge: [] })
    }
    for (const one of found) removeTouchUp(draft, one)
    return done(draft, `make ${counted(found.length, 'touch-up')} good in every venue`)
  },
})

function madeGood(show: Show, { palette, fixture, offset, pan, tilt }: TouchUp): FixtureValue[] {
  const served = typedFixtures(show).get(fixture)
  const value = served && storedFor(show, palette, served, LEADING.place)?.value
  if (value?.kind === 'aim') return [{ fixture, attribute: LEADING.place, value: movedBy(value, offset) }]
  if (value?.kind === 'angles') return [{ fixture, attribute: LEADING.place, value: turnedBy(value, { pan, tilt }) }]
  return []
}
