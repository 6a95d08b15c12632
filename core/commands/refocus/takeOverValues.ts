/** Takes values from elsewhere over into palettes: those that are named, and nothing else. */
import { group } from 'd3-array'
import { z } from 'zod'
import { attributeId } from '../../attributes/attribute'
import { LEADING } from '../../attributes/catalogue'
import { putReaching } from '../../palettes/reach'
import { withoutTouchUps } from '../../palettes/touchUps'
import { updating } from '../../palettes/update'
import { touchUpTo } from '../../refocus/touchUpBy'
import { counted } from '../../show/counted'
import { Draft } from '../../show/draft'
import { CORRECTIONS } from '../../show/entities'
import { fixtureId, paletteId } from '../../show/ids'
import { rigOf, typedFixtures } from '../../show/rig'
import type { Show } from '../../show/show'
import { fitsAttribute, MISFIT_OF_ATTRIBUTE, value as anyValue } from '../../show/values'
import { command, done, refuse, type Environment } from '../command'
import { touchHere } from '../shared/touchUpsIn'

const taken = z
  .strictObject({ palette: paletteId, fixture: fixtureId, attribute: attributeId, value: anyValue })
  .refine(({ value }) => value.kind !== 'link', 'values are taken over as they are, not as links')
  .refine(fitsAttribute, MISFIT_OF_ATTRIBUTE)
type Taken = z.infer<typeof taken>

export const takeOverValues = command({
  input: z.strictObject({
    values: z.array(taken).min(1).max(100_000),
    /** For here, places a palette has already are touched up at the venue in play; all else is for good. */
    where: z.enum(CORRECTIONS),
  }),
  undoable: true,
  run(show, { values, where }, environment) {
    const twice = new Set(values.map(keyOf)).size < values.length
    if (twice) return refuse('bad input', { field: 'values', why: 'a value is named twice' }, 'values')
    if (values.some(({ palette }) => !show.all.palette.has(palette)))
      return refuse('one gone', { kind: 'palette' }, 'values')
    const draft = new Draft(show)
    const isTouch = (one: Taken) => where === 'for here' && touchesUp(show, draft, environment, one)
    const forGood = values.filter((one) => !isTouch(one))
    for (const [palette, own] of group(forGood, (one) => one.palette)) {
      const stored = own
        .filter(({ fixture, attribute }) => typedFixtures(show).get(fixture)?.type.has.includes(attribute))
        .map((one) => ({ ...one, value: withoutTouchUps(show, palette, one) }))
      putReaching(show, draft, palette, updating(show, palette, stored), { merge: [] })
    }
    const palettes = new Set(values.map(({ palette }) => palette)).size
    return done(draft, `take ${counted(values.length, 'value')} over into ${counted(palettes, 'palette')}`)
  },
})

const keyOf = ({ palette, fixture, attribute }: Taken) => `${palette} ${fixture} ${attribute}`

/** Touches a place up so that it is as taken; false where it is none the palette itself has. */
function touchesUp(show: Show, draft: Draft, environment: Environment, one: Taken): boolean {
  const rigged = rigOf(show).get(one.fixture)
  if (!rigged || one.attribute !== LEADING.place || one.value.kind === 'link') return false
  const wanted = touchUpTo(show, one.palette, rigged, one.value)
  if (typeof wanted === 'string' || wanted.palette !== one.palette) return false
  touchHere(show, draft, environment, { ...wanted, fixture: one.fixture })
  return true
}
