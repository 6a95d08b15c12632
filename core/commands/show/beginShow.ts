/** Fills an empty show with what every show needs: a venue, fixture types and a cue list. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { showRecord, venue as venueSchema } from '../../show/entities'
import { cueListId, venueId } from '../../show/ids'
import { PLAIN_LIST } from '../cues/addCueList'
import { command, done, refuse } from '../command'
import { putType, typeWithModes } from '../shared/typeWithModes'

export const beginShow = command({
  input: z.strictObject({
    name: showRecord.shape.name,
    venue: venueSchema,
    types: z.array(typeWithModes),
  }),
  undoable: false,
  run(show, { name, venue, types }, { newId }) {
    if (show.all.show.size > 0) return refuse('begun', {})
    const venueKey = venueId.parse(newId())
    const draft = new Draft(show)
    draft.put('venue', venueKey, venue)
    draft.put('show', show.id, {
      name,
      venue: venueKey,
      rest: null,
      highlight: null,
      colourFade: 'by look',
      travel: 'angle',
      darkWhen: 'early',
      darkMargin: 0.2,
    })
    for (const type of types) putType(draft, type, newId)
    draft.put('cueList', cueListId.parse(newId()), { ...PLAIN_LIST, number: 1, name: 'Main' })
    return done(draft, `begin ${name}`)
  },
})
