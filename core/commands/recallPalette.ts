/** Puts a palette in the hand, as links or as the plain values it comes to; or takes it off again. */
import { z } from 'zod'
import { handValueId } from '../cues/onStage'
import { putInHand } from '../hand/put'
import { attributesServed, resolveValue } from '../palettes/resolve'
import { servedBy } from '../palettes/use'
import { Draft } from '../show/draft'
import { fixtureId, paletteId, type FixtureId } from '../show/ids'
import { rigOf } from '../show/rig'
import { command, done, refuse } from './command'
import { fixturesInWords } from './wording'

/** Null for all the palette holds. */
const fixtureChoice = z.array(fixtureId).min(1).nullable()

export const recallPalette = command({
  input: z.strictObject({
    palette: paletteId,
    fixtures: fixtureChoice,
    as: z.enum(['link', 'loose']).optional(),
  }),
  undoable: true,
  run(show, { palette, fixtures, as = 'link' }, { person }) {
    const stored = show.all.palette.get(palette)
    if (!stored) return refuse('unknown palette', 'This palette is no longer in the show.', 'palette')
    const draft = new Draft(show)
    const asked = fixtures ?? servedBy(show, palette).map(({ id }) => id)
    const link = { kind: 'link', palette } as const
    const served = asked.filter((id) => {
      const rigged = rigOf(show).get(id)
      const attributes = rigged ? attributesServed(show, palette, rigged) : []
      for (const attribute of attributes) {
        const value = as === 'link' || !rigged ? link : resolveValue(show, rigged, attribute, link).value
        if (value?.kind === 'link') putInHand(draft, person, id, attribute, value)
        else if (value)
          draft.put('handValue', handValueId(person, id, attribute), {
            person,
            fixture: id,
            attribute,
            value,
            source: null,
          })
      }
      return attributes.length > 0
    })
    if (served.length === 0)
      return refuse('serves none', `${stored.name} holds nothing for the selected fixtures.`, 'fixtures')
    const loosely = as === 'loose' ? ', loose' : ''
    return done(draft.changes(), `recall ${stored.name} for ${fixturesInWords(show, served)}${loosely}`)
  },
})

export const takeOffPalette = command({
  input: z.strictObject({ palette: paletteId, fixtures: fixtureChoice }),
  undoable: true,
  run(show, { palette, fixtures }, { person }) {
    const stored = show.all.palette.get(palette)
    if (!stored) return refuse('unknown palette', 'This palette is no longer in the show.', 'palette')
    const draft = new Draft(show)
    const off = new Set<FixtureId>()
    for (const [id, held] of show.all.handValue) {
      if (held.person !== person || held.value.kind !== 'link' || held.value.palette !== palette) continue
      if (fixtures && !fixtures.includes(held.fixture)) continue
      draft.remove('handValue', id)
      off.add(held.fixture)
    }
    if (off.size === 0) return refuse('not in hand', `${stored.name} is not in hand for these fixtures.`, 'fixtures')
    return done(draft.changes(), `take ${stored.name} off ${fixturesInWords(show, [...off])}`)
  },
})
