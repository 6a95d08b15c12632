/** Takes fixtures, attributes, or attributes of fixtures out of a palette. */
import { z } from 'zod'
import { forgetRecorded } from '../../palettes/recorded'
import { keepUnserved } from '../../palettes/unserved'
import { servedBy } from '../../palettes/use'
import { Draft } from '../../show/draft'
import { attributeId, attributeName } from '../../attributes/attribute'
import { paletteId } from '../../show/ids'
import { fixtureChoice } from '../shared/fixtureChoice'
import { command, done, refuse } from '../command'
import { gone } from '../shared/refusals'
import { fixturesInWords, looseInWords } from '../shared/wording'
import { listInWords } from '../../show/listInWords'

export const removeFromPalette = command({
  input: z.strictObject({
    palette: paletteId,
    /** Null for all it holds. */
    fixtures: fixtureChoice,
    attributes: z.array(attributeId).min(1).nullable(),
  }),
  undoable: true,
  run(show, { palette, fixtures, attributes }) {
    const known = show.all.palette.get(palette)
    if (!known) return gone('palette', 'palette')
    const draft = new Draft(show)
    for (const [id, stored] of show.all.paletteValue) {
      if (stored.palette !== palette || attributes?.includes(stored.attribute) === false) continue
      const isMeant = fixtures === null || (stored.fixture !== null && fixtures.includes(stored.fixture))
      if (isMeant) draft.remove('paletteValue', id)
    }
    const removed = draft.changes().length
    if (removed === 0) {
      const served = servedBy(show, palette).map(({ id }) => id)
      const isWide = fixtures?.some((fixture) => served.includes(fixture))
      return refuse(isWide ? 'serves more widely' : 'holds nothing of that', { name: known.name }, 'fixtures')
    }
    const isEmptied = removed === [...show.all.paletteValue.values()].filter((v) => v.palette === palette).length
    if (isEmptied) return refuse('emptied', { name: known.name })
    if (fixtures && !attributes) forgetRecorded(show, draft, palette, (fixture) => fixtures.includes(fixture))
    const loose = keepUnserved(draft, palette)
    const what = attributes ? listInWords(attributes.map((attribute) => attributeName(attribute))) : 'everything'
    const whose = fixtures ? ` of ${fixturesInWords(show, fixtures)}` : ''
    return done(draft, `remove ${what}${whose} from ${known.name}${looseInWords(loose)}`)
  },
})
