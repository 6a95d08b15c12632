/**
 * Writes what was changed in hand back to the palettes it came from: all of them, or those chosen.
 * The hand holds links to them again, and every cue follows.
 */
import { z } from 'zod'
import { setInHand } from '../../hand/setInHand'
import { putReaching } from '../../palettes/reach'
import { noteRecorded } from '../../palettes/recorded'
import { adjustedInHand, updating } from '../../palettes/update'
import { Draft } from '../../show/draft'
import { paletteId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { spendMask } from '../shared/takenFromHand'
import { fixturesInWords } from '../shared/wording'

export const updatePalettes = command({
  input: z.strictObject({
    /** Null for every palette something in hand came from. */
    palettes: z.array(paletteId).min(1).nullable(),
  }),
  undoable: true,
  run(show, { palettes }, { person }) {
    const adjusted = [...adjustedInHand(show, person)].filter(([id]) => palettes === null || palettes.includes(id))
    const [first] = adjusted
    if (!first) return refuse('nothing changed', {}, 'palettes')
    const draft = new Draft(show)
    for (const [palette, values] of adjusted) {
      putReaching(show, draft, palette, updating(show, palette, values), { merge: [] })
      noteRecorded(draft, palette, new Set(values.map(({ fixture }) => fixture)))
      for (const { fixture, attribute, through } of values)
        setInHand(draft, person, fixture, attribute, { kind: 'link', palette: through })
    }
    spendMask(show, draft, person)
    const fixtures = [...new Set(adjusted.flatMap(([, values]) => values.map(({ fixture }) => fixture)))]
    const name = show.all.palette.get(first[0])?.name ?? ''
    const others = adjusted.length - 1
    const what = others === 0 ? name : `${name} and ${others} more`
    return done(draft, `update ${what} (${fixturesInWords(show, fixtures)})`)
  },
})
