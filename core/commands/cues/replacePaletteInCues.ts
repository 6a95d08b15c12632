/** Puts one palette where another stands, where it holds something for the fixture. */
import { z } from 'zod'
import { putCueValue } from '../../cues/marks'
import { paletteValueFor } from '../../palettes/resolve'
import { Draft } from '../../show/draft'
import { cueId, paletteId } from '../../show/ids'
import { typedFixtures } from '../../show/rig'
import { fixtureChoice } from '../shared/fixtureChoice'
import { command, done, refuse } from '../command'
import { gone } from '../shared/refusals'
import { counted } from '../../show/counted'

export const replacePaletteInCues = command({
  input: z.strictObject({
    from: paletteId,
    to: paletteId,
    /** Null for all cues, and for all fixtures. */
    cues: z.array(cueId).min(1).nullable(),
    fixtures: fixtureChoice,
  }),
  undoable: true,
  run(show, { from, to, cues, fixtures }) {
    const [before, after] = [show.all.palette.get(from), show.all.palette.get(to)]
    if (!before) return gone('palette', 'from')
    if (!after) return gone('palette', 'to')
    if (from === to) return refuse('same palette', {}, 'to')
    const draft = new Draft(show)
    let replaced = 0
    let left = 0
    for (const stored of show.all.cueValue.values()) {
      if (stored.value.kind !== 'link' || stored.value.palette !== from) continue
      if ((cues && !cues.includes(stored.cue)) || (fixtures && !fixtures.includes(stored.fixture))) continue
      const served = typedFixtures(show).get(stored.fixture)
      if (served && paletteValueFor(show, to, served, stored.attribute) !== null) {
        putCueValue(draft, { ...stored, value: { kind: 'link', palette: to } }, stored)
        replaced += 1
      } else left += 1
    }
    if (replaced === 0)
      return left > 0
        ? refuse('heir serves none', { heir: after.name, name: before.name }, 'to')
        : refuse('does not stand there', { name: before.name }, 'to')
    const stay = left > 0 ? `; ${left} stay, for which ${after.name} holds nothing` : ''
    return done(draft, `put ${after.name} where ${before.name} stood (${counted(replaced, 'value')})${stay}`)
  },
})
