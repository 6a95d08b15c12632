/** Keeps what was changed of the palette that is open in the hand. */
import equal from 'fast-deep-equal'
import { z } from 'zod'
import { noteRecorded } from '../../palettes/recorded'
import { putReaching } from '../../palettes/reach'
import { paletteValueFor, resolveValue } from '../../palettes/resolve'
import { withoutTouchUps } from '../../palettes/touchUps'
import { storable, updating } from '../../palettes/update'
import { servedBy } from '../../palettes/use'
import { Draft } from '../../show/draft'
import { paletteId } from '../../show/ids'
import { lets } from '../../show/masks'
import type { Show } from '../../show/show'
import { command, done, refuse } from '../command'
import { linkTrouble } from '../shared/refusals'
import { fixturesInWords } from '../shared/wording'
import { handEntriesOf } from '../shared/handEntries'
import type { FixtureValue } from '../../show/fixtureValue'

export const keepPalette = command({
  input: z.strictObject({}),
  undoable: true,
  run(show, _, { person }) {
    const palette = show.all.person.get(person)?.editing ?? null
    const known = palette && show.all.palette.get(palette)
    if (!palette || !known) return refuse('none open', {})
    const held = handEntriesOf(show, person).filter(([, { attribute }]) => lets(known, attribute))
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

/** What the palette would store, when that differs from what it gives the fixture now. */
function changedValue(show: Show, palette: string, shelf: string, held: FixtureValue): FixtureValue[] {
  const value = storable(show, shelf, held)
  const rigged = servedBy(show, paletteId.parse(palette)).find(({ id }) => id === held.fixture)
  const stored = rigged ? paletteValueFor(show, palette, rigged, held.attribute) : null
  const now =
    stored && shelf !== 'combined' && rigged ? resolveValue(show, rigged, held.attribute, stored).value : stored
  if (!value || equal(value, now)) return []
  return [{ ...held, value: withoutTouchUps(show, palette, { ...held, value }) }]
}
