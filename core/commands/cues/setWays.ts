/** Says which way round heads take to where they point in cues; null for as their palettes say. */
import { z } from 'zod'
import { LEADING } from '../../attributes/catalogue'
import { cueValueId } from '../../show/compositeIds'
import { counted } from '../../show/counted'
import { Draft } from '../../show/draft'
import { cueId, fixtureId } from '../../show/ids'
import { aimChoice } from '../../show/values'
import { withWay } from '../../travel/unwinding'
import { command, done, refuse } from '../command'
import { noCue } from '../shared/cueListOf'
import { gone } from '../shared/refusals'

export const setWays = command({
  input: z.strictObject({
    ways: z
      .array(z.strictObject({ cue: cueId, fixture: fixtureId, way: aimChoice.nullable() }))
      .min(1)
      .max(200_000),
    /** Whether a person chose them one by one: unwinding then leaves them. */
    byHand: z.boolean(),
  }),
  undoable: true,
  run(show, { ways, byHand }) {
    const draft = new Draft(show)
    for (const { cue, fixture, way } of ways) {
      if (!show.all.cue.has(cue)) return noCue()
      if (!show.all.fixture.has(fixture)) return gone('fixture', 'fixture')
      const id = cueValueId(cue, fixture, LEADING.place)
      const stored = show.all.cueValue.get(id)
      if (!stored || (stored.value.kind !== 'link' && stored.value.kind !== 'aim'))
        return refuse('no way there', { cue: show.all.cue.get(cue)?.number ?? 0 }, 'cue')
      draft.put('cueValue', id, { ...stored, value: withWay(stored.value, way, byHand) })
    }
    const heads = new Set(ways.map(({ fixture }) => fixture)).size
    const cues = new Set(ways.map(({ cue }) => cue)).size
    return done(draft, `ways round of ${counted(heads, 'head')} in ${counted(cues, 'cue')}`)
  },
})
