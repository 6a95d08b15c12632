/** Takes a palette out of the hand again. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { paletteId, type FixtureId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { fixturesInWords } from '../shared/wording'
import { fixtureChoice } from '../shared/fixtureChoice'

export const takeOffPalette = command({
  input: z.strictObject({ palette: paletteId, fixtures: fixtureChoice }),
  undoable: true,
  run(show, { palette, fixtures }, { person }) {
    const stored = show.all.palette.get(palette)
    if (!stored) return refuse('gone', { kind: 'palette' }, 'palette')
    const draft = new Draft(show)
    const off = new Set<FixtureId>()
    for (const [id, held] of show.all.handValue) {
      if (held.person !== person || held.value.kind !== 'link' || held.value.palette !== palette) continue
      if (fixtures && !fixtures.includes(held.fixture)) continue
      draft.remove('handValue', id)
      off.add(held.fixture)
    }
    if (off.size === 0) return refuse('not in hand', { name: stored.name }, 'fixtures')
    return done(draft, `take ${stored.name} off ${fixturesInWords(show, [...off])}`)
  },
})
