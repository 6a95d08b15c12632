/** Takes a palette of the pass and brings it up on stage, all of it or one fixture; or lets go of what one has. */
import { z } from 'zod'
import { checkedWith } from '../../palettes/placed'
import { takenPalettes } from '../../refocus/pass'
import { Draft } from '../../show/draft'
import { fixtureId, paletteId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { onPaletteInPass } from '../shared/inPass'

export const checkPalette = command({
  input: z.strictObject({
    /** Null to let go. */
    palette: paletteId.nullable(),
    /** The one fixture that is lit; null for all. */
    only: fixtureId.nullable(),
  }),
  undoable: false,
  run(show, { palette, only }, { person }) {
    if (!show.all.person.has(person)) return refuse('not in it', {})
    const draft = new Draft(show).set('person', person, 'checking', palette)
    if (palette === null) return done(draft.set('person', person, 'only', null), 'let go of what was checked')
    return onPaletteInPass(show, palette, (_, name) => {
      const other = takenPalettes(show).get(palette)
      if (other !== undefined && other !== person)
        return refuse('taken', { name, by: show.all.person.get(other)?.name ?? '' }, 'palette')
      if (only !== null && !checkedWith(show, palette).some(({ id }) => id === only))
        return refuse('serves none', { name }, 'only')
      return done(draft.set('person', person, 'only', only), `check ${name}`)
    })
  },
})
