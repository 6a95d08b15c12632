/** Palettes made at once from what a type has. */
import { z } from 'zod'
import { numberAttributeId } from '../../attributes/attribute'
import { palettesOfType } from '../../palettes/fromType'
import { chosenInWords } from '../../palettes/meanings'
import { putReaching } from '../../palettes/reach'
import { Draft } from '../../show/draft'
import { entryNumber } from '../../show/entities'
import { fixtureTypeId, paletteId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { freeNumbers } from '../../show/freeNumbers'
import { gone } from '../shared/refusals'
import { putNewPalette } from '../shared/newPalette'

export const makePalettesFromType = command({
  input: z.strictObject({
    type: fixtureTypeId,
    part: numberAttributeId,
    numberFrom: entryNumber,
    /** Which of them, counted from 0; null for all. */
    only: z.array(z.number().int().min(0)).nullable(),
  }),
  undoable: true,
  run(show, { type, part, numberFrom, only }, { newId }) {
    const known = show.all.fixtureType.get(type)
    if (!known) return gone('fixtureType', 'type')
    const offered = palettesOfType(show, type, part).filter((_, i) => only === null || only.includes(i))
    if (offered.length === 0) return refuse('nothing to make from', { name: known.name }, 'part')
    const numbers = freeNumbers(show.all.palette.values(), numberFrom, offered.length)
    const draft = new Draft(show)
    for (const [i, { name, shelf, colour, values }] of offered.entries()) {
      const id = paletteId.parse(newId())
      putNewPalette(show, draft, id, { number: numbers[i] ?? numberFrom, name, colour, shelf })
      putReaching(show, draft, id, values, { merge: [] })
    }
    const chosen = offered.flatMap((palette) => palette.chosen)
    const suffix = chosen.length ? ` (${chosenInWords(show, chosen)})` : ''
    return done(draft, `make ${offered.length} palettes from ${known.name}${suffix}`)
  },
})
