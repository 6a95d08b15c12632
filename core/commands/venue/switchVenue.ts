/** Plays the show in another of its venues; says which fixtures do not hang there. */
import { z } from 'zod'
import { absentAfter } from '../../refocus/absent'
import { Draft } from '../../show/draft'
import { venueId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { listInWords } from '../../show/listInWords'

export const switchVenue = command({
  input: z.strictObject({ venue: venueId }),
  undoable: true,
  run(show, { venue }) {
    const known = show.all.venue.get(venue)
    if (!known) return refuse('gone', { kind: 'venue' }, 'venue')
    const draft = new Draft(show).set('show', show.id, 'venue', venue)
    const absent = absentAfter(show, draft.result()).map(({ fixture }) => show.all.fixture.get(fixture)?.number ?? '?')
    const without = absent.length > 0 ? ` without ${listInWords(absent.map(String))}, not hung there` : ''
    return done(draft, `play at ${known.name}${without}`)
  },
})
