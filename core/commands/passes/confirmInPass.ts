/** Finds fixtures of a palette right where they are: a check of the pass. */
import { z } from 'zod'
import { checkedWith } from '../../palettes/placed'
import { poseBy } from '../../refocus/pass'
import { passCheckId } from '../../show/compositeIds'
import { Draft } from '../../show/draft'
import { fixtureId, paletteId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { onPaletteInPass, sayInPass } from '../shared/inPass'
import { fixturesInWords } from '../shared/wording'

export const confirmInPass = command({
  input: z.strictObject({
    palette: paletteId,
    /** Null for all that are checked. */
    fixtures: z.array(fixtureId).min(1).nullable(),
  }),
  undoable: true,
  run: (show, { palette, fixtures }, { person, now }) =>
    onPaletteInPass(show, palette, (pass, name) => {
      const all = checkedWith(show, palette)
      const asked = fixtures === null ? all : all.filter(({ id }) => fixtures.includes(id))
      if (asked.length === 0) return refuse('serves none', { name }, 'fixtures')
      const draft = new Draft(show)
      for (const rigged of asked) {
        const { pan, tilt } = poseBy(show, palette, rigged)
        const check = { pass, palette, fixture: rigged.id, pan, tilt, by: person, at: Math.round(now) }
        draft.put('passCheck', passCheckId(pass, palette, rigged.id), check)
      }
      const isKnown = (id: string) =>
        asked.some((one) => one.id === id) || show.all.passCheck.has(passCheckId(pass, palette, id))
      if (all.every(({ id }) => isKnown(id))) sayInPass(draft, pass, palette, { mark: null })
      const whom =
        asked.length === all.length
          ? ''
          : `, ${fixturesInWords(
              show,
              asked.map(({ id }) => id),
            )}`
      return done(draft, `find ${name} right${whom}`)
    }),
})
