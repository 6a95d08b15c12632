/** Puts a palette in the hand, as links or as the plain values it comes to, at once or over a time. */
import { handValueId } from '../../show/compositeIds'
import { z } from 'zod'
import { standingAt } from '../../hand/standing'
import { attributesServed, resolveValue } from '../../palettes/resolve'
import { servedBy } from '../../palettes/use'
import { Draft } from '../../show/draft'
import { paletteId } from '../../show/ids'
import type { Attribute } from '../../attributes/attribute'
import { rigOf, type RiggedFixture } from '../../show/rig'
import { command, done, refuse } from '../command'
import { fixturesInWords } from '../shared/wording'
import { fixtureChoice } from '../shared/fixtureChoice'

export const recallPalette = command({
  input: z.strictObject({
    palette: paletteId,
    fixtures: fixtureChoice,
    as: z.enum(['link', 'loose']).optional(),
    /** How long it takes to come in; left out, as long as the palette says. */
    seconds: z.number().min(0).max(3600).optional(),
  }),
  undoable: true,
  run(show, { palette, fixtures, as = 'link', seconds: wish }, { person, now }) {
    const stored = show.all.palette.get(palette)
    if (!stored) return refuse('gone', { kind: 'palette' }, 'palette')
    const seconds = wish ?? stored.time ?? 0
    const standing = standingAt(show, person, now)
    const arrivalOf = (rigged: RiggedFixture, attribute: Attribute) => {
      const from = seconds > 0 ? standing(rigged, attribute) : null
      return from && { startedAt: Math.round(now), seconds, from }
    }
    const draft = new Draft(show)
    const asked = fixtures ?? servedBy(show, palette).map(({ id }) => id)
    const link = { kind: 'link', palette } as const
    const served = asked.filter((id) => {
      const rigged = rigOf(show).get(id)
      if (!rigged) return false
      const attributes = attributesServed(show, palette, rigged)
      for (const attribute of attributes) {
        const value = as === 'link' ? link : resolveValue(show, rigged, attribute, link).value
        if (!value) continue
        const arrival = arrivalOf(rigged, attribute)
        draft.put('handValue', handValueId(person, id, attribute), {
          person,
          fixture: id,
          attribute,
          value,
          source: null,
          arrival,
        })
      }
      return attributes.length > 0
    })
    if (served.length === 0) return refuse('serves none', { name: stored.name }, 'fixtures')
    const loosely = as === 'loose' ? ', loose' : ''
    return done(draft, `recall ${stored.name} for ${fixturesInWords(show, served)}${loosely}`)
  },
})
