/** Draws a venue anew: its name, outline, opening, levels and keep-clear zones. */
import { Draft } from '../../show/draft'
import { venue as venueSchema } from '../../show/entities'
import { venueId } from '../../show/ids'
import { command, done } from '../command'
import { gone, nameInUse } from '../shared/refusals'

export const changeVenue = command({
  input: venueSchema
    .extend({ note: venueSchema.shape.note.unwrap(), date: venueSchema.shape.date.unwrap() })
    .partial()
    .extend({ venue: venueId }),
  undoable: true,
  run(show, { venue, ...fields }) {
    const known = show.all.venue.get(venue)
    if (!known) return gone('venue', 'venue')
    const refusal = fields.name === undefined ? null : nameInUse(show, 'venue', fields.name, venue)
    if (refusal) return refusal
    const draft = new Draft(show)
    if (fields.name !== undefined) draft.set('venue', venue, 'name', fields.name)
    if (fields.outline !== undefined) draft.set('venue', venue, 'outline', fields.outline)
    if (fields.opening !== undefined) draft.set('venue', venue, 'opening', fields.opening)
    if (fields.keepClear !== undefined) draft.set('venue', venue, 'keepClear', fields.keepClear)
    if (fields.levels !== undefined) draft.set('venue', venue, 'levels', fields.levels)
    if (fields.note !== undefined) draft.set('venue', venue, 'note', fields.note)
    if (fields.date !== undefined) draft.set('venue', venue, 'date', fields.date)
    const [only, second] = Object.keys(fields)
    const what = only !== undefined && second === undefined ? (FIELD_NAMES[only] ?? only) : 'drawing'
    return done(draft, `change the ${what} of ${known.name}`)
  },
})

const FIELD_NAMES: Readonly<Record<string, string>> = { keepClear: 'keep-clear zones' }
