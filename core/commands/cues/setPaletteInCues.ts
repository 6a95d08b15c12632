/** Links cells to a palette: everything it holds for each fixture. */
import { z } from 'zod'
import { setInCues, WHERE } from '../../cues/editing'
import type { Setting } from '../../cues/marks'
import { attributesServed } from '../../palettes/resolve'
import { Draft } from '../../show/draft'
import { paletteId } from '../../show/ids'
import { rigOf } from '../../show/rig'
import { command, done, refuse } from '../command'
import { noCue } from '../shared/cueListOf'
import { gone } from '../shared/refusals'
import { fixturesInWords } from '../shared/wording'
import { areCuesGone, cues, cuesInWords } from '../shared/chosenCues'
import { fixtures } from '../shared/fixtureChoice'

export const setPaletteInCues = command({
  input: z.strictObject({ cues, fixtures, palette: paletteId, where: z.enum(WHERE) }),
  undoable: true,
  run(show, { cues: into, fixtures: whose, palette, where }) {
    if (areCuesGone(show, into)) return noCue()
    const known = show.all.palette.get(palette)
    if (!known) return gone('palette', 'palette')
    const value = { kind: 'link', palette } as const
    const settings = whose.flatMap((fixture) => {
      const rigged = rigOf(show).get(fixture)
      const served = rigged ? attributesServed(show, palette, rigged) : []
      return into.flatMap((cue) => served.map((attribute): Setting => ({ cue, fixture, attribute, value })))
    })
    if (settings.length === 0) return refuse('serves none', { name: known.name }, 'palette')
    const draft = new Draft(show)
    setInCues(show, draft, settings, where)
    return done(draft, `${known.name} for ${fixturesInWords(show, whose)} in ${cuesInWords(show, into)}`)
  },
})
