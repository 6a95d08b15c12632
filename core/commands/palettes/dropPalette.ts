/** Drops what was changed of the palette that is open in the hand. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { command, done, refuse } from '../command'
import { handEntriesOf } from '../shared/handEntries'

export const dropPalette = command({
  input: z.strictObject({}),
  undoable: true,
  run(show, _, { person }) {
    const palette = show.all.person.get(person)?.editing ?? null
    if (!palette) return refuse('none open', {})
    const draft = new Draft(show).set('person', person, 'editing', null)
    for (const [id] of handEntriesOf(show, person)) draft.remove('handValue', id)
    return done(draft, `drop the changes to ${show.all.palette.get(palette)?.name ?? 'a palette'}`)
  },
})
