/** Drops sightings that do not fit, counts them again, or takes them out. */
import { z } from 'zod'
import { counted } from '../../show/counted'
import { Draft } from '../../show/draft'
import { sightingId } from '../../show/ids'
import { command, done } from '../command'
import { gone } from '../shared/refusals'

export const changeSightings = command({
  input: z.strictObject({ sightings: z.array(sightingId).min(1), what: z.enum(['drop', 'count again', 'delete']) }),
  undoable: true,
  run(show, { sightings, what }) {
    const draft = new Draft(show)
    for (const id of sightings) {
      if (!show.all.sighting.has(id)) return gone('sighting', 'sightings')
      if (what === 'delete') draft.remove('sighting', id)
      else draft.set('sighting', id, 'counts', what === 'count again')
    }
    return done(draft, `${what} ${counted(sightings.length, 'sighting')}`)
  },
})
