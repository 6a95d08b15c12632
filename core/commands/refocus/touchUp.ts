/** Moves the light some fixtures have in a palette, in the venue in play only: metres from where it is, or degrees. */
import { z } from 'zod'
import { offsetInWords } from '../../geometry/lengthInWords'
import { nudged } from '../../refocus/touchUpBy'
import { Draft } from '../../show/draft'
import { fixtureId, paletteId } from '../../show/ids'
import { rigOf } from '../../show/rig'
import { degrees, point } from '../../show/values'
import { command, done } from '../command'
import { headsAmong, refuseToTurn } from '../shared/heads'
import { gone } from '../shared/refusals'
import { refuseToTouch, touchHere } from '../shared/touchUpsIn'
import { fixturesInWords } from '../shared/wording'

export const touchUp = command({
  input: z.strictObject({
    palette: paletteId,
    fixtures: z.array(fixtureId).min(1),
    by: z.union([
      z.strictObject({ metres: point }),
      z.strictObject({ degrees: z.strictObject({ pan: degrees, tilt: degrees }) }),
    ]),
  }),
  undoable: true,
  run(show, { palette, fixtures: asked, by }, environment) {
    const known = show.all.palette.get(palette)
    if (!known) return gone('palette', 'palette')
    const fixtures = headsAmong(show, asked)
    if (fixtures.length === 0) return refuseToTurn()
    const draft = new Draft(show)
    for (const fixture of fixtures) {
      const rigged = rigOf(show).get(fixture)
      if (!rigged) continue
      const wanted = nudged(show, palette, rigged, by)
      if (typeof wanted === 'string') return refuseToTouch(show, wanted, palette, fixture)
      touchHere(show, draft, environment, { ...wanted, fixture })
    }
    const how = 'metres' in by ? offsetInWords(by.metres) : `pan ${by.degrees.pan}°, tilt ${by.degrees.tilt}°`
    return done(draft, `touch up ${known.name}, ${fixturesInWords(show, fixtures)}: ${how}`, `touch up ${palette}`)
  },
})
