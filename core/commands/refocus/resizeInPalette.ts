/** Makes the pool or the zoom some fixtures have in a palette larger or smaller, in every venue. */
import { z } from 'zod'
import { LEADING } from '../../attributes/catalogue'
import { putReaching } from '../../palettes/reach'
import { storedFor } from '../../palettes/resolve'
import { updating } from '../../palettes/update'
import { Draft } from '../../show/draft'
import type { FixtureValue } from '../../show/fixtureValue'
import { fixtureId, paletteId, type FixtureId, type PaletteId } from '../../show/ids'
import { typedFixtures } from '../../show/rig'
import type { Show } from '../../show/show'
import { command, done, refuse } from '../command'
import { gone } from '../shared/refusals'
import { fixturesInWords } from '../shared/wording'

export const resizeInPalette = command({
  input: z.strictObject({
    palette: paletteId,
    fixtures: z.array(fixtureId).min(1),
    /** 1 leaves the size as it is. */
    factor: z.number().min(0.1).max(10),
  }),
  undoable: true,
  run(show, { palette, fixtures, factor }) {
    const known = show.all.palette.get(palette)
    if (!known) return gone('palette', 'palette')
    const values = fixtures.flatMap((fixture) => resized(show, palette, fixture, factor))
    if (values.length === 0) return refuse('holds no size', { name: known.name }, 'palette')
    const draft = new Draft(show)
    putReaching(show, draft, palette, updating(show, palette, values), { merge: [] })
    const whom = fixturesInWords(
      show,
      values.map(({ fixture }) => fixture),
    )
    const how = factor < 1 ? 'narrower' : 'wider'
    return done(draft, `${known.name}, ${whom}: ${how}, in every venue`, `resize ${palette}`)
  },
})

/** Zooms stay within half a degree and a third of a turn, pools within a centimetre and a hundred metres. */
const LIMITS = { number: [0.5, 120], pool: [0.01, 100] } as const

function resized(show: Show, palette: PaletteId, fixture: FixtureId, factor: number): FixtureValue[] {
  const served = typedFixtures(show).get(fixture)
  const value = served && storedFor(show, palette, served, LEADING.width)?.value
  if (value?.kind !== 'number' && value?.kind !== 'pool') return []
  const [least, most] = LIMITS[value.kind]
  const within = (size: number) => Math.min(most, Math.max(least, size * factor))
  const wider =
    value.kind === 'number'
      ? { ...value, number: within(value.number) }
      : { ...value, diameter: within(value.diameter) }
  return [{ fixture, attribute: LEADING.width, value: wider }]
}
