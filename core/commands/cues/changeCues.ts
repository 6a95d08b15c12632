/** Names, notes and times of one or many cues. */
import { Draft } from '../../show/draft'
import { cue as cueSchema } from '../../show/entities'
import { command, done } from '../command'
import { noCue } from '../shared/cueListOf'
import { definedFields } from '../shared/definedFields'
import { listInWords } from '../../show/listInWords'
import { cues, cuesInWords, cuesOf } from '../shared/chosenCues'

const FIELDS = ['name', 'note', 'rise', 'fall', 'move', 'delay', 'follow', 'travel', 'quiet'] as const

export const changeCues = command({
  input: cueSchema
    .omit({ list: true, number: true })
    .partial()
    .extend({ quiet: cueSchema.shape.quiet.unwrap().optional(), cues }),
  undoable: true,
  run(show, { cues: ids, ...fields }) {
    const known = cuesOf(show, ids)
    if (!known) return noCue()
    const draft = new Draft(show)
    for (const { id, cue } of known) draft.put('cue', id, { ...cue, ...definedFields(fields) })
    const what = FIELDS.filter((field) => fields[field] !== undefined)
    return done(draft, `${listInWords(what)} of ${cuesInWords(show, ids)}`)
  },
})
