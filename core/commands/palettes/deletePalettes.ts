/** Takes palettes out. Those that something leans on go only when it is said what becomes of the links. */
import { z } from 'zod'
import { dependentsOfPalettes, removePalettes } from '../../palettes/removal'
import { Draft } from '../../show/draft'
import { paletteId } from '../../show/ids'
import { dependentsInWords } from '../../show/dependents'
import { command, done, refuse } from '../command'
import { gone, linkTrouble } from '../shared/refusals'
import { palettesInWords } from '../shared/palettesInWords'

const become = z.discriminatedUnion('how', [
  z.strictObject({ how: z.literal('refuse') }),
  z.strictObject({ how: z.literal('loose') }),
  z.strictObject({ how: z.literal('links'), to: paletteId }),
])

export const deletePalettes = command({
  input: z.strictObject({ palettes: z.array(paletteId).min(1), links: become }),
  undoable: true,
  run(show, { palettes, links }) {
    const ids = new Set(palettes.filter((id) => show.all.palette.has(id)))
    if (ids.size === 0) return gone('palette', 'palettes')
    const names = palettesInWords(show, [...ids])
    const leaning = dependentsInWords(dependentsOfPalettes(show, ids))
    if (links.how === 'refuse' && leaning)
      return refuse('palettes leaned on', { name: names, dependents: leaning }, 'links')
    if (links.how === 'links' && (ids.has(links.to) || !show.all.palette.has(links.to)))
      return refuse('no heir', {}, 'links')
    const draft = new Draft(show)
    removePalettes(show, draft, ids, links.how === 'links' ? links : { how: 'loose' })
    const trouble = links.how === 'links' ? linkTrouble(draft.result(), draft.result().all.palette.keys()) : null
    if (trouble) return trouble
    const heir = links.how === 'links' ? `, links to ${show.all.palette.get(links.to)?.name ?? ''}` : ''
    return done(draft, `delete ${names}${heir}`)
  },
})
