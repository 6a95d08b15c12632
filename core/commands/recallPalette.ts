/** Puts links to a palette in the hand, for the chosen fixtures it serves. */
import { z } from 'zod'
import { handValueId } from '../cues/onStage'
import { attributesServed } from '../palettes/resolve'
import { Draft } from '../show/draft'
import { fixtureId, paletteId } from '../show/ids'
import { rigOf } from '../show/rig'
import { command, done, refuse } from './command'
import { fixturesInWords } from './wording'

export const recallPalette = command({
  input: z.strictObject({ palette: paletteId, fixtures: z.array(fixtureId).min(1) }),
  undoable: true,
  run(show, { palette, fixtures }, { person }) {
    const stored = show.all.palette.get(palette)
    if (!stored) return refuse('unknown palette', 'This palette is no longer in the show.', 'palette')
    const draft = new Draft(show)
    const served = fixtures.filter((id) => {
      const rigged = rigOf(show).get(id)
      const attributes = rigged ? attributesServed(show, palette, rigged) : []
      for (const attribute of attributes)
        draft.put('handValue', handValueId(person, id, attribute), {
          person,
          fixture: id,
          attribute,
          value: { kind: 'link', palette },
        })
      return attributes.length > 0
    })
    if (served.length === 0)
      return refuse('serves none', `${stored.name} holds nothing for the selected fixtures.`, 'fixtures')
    return done(draft.changes(), `recall ${stored.name} for ${fixturesInWords(show, served)}`)
  },
})
