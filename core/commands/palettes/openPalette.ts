/** Opens a palette in the hand to be changed in place. */
import { handValueId } from '../../show/compositeIds'
import { z } from 'zod'
import { attributesServed, paletteValueFor, resolveValue } from '../../palettes/resolve'
import { servedBy } from '../../palettes/use'
import { Draft } from '../../show/draft'
import { paletteId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { gone } from '../shared/refusals'
import { handEntriesOf } from '../shared/handEntries'

export const openPalette = command({
  input: z.strictObject({ palette: paletteId }),
  undoable: true,
  run(show, { palette }, { person }) {
    const known = show.all.palette.get(palette)
    if (!known) return gone('palette', 'palette')
    const open = show.all.palette.get(show.all.person.get(person)?.editing ?? '')
    if (open) return refuse('another open', { name: open.name })
    if (handEntriesOf(show, person).length > 0) return refuse('hand full', { name: known.name })
    const draft = new Draft(show).set('person', person, 'editing', palette)
    for (const rigged of servedBy(show, palette))
      for (const attribute of attributesServed(show, palette, rigged)) {
        const stored = paletteValueFor(show, palette, rigged, attribute)
        const value =
          stored && (known.shelf === 'combined' ? stored : resolveValue(show, rigged, attribute, stored).value)
        if (value)
          draft.put('handValue', handValueId(person, rigged.id, attribute), {
            person,
            fixture: rigged.id,
            attribute,
            value,
            source: value.kind === 'link' ? null : palette,
            arrival: null,
          })
      }
    return done(draft, `open ${known.name} in the hand`)
  },
})
