/** Makes a palette spread a group along a line or ring, by a rule that holds for members to come. */
import { putSpread } from '../../groups/paletteSpreads'
import { keepUnserved } from '../../palettes/unserved'
import { Draft } from '../../show/draft'
import { paletteSpread } from '../../show/entities'
import { membersOf } from '../../show/rig'
import { command, done, refuse } from '../command'
import { gone } from '../shared/refusals'
import { looseInWords } from '../shared/wording'

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
    if (along.form.kind === 'point') return refuse('a point', { name: along.name }, 'target')
    const draft = new Draft(show).put('paletteSpread', palette, { palette, group, target, lay })
    putSpread(show, draft, { palette, target, lay }, membersOf(show).get(group) ?? [])
    const loose = keepUnserved(draft, palette)
    return done(draft, `spread ${whom.name} along ${along.name} in ${known.name}${looseInWords(loose)}`)
  },
})
