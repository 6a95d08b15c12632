/** The reverse of making good: how far off its target a palette has fixtures counts in the venue in play only, as a touch-up. */
import { z } from 'zod'
import { LEADING } from '../../attributes/catalogue'
import { add, length, ORIGIN } from '../../geometry/vector'
import { putReaching } from '../../palettes/reach'
import { storedFor } from '../../palettes/resolve'
import { updating } from '../../palettes/update'
import { touchOf } from '../../refocus/touchUpBy'
import { Draft } from '../../show/draft'
import { fixtureId, paletteId } from '../../show/ids'
import { offsetIn, sameEverywhere } from '../../show/perVenue'
import { typedFixtures } from '../../show/rig'
import { showRecordOf } from '../../show/show'
import { command, done } from '../command'
import { gone } from '../shared/refusals'
import { refuseToTouch, touchHere } from '../shared/touchUpsIn'
import { fixturesInWords } from '../shared/wording'

export const keepOffsetHere = command({
  input: z.strictObject({ palette: paletteId, fixtures: z.array(fixtureId).min(1) }),
  undoable: true,
  run(show, { palette, fixtures }, environment) {
    const known = show.all.palette.get(palette)
    if (!known) return gone('palette', 'palette')
    const draft = new Draft(show)
    const { venue } = showRecordOf(show)
    const aims = fixtures.flatMap((fixture) => {
      const served = typedFixtures(show).get(fixture)
      const value = served && storedFor(show, palette, served, LEADING.place)?.value
      if (value?.kind !== 'aim' || value.target === null || length(offsetIn(value, venue)) < 1e-4) return []
      return [{ fixture, value, offset: offsetIn(value, venue) }]
    })
    if (aims.length === 0) return refuseToTouch(show, 'no place', palette, fixtures[0] ?? '')
    const atTarget = aims.map(({ fixture, value }) => ({
      fixture,
      attribute: LEADING.place,
      value: sameEverywhere(value, ORIGIN),
    }))
    putReaching(show, draft, palette, updating(show, palette, atTarget), { merge: [] })
    for (const { fixture, offset } of aims) {
      const touch = touchOf(show, palette, fixture)
      touchHere(show, draft, environment, { palette, fixture, touch: { ...touch, offset: add(touch.offset, offset) } })
    }
    const whom = fixturesInWords(
      show,
      aims.map(({ fixture }) => fixture),
    )
    return done(draft, `keep how far off ${known.name} has ${whom} for this venue only`)
  },
})
