/** Copies what a cue sets, or all it shows, into other cues. */
import { z } from 'zod'
import { carriedWithin, setWithin } from '../../cues/editing'
import { putCueValue } from '../../cues/marks'
import { Draft } from '../../show/draft'
import { cueId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { noCue } from '../shared/cueListOf'
import { counted } from '../../show/counted'
import { cells } from '../shared/cells'
import { areCuesGone, cues, cuesInWords } from '../shared/chosenCues'

export const copyInCues = command({
  input: z.strictObject({
    from: cueId,
    to: cues,
    fixtures: cells.fixtures,
    families: cells.families,
    what: z.enum(['what it sets', 'all it shows']),
  }),
  undoable: true,
  run(show, { from, to, what, ...choice }) {
    const source = show.all.cue.get(from)
    if (!source || areCuesGone(show, to)) return noCue()
    const within = { ...choice, cues: [from] }
    const carried = what === 'all it shows' ? carriedWithin(show, within).map(({ stored }) => stored) : []
    const values = [...setWithin(show, within), ...carried]
    if (values.length === 0) return refuse('cue shows none', { cue: source.number, families: choice.families }, 'from')
    const draft = new Draft(show)
    for (const cue of to) if (cue !== from) for (const stored of values) putCueValue(draft, { ...stored, cue })
    return done(draft, `copy ${counted(values.length, 'value')} of cue ${source.number} into ${cuesInWords(show, to)}`)
  },
})
