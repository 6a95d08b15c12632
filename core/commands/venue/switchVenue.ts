/** Plays the show in another of its venues; says which fixtures do not hang there. */
import { z } from 'zod'
import { absentAfter } from '../../refocus/absent'
import { Draft } from '../../show/draft'
import { venueId, type FixtureId } from '../../show/ids'
import { playedBy } from '../../show/rig'
import { command, done, refuse } from '../command'
import { listInWords } from '../../show/listInWords'

export const switchVenue = command({
  input: z.strictObject({ venue: venueId }),
  undoable: true,
  run(show, { venue }) {
    const known = show.all.venue.get(venue)
    if (!known) return refuse('gone', { kind: 'venue' }, 'venue')
    const draft = new Draft(show).set('show', show.id, 'venue', venue)
    const numberOf = (fixture: FixtureId) => String(show.all.fixture.get(fixture)?.number ?? '?')
    const absent = absentAfter(show, draft.result()).map(({ fixture }) => numberOf(fixture))
    const without = absent.length > 0 ? ` without ${listInWords(absent)}, not hung there` : ''
    const played = [...playedBy(show, venue)].map(([by, fixture]) => `${numberOf(by)} plays ${numberOf(fixture)}`)
    return done(draft, `play at ${known.name}${without}${played.length > 0 ? `; ${listInWords(played)}` : ''}`)
  },
})
