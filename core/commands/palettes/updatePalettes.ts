/**
 * Writes what was changed in hand back to the palettes it came from: all of them, or those chosen.
 * The hand holds links to them again, and every cue follows.
 */
import { z } from 'zod'
import { LEADING } from '../../attributes/catalogue'
import { setInHand } from '../../hand/setInHand'
import { putReaching } from '../../palettes/reach'
import { noteRecorded } from '../../palettes/recorded'
import { withoutTouchUps } from '../../palettes/touchUps'
import { adjustedInHand, updating } from '../../palettes/update'
import { touchUpTo } from '../../refocus/touchUpBy'
import { Draft } from '../../show/draft'
import { CORRECTIONS } from '../../show/entities'
import { paletteId, type FixtureId, type PaletteId } from '../../show/ids'
import { rigOf } from '../../show/rig'
import type { Show } from '../../show/show'
import { command, done, refuse, type Environment, type Outcome } from '../command'
import { refuseToTouch, touchHere } from '../shared/touchUpsIn'
import { spendMask } from '../shared/takenFromHand'
import { fixturesInWords } from '../shared/wording'

export const updatePalettes = command({
  input: z.strictObject({
    /** Null for every palette something in hand came from. */
    palettes: z.array(paletteId).min(1).nullable(),
    /** For good, as when left out: the palettes themselves change. For here: places are touched up in the venue in play. */
    where: z.enum(CORRECTIONS).optional(),
  }),
  undoable: true,
  run(show, { palettes, where = 'for good' }, environment) {
    const { person } = environment
    if (where === 'for here') return touchUpHere(show, palettes, environment)
    const adjusted = [...adjustedInHand(show, person)].filter(([id]) => palettes === null || palettes.includes(id))
    const [first] = adjusted
    if (!first) return refuse('nothing changed', {}, 'palettes')
    const draft = new Draft(show)
    for (const [palette, values] of adjusted) {
      const stored = values.map((held) => ({ ...held, value: withoutTouchUps(show, palette, held) }))
      putReaching(show, draft, palette, updating(show, palette, stored), { merge: [] })
      noteRecorded(draft, palette, new Set(values.map(({ fixture }) => fixture)))
      for (const { fixture, attribute, through } of values)
        setInHand(draft, person, fixture, attribute, { kind: 'link', palette: through })
    }
    spendMask(show, draft, person)
    const fixtures = [...new Set(adjusted.flatMap(([, values]) => values.map(({ fixture }) => fixture)))]
    const name = show.all.palette.get(first[0])?.name ?? ''
    const others = adjusted.length - 1
    const what = others === 0 ? name : `${name} and ${others} more`
    return done(draft, `update ${what} (${fixturesInWords(show, fixtures)})`)
  },
})

/** Touches palettes up to what was made of their places in hand; whatever else was changed stays in hand. */
function touchUpHere(show: Show, palettes: readonly PaletteId[] | null, environment: Environment): Outcome {
  const { person } = environment
  const draft = new Draft(show)
  const touched: FixtureId[] = []
  for (const [palette, values] of adjustedInHand(show, person)) {
    if (palettes !== null && !palettes.includes(palette)) continue
    for (const { fixture, attribute, value, through } of values) {
      const rigged = rigOf(show).get(fixture)
      if (attribute !== LEADING.place || value.kind === 'link' || !rigged) continue
      const wanted = touchUpTo(show, palette, rigged, value)
      if (typeof wanted === 'string') return refuseToTouch(show, wanted, palette, fixture)
      touchHere(show, draft, environment, { ...wanted, fixture })
      setInHand(draft, person, fixture, attribute, { kind: 'link', palette: through })
      touched.push(fixture)
    }
  }
  if (touched.length === 0) return refuse('no place changed', {}, 'palettes')
  spendMask(show, draft, person)
  return done(draft, `touch up ${fixturesInWords(show, [...new Set(touched)])} for this venue`)
}
