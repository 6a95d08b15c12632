/** Makes a palette spread a group along a line or ring, by a rule that holds for members to come; or lets go of it. */
import { z } from 'zod'
import { putSpread } from '../groups/paletteSpreads'
import { keepUnserved } from '../palettes/unserved'
import { Draft } from '../show/draft'
import { paletteSpread } from '../show/entities'
import { paletteId } from '../show/ids'
import { membersOf } from '../show/rig'
import { command, done, refuse } from './command'
import { gone } from './refusals'
import { looseInWords } from './wording'

export const spreadPalette = command({
  input: paletteSpread,
  undoable: true,
  run(show, { palette, group, target, lay }) {
    const known = show.all.palette.get(palette)
    const along = show.all.target.get(target)
    const whom = show.all.group.get(group)
    if (!known) return gone('palette', 'palette')
    if (!along) return gone('target', 'target')
    if (!whom) return gone('group', 'group')
    if (along.form.kind === 'point')
      return refuse('a point', `${along.name} is a point. Choose a line or a ring.`, 'target')
    const draft = new Draft(show).put('paletteSpread', palette, { palette, group, target, lay })
    putSpread(show, draft, { palette, target, lay }, membersOf(show).get(group) ?? [])
    const loose = keepUnserved(draft, palette)
    return done(draft, `spread ${whom.name} along ${along.name} in ${known.name}${looseInWords(loose)}`)
  },
})

export const freeSpread = command({
  input: z.strictObject({ palette: paletteId }),
  undoable: true,
  run(show, { palette }) {
    const known = show.all.palette.get(palette)
    if (!known) return gone('palette', 'palette')
    const draft = new Draft(show).remove('paletteSpread', palette)
    return done(draft, `keep the places in ${known.name} without their rule`)
  },
})
