/** Renames, colours, notes, moves to another shelf, or sets mask and time of a palette. */
import { Draft } from '../../show/draft'
import { palette as paletteSchema } from '../../show/entities'
import { paletteId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { paletteNumberInUse } from '../shared/paletteNumbers'
import { definedFields } from '../shared/definedFields'
import { gone } from '../shared/refusals'
import { listInWords } from '../../show/listInWords'

const FIELDS = ['number', 'name', 'colour', 'symbol', 'shelf', 'take', 'heldBack', 'note', 'time'] as const
const IN_WORDS: Readonly<Partial<Record<(typeof FIELDS)[number], string>>> = { take: 'mask', heldBack: 'mask' }

export const changePalette = command({
  input: paletteSchema.partial().extend({ palette: paletteId }),
  undoable: true,
  run(show, { palette, ...fields }) {
    const known = show.all.palette.get(palette)
    if (!known) return gone('palette', 'palette')
    const refusal = fields.number === undefined ? null : paletteNumberInUse(show, fields.number, palette)
    if (refusal) return refusal
    if (fields.take?.length === 0) return refuse('takes nothing', { name: known.name }, 'take')
    const draft = new Draft(show).put('palette', palette, { ...known, ...definedFields(fields) })
    const what = FIELDS.filter((field) => fields[field] !== undefined).map((field) => IN_WORDS[field] ?? field)
    return done(draft, `change the ${listInWords([...new Set(what)])} of ${known.name}`)
  },
})
