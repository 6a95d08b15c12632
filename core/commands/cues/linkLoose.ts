/** Links values that were stored by hand to palettes. */
import { fixtureNumber } from '../../show/cells'
import { cueValueId } from '../../show/compositeIds'
import { z } from 'zod'
import { putCueValue } from '../../cues/marks'
import { paletteValueFor } from '../../palettes/resolve'
import { Draft } from '../../show/draft'
import { paletteId } from '../../show/ids'
import { rigOf } from '../../show/rig'
import { command, done, refuse } from '../command'
import { cueValueKey } from '../shared/cueValueKey'
import { gone } from '../shared/refusals'
import { counted } from '../../show/counted'

export const linkLoose = command({
  input: z.strictObject({
    links: z.array(z.strictObject({ ...cueValueKey, palette: paletteId })).min(1, 'choose a value'),
  }),
  undoable: true,
  run(show, { links }) {
    const draft = new Draft(show)
    for (const { cue, fixture, attribute, palette } of links) {
      const known = show.all.palette.get(palette)
      if (!known) return gone('palette', 'links')
      const stored = show.all.cueValue.get(cueValueId(cue, fixture, attribute))
      const rigged = rigOf(show).get(fixture)
      if (!stored || !rigged) continue
      if (paletteValueFor(show, palette, rigged, attribute) === null)
        return refuse(
          'lacks attribute',
          { name: known.name, attribute, fixture: fixtureNumber(rigged.fixture) },
          'links',
        )
      putCueValue(draft, { ...stored, value: { kind: 'link', palette } })
    }
    const { length } = draft.changes()
    if (length === 0) return refuse('nothing loose', {}, 'links')
    const names = new Set(links.map(({ palette }) => show.all.palette.get(palette)?.name ?? ''))
    const to = names.size === 1 ? [...names].join('') : `${names.size} palettes`
    return done(draft, `link ${counted(length, 'value')} to ${to}`)
  },
})
