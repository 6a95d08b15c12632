/** Takes lit beams in keep-clear zones as they are, with the reason: they are counted apart from then on. */
import { z } from 'zod'
import { counted } from '../../show/counted'
import { Draft } from '../../show/draft'
import { acceptedSweep } from '../../show/entities'
import { acceptedSweepId } from '../../show/ids'
import { entity, showRecordOf } from '../../show/show'
import { acceptedSweepsOf, sweepKey } from '../../travel/accepted'
import { command, done, refuse } from '../command'
import { noCue } from '../shared/cueListOf'
import { gone } from '../shared/refusals'

export const acceptSweeps = command({
  input: z.strictObject({
    sweeps: z
      .array(acceptedSweep.pick({ cue: true, fixture: true, zone: true }))
      .min(1)
      .max(10_000),
    reason: acceptedSweep.shape.reason,
  }),
  undoable: true,
  run(show, { sweeps, reason }, { newId }) {
    const { venue } = showRecordOf(show)
    const zones = new Set(entity(show, 'venue', venue).keepClear.map(({ name }) => name))
    const accepted = acceptedSweepsOf(show)
    const draft = new Draft(show)
    for (const { cue, fixture, zone } of sweeps) {
      if (!show.all.cue.has(cue)) return noCue()
      if (!show.all.fixture.has(fixture)) return gone('fixture', 'fixture')
      if (!zones.has(zone)) return refuse('no such zone', { zone }, 'zone')
      const id = accepted.get(sweepKey(cue, fixture, zone))?.id ?? acceptedSweepId.parse(newId())
      draft.put('acceptedSweep', id, { venue, cue, fixture, zone, reason })
    }
    return done(draft, `accept ${counted(sweeps.length, 'sweep')}: ${reason}`)
  },
})
