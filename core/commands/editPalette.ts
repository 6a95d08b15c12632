/** Opens a palette in the hand to be changed in place, and keeps or drops what was changed. */
import { handValueId } from '../show/compositeIds'
import equal from 'fast-deep-equal'
import { z } from 'zod'
import { noteRecorded } from '../palettes/recorded'
import { putReaching, type FixtureValue } from '../palettes/reach'
import { attributesServed, paletteValueFor, resolveValue } from '../palettes/resolve'
import { storable, updating } from '../palettes/update'
import { servedBy } from '../palettes/use'
import { Draft } from '../show/draft'
import type { HandValue } from '../show/entities'
import { paletteId, type PersonId } from '../show/ids'
import { lets } from '../show/masks'
import type { Show } from '../show/show'
import { command, done, refuse } from './command'
import { gone, linkTrouble } from './refusals'
import { fixturesInWords } from './wording'

export const openPalette = command({
  input: z.strictObject({ palette: paletteId }),
  undoable: true,
  run(show, { palette }, { person }) {
    const known = show.all.palette.get(palette)
    if (!known) return gone('palette', 'palette')
    const open = show.all.palette.get(show.all.person.get(person)?.editing ?? '')
    if (open) return refuse('another open', `${open.name} is open in the hand. Keep or drop it first.`)
    if (handOfPerson(show, person).length > 0)
      return refuse('hand full', `The hand holds other values. Record or clear them, then edit ${known.name}.`)
    const draft = new Draft(show).set('person', person, 'editing', palette)
    for (const rigged of servedBy(show, palette))
      for (const attribute of attributesServed(show, palette, rigged)) {
        const stored = paletteValueFor(show, palette, rigged, attribute)
        const value =
          stored && (known.shelf === 'combined' ? stored : resolveValue(show, rigged, attribute, stored).value)
        if (value)
          draft.put('handValue', handValueId(person, rigged.id, attribute), {
            person,
            fixture: rigged.id,
            attribute,
            value,
            source: value.kind === 'link' ? null : palette,
            arrival: null,
          })
      }
    return done(draft, `open ${known.name} in the hand`)
  },
})

export const keepPalette = command({
  input: z.strictObject({}),
  undoable: true,
  run(show, _, { person }) {
    const palette = show.all.person.get(person)?.editing ?? null
    const known = palette && show.all.palette.get(palette)
    if (!palette || !known) return refuse('none open', 'No palette is open in the hand.')
    const held = handOfPerson(show, person).filter(([, { attribute }]) => lets(known, attribute))
    const changed = held.flatMap(([, { fixture, attribute, value }]) =>
      changedValue(show, palette, known.shelf, { fixture, attribute, value }),
    )
    const draft = new Draft(show).set('person', person, 'editing', null)
    if (changed.length > 0) putReaching(show, draft, palette, updating(show, palette, changed), { merge: [] })
    noteRecorded(draft, palette, new Set(changed.map(({ fixture }) => fixture)))
    const trouble = linkTrouble(draft.result(), [palette])
    if (trouble) return trouble
    for (const [id] of held) draft.remove('handValue', id)
    const fixtures = [...new Set(changed.map(({ fixture }) => fixture))]
    return done(
      draft,
      changed.length > 0 ? `edit ${known.name} (${fixturesInWords(show, fixtures)})` : `close ${known.name} unchanged`,
    )
  },
})

export const dropPalette = command({
  input: z.strictObject({}),
  undoable: true,
  run(show, _, { person }) {
    const palette = show.all.person.get(person)?.editing ?? null
    if (!palette) return refuse('none open', 'No palette is open in the hand.')
    const draft = new Draft(show).set('person', person, 'editing', null)
    for (const [id] of handOfPerson(show, person)) draft.remove('handValue', id)
    return done(draft, `drop the changes to ${show.all.palette.get(palette)?.name ?? 'a palette'}`)
  },
})

function handOfPerson(show: Show, person: PersonId): [string, HandValue][] {
  return [...show.all.handValue].filter(([, held]) => held.person === person)
}

/** What the palette would store, when that differs from what it gives the fixture now. */
function changedValue(show: Show, palette: string, shelf: string, held: FixtureValue): FixtureValue[] {
  const value = storable(show, shelf, held)
  const rigged = servedBy(show, paletteId.parse(palette)).find(({ id }) => id === held.fixture)
  const stored = rigged ? paletteValueFor(show, palette, rigged, held.attribute) : null
  const now =
    stored && shelf !== 'combined' && rigged ? resolveValue(show, rigged, held.attribute, stored).value : stored
  if (!value || equal(value, now)) return []
  return [{ ...held, value }]
}
