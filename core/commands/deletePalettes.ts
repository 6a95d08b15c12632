/** Takes palettes out. Those that something leans on go only when it is said what becomes of the links. */
import { z } from 'zod'
import { duplicatePalettes } from '../palettes/duplicates'
import { leaningOnPalettes, removePalettes } from '../palettes/removal'
import { Draft } from '../show/draft'
import { paletteId, type PaletteId } from '../show/ids'
import { leaningInWords } from '../show/leaning'
import type { Show } from '../show/show'
import { command, done, refuse } from './command'
import { gone, linkTrouble } from './refusals'
import { listInWords } from './wording'

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
    const names = namesOf(show, [...ids])
    const leaning = leaningInWords(leaningOnPalettes(show, ids))
    if (links.how === 'refuse' && leaning)
      return refuse(
        'leaned on',
        `${leaning} lean on ${names}. Turn the links into loose values, or hand them to another palette.`,
        'links',
      )
    if (links.how === 'links' && (ids.has(links.to) || !show.all.palette.has(links.to)))
      return refuse('no heir', 'Choose a palette that stays for the links to go to.', 'links')
    const draft = new Draft(show)
    removePalettes(show, draft, ids, links.how === 'links' ? links : { how: 'loose' })
    const trouble = links.how === 'links' ? linkTrouble(draft.result(), draft.result().all.palette.keys()) : null
    if (trouble) return trouble
    const heir = links.how === 'links' ? `, links to ${show.all.palette.get(links.to)?.name ?? ''}` : ''
    return done(draft, `delete ${names}${heir}`)
  },
})

export const mergePalettes = command({
  input: z.strictObject({ keep: paletteId, others: z.array(paletteId).min(1) }),
  undoable: true,
  run(show, { keep, others }) {
    const kept = show.all.palette.get(keep)
    if (!kept) return gone('palette', 'keep')
    const alike = duplicatePalettes(show).find((group) => group.includes(keep)) ?? []
    const unlike = others.find((id) => id === keep || !alike.includes(id))
    if (unlike)
      return refuse('not alike', `${namesOf(show, [unlike])} does not hold the same as ${kept.name}.`, 'others')
    const draft = new Draft(show)
    removePalettes(show, draft, new Set(others), { how: 'links', to: keep })
    const trouble = linkTrouble(draft.result(), [keep])
    if (trouble) return trouble
    return done(draft, `merge ${namesOf(show, others)} into ${kept.name}`)
  },
})

function namesOf(show: Show, palettes: readonly PaletteId[]): string {
  const names = palettes.map((id) => show.all.palette.get(id)?.name ?? '')
  return names.length > 3 ? `${names.length} palettes` : listInWords(names)
}
