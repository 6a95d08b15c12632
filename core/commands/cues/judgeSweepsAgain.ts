/** Takes back that sweeps were accepted: they count again. */
import { z } from 'zod'
import { counted } from '../../show/counted'
import { Draft } from '../../show/draft'
import { acceptedSweepId } from '../../show/ids'
import { command, done } from '../command'
import { gone } from '../shared/refusals'

export const judgeSweepsAgain = command({
  input: z.strictObject({ sweeps: z.array(acceptedSweepId).min(1).max(10_000) }),
  undoable: true,
  run(show, { sweeps }) {
    const there = sweeps.filter((id) => show.all.acceptedSweep.has(id))
    if (there.length === 0) return gone('acceptedSweep', 'sweeps')
    const draft = new Draft(show)
    for (const id of there) draft.remove('acceptedSweep', id)
    return done(draft, `judge ${counted(there.length, 'accepted sweep')} again`)
  },
})
