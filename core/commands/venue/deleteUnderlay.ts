/** Takes away what lies under the plan. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { underlayId } from '../../show/ids'
import { command, done } from '../command'
import { gone } from '../shared/refusals'

export const deleteUnderlay = command({
  input: z.strictObject({ underlay: underlayId }),
  undoable: true,
  run(show, { underlay }) {
    const known = show.all.underlay.get(underlay)
    if (!known) return gone('underlay', 'underlay')
    return done(new Draft(show).remove('underlay', underlay), `take the underlay ${known.name} away`)
  },
})
