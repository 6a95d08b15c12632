/** Makes a palette like another, under a number of its own. */
import { paletteValueId } from '../../show/compositeIds'
import { putTouchUp, touchUpsIn } from '../../palettes/touchUps'
import { Draft } from '../../show/draft'
import { palette as paletteSchema } from '../../show/entities'
import { paletteId } from '../../show/ids'
import { noteRecorded, recordedWith } from '../../palettes/recorded'
import { command, done } from '../command'
import { paletteNumberInUse } from '../shared/paletteNumbers'
import { gone } from '../shared/refusals'

export const copyPalette = command({
  input: paletteSchema.pick({ number: true, name: true }).extend({ palette: paletteId }),
  undoable: true,
  run(show, { palette, number, name }, { newId }) {
    const known = show.all.palette.get(palette)
    if (!known) return gone('palette', 'palette')
    const refusal = paletteNumberInUse(show, number)
    if (refusal) return refusal
    const id = paletteId.parse(newId())
    const draft = new Draft(show).put('palette', id, { ...known, number, name })
    for (const stored of show.all.paletteValue.values()) {
      if (stored.palette !== palette) continue
      const { fixture, fixtureType, attribute } = stored
      const whom = fixture ? { own: fixture } : fixtureType ? { kind: fixtureType } : 'any'
      draft.put('paletteValue', paletteValueId(id, attribute, whom), { ...stored, palette: id })
    }
    for (const touchUp of touchUpsIn(show, palette).flat()) putTouchUp(draft, { ...touchUp, palette: id })
    noteRecorded(draft, id, recordedWith(show, palette))
    const rule = show.all.paletteSpread.get(palette)
    if (rule) draft.put('paletteSpread', id, { ...rule, palette: id })
    return done(draft, `copy ${known.name} to ${number} ${name}`)
  },
})
