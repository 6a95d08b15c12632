/** Nudges of palettes: so far from where their light is, for some of their fixtures. */
import { z } from 'zod'
import { offsetInWords } from '../../geometry/lengthInWords'
import { nudged, type TouchUpWanted } from '../../refocus/touchUpBy'
import { fixtureId, paletteId, type FixtureId } from '../../show/ids'
import { rigOf } from '../../show/rig'
import type { Show } from '../../show/show'
import { degrees, point } from '../../show/values'
import type { Outcome } from '../command'
import { headsAmong, refuseToTurn } from './heads'
import { gone } from './refusals'
import { refuseToTouch } from './touchUpsIn'
import { fixturesInWords } from './wording'

/** Metres from where the light is, or degrees of the axes. */
export const nudge = z.strictObject({
  palette: paletteId,
  fixtures: z.array(fixtureId).min(1),
  by: z.union([
    z.strictObject({ metres: point }),
    z.strictObject({ degrees: z.strictObject({ pan: degrees, tilt: degrees }) }),
  ]),
})

type Nudged = TouchUpWanted & { readonly fixture: FixtureId }

/** Carries a nudge out with what each fixture is to be touched up by, and what it is in words; refused where one cannot be. */
export function nudging(
  show: Show,
  { palette, fixtures: asked, by }: z.infer<typeof nudge>,
  run: (wanted: readonly Nudged[], words: string) => Outcome,
): Outcome {
  const known = show.all.palette.get(palette)
  if (!known) return gone('palette', 'palette')
  const fixtures = headsAmong(show, asked)
  if (fixtures.length === 0) return refuseToTurn()
  const found: Nudged[] = []
  for (const fixture of fixtures) {
    const rigged = rigOf(show).get(fixture)
    if (!rigged) continue
    const wanted = nudged(show, palette, rigged, by)
    if (typeof wanted === 'string') return refuseToTouch(show, wanted, palette, fixture)
    found.push({ ...wanted, fixture })
  }
  const how = 'metres' in by ? offsetInWords(by.metres) : `pan ${by.degrees.pan}°, tilt ${by.degrees.tilt}°`
  return run(found, `${known.name}, ${fixturesInWords(show, fixtures)}: ${how}`)
}
