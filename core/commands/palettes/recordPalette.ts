/**
 * Records a new palette from the hand. The shelf decides what may be taken at all, the person's
 * take mask narrows it further. The hand then holds links to the palette, so that a cue recorded
 * next follows it.
 */
import { z } from 'zod'
import { setInHand } from '../../hand/setInHand'
import { chosenInWords, completed, EMPTY } from '../../palettes/meanings'
import { putReaching, reaching, REACHES } from '../../palettes/reach'
import { noteRecorded } from '../../palettes/recorded'
import { storable } from '../../palettes/update'
import { Draft } from '../../show/draft'
import { palette as paletteSchema } from '../../show/entities'
import { paletteId, workingSetId } from '../../show/ids'
import { maskInWords, shelfMaskOf } from '../../show/masks'
import { command, done, refuse } from '../command'
import { paletteNumberInUse } from '../shared/paletteNumbers'
import { linkTrouble } from '../shared/refusals'
import { spendMask, takenFromHand, taking } from '../shared/takenFromHand'
import { fixturesInWords } from '../shared/wording'
import { listInWords } from '../../show/listInWords'
import type { FixtureValue } from '../../show/fixtureValue'

export const recordPalette = command({
  input: paletteSchema.pick({ number: true, name: true, colour: true, shelf: true }).extend({
    workingSet: workingSetId.nullable().optional(),
    /** Whom the values are to serve; the very fixtures where nothing is said. */
    reach: z.enum(REACHES).optional(),
    ...paletteSchema.pick({ symbol: true, note: true, time: true }).partial().shape,
  }),
  undoable: true,
  run(show, input, { person, newId }) {
    const { number, name, colour, shelf, workingSet, reach = 'own', symbol = null, note = '', time = null } = input
    const refusal = paletteNumberInUse(show, number)
    if (refusal) return refusal
    const mask = shelfMaskOf(show, shelf)
    const { values, families, fixtures } = takenFromHand(show, person, mask, workingSet)
    if (values.length === 0) return refuse('nothing for shelf', { shelf, mask: maskInWords(mask) }, 'shelf')
    const id = paletteId.parse(newId())
    const draft = new Draft(show)
    draft.put('palette', id, {
      number,
      name,
      colour,
      symbol,
      shelf,
      take: [...mask.take],
      heldBack: [...mask.heldBack],
      note,
      time,
    })
    const stored = values.flatMap((held): FixtureValue[] => {
      const value = storable(show, shelf, held)
      return value ? [{ fixture: held.fixture, attribute: held.attribute, value }] : []
    })
    const placed = reaching(show, stored, reach)
    const { values: all, chosen } =
      reach === 'own'
        ? { values: placed, chosen: [] }
        : completed(show, placed, { ...EMPTY, takes: taking(show, person, mask) })
    putReaching(show, draft, id, all, { merge: [] })
    noteRecorded(draft, id, new Set(stored.map(({ fixture }) => fixture)))
    const trouble = linkTrouble(draft.result(), [id])
    if (trouble) return trouble
    for (const { fixture, attribute } of stored)
      setInHand(draft, person, fixture, attribute, { kind: 'link', palette: id })
    spendMask(show, draft, person)
    const suffix = chosen.length ? `; ${chosenInWords(show, chosen)}` : ''
    return done(draft, `record ${name} (${listInWords(families)} of ${fixturesInWords(show, fixtures)}${suffix})`)
  },
})
