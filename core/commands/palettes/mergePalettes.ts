/** Makes one palette of several that hold the same. */
import { z } from 'zod'
import { duplicatePalettes } from '../../palettes/duplicates'
import { removePalettes } from '../../palettes/removal'
import { Draft } from '../../show/draft'
import { paletteId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { gone, linkTrouble } from '../shared/refusals'
import { palettesInWords } from '../shared/palettesInWords'

export const mergePalettes = command({
  input: z.strictObject({ keep: paletteId, others: z.array(paletteId).min(1) }),
  undoable: true,
  run(show, { keep, others }) {
    const kept = show.all.palette.get(keep)
    if (!kept) return gone('palette', 'keep')
    const alike = duplicatePalettes(show).find((group) => group.includes(keep)) ?? []
    const unlike = others.find((id) => id === keep || !alike.includes(id))
    if (unlike) return refuse('not alike', { name: palettesInWords(show, [unlike]), other: kept.name }, 'others')
    const draft = new Draft(show)
    removePalettes(show, draft, new Set(others), { how: 'links', to: keep })
    const trouble = linkTrouble(draft.result(), [keep])
    if (trouble) return trouble
    return done(draft, `merge ${palettesInWords(show, others)} into ${kept.name}`)
  },
})
