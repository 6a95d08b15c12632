/**
 * Records a new palette from the hand. The shelf decides what may be taken at all, the person's
 * take mask narrows it further. The hand then holds links to the palette, so that a cue recorded
 * next follows it.
 */
import { handValueId } from '../cues/onStage'
import { paletteValueId, resolveValue } from '../palettes/resolve'
import { Draft } from '../show/draft'
import { palette as paletteSchema } from '../show/entities'
import { SHELF_TAKES } from '../show/families'
import { paletteId, workingSetId } from '../show/ids'
import { rigOf } from '../show/rig'
import { command, done, refuse } from './command'
import { takenFromHand } from './taken'
import { fixturesInWords, listInWords } from './wording'

export const recordPalette = command({
  input: paletteSchema
    .pick({ number: true, name: true, colour: true, shelf: true })
    .extend({ workingSet: workingSetId.nullable().optional() }),
  undoable: true,
  run(show, { number, name, colour, shelf, workingSet }, { person, newId }) {
    for (const existing of show.all.palette.values()) {
      if (existing.number === number)
        return refuse('number taken', `Number ${number} is ${existing.name}. Choose another number.`, 'number')
    }
    const { values, families, fixtures } = takenFromHand(show, person, SHELF_TAKES[shelf], workingSet)
    if (values.length === 0)
      return refuse(
        'nothing to take',
        `Nothing in hand belongs in a ${shelf} palette: it takes ${listInWords(SHELF_TAKES[shelf])}. Check the take switches.`,
        'shelf',
      )
    const id = paletteId.parse(newId())
    const draft = new Draft(show)
    draft.put('palette', id, { number, name, colour, symbol: null, shelf, take: [...SHELF_TAKES[shelf]] })
    for (const { fixture, attribute, value } of values) {
      const rigged = rigOf(show).get(fixture)
      const plain = rigged ? resolveValue(show, rigged, attribute, value).value : null
      if (plain === null) continue
      const stored = shelf === 'combined' && value.kind === 'link' ? value : plain
      draft.put('paletteValue', paletteValueId(id, attribute, { own: fixture }), {
        palette: id,
        fixture,
        fixtureType: null,
        attribute,
        value: stored,
      })
      draft.put('handValue', handValueId(person, fixture, attribute), {
        person,
        fixture,
        attribute,
        value: { kind: 'link', palette: id },
      })
    }
    return done(draft.changes(), `record ${name} (${listInWords(families)} of ${fixturesInWords(show, fixtures)})`)
  },
})
