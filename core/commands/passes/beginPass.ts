/** Begins a pass through the palettes at the venue in play. */
import { Draft } from '../../show/draft'
import { pass } from '../../show/entities'
import { entity, showRecordOf } from '../../show/show'
import { command, done, refuse } from '../command'

export const beginPass = command({
  input: pass.pick({ order: true, level: true, others: true, corrections: true }),
  undoable: true,
  run(show, input, { now }) {
    const { venue } = showRecordOf(show)
    const { name } = entity(show, 'venue', venue)
    if (show.all.pass.has(venue)) return refuse('pass begun', { name })
    const draft = new Draft(show).put('pass', venue, { ...input, venue, startedAt: Math.round(now) })
    return done(draft, `begin a pass at ${name}`)
  },
})
