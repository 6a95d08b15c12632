/**
 * Records what is in hand into a palette that is there: merged over what it holds, or instead of it.
 * The palette's own mask and the person's say what is taken.
 */
import { z } from 'zod'
import { setInHand } from '../../hand/setInHand'
import { completed, EMPTY, type Room } from '../../palettes/meanings'
import { putReaching, reaching, REACHES } from '../../palettes/reach'
import { forgetRecorded, noteRecorded, recordedWith } from '../../palettes/recorded'
import { contentsOf } from '../../palettes/resolve'
import { withoutTouchUps } from '../../palettes/touchUps'
import { keepUnserved } from '../../palettes/unserved'
import { storable, updating } from '../../palettes/update'
import { Draft } from '../../show/draft'
import { familyOf } from '../../attributes/attribute'
import { FAMILIES } from '../../attributes/families'
import { paletteId, workingSetId, type PaletteId } from '../../show/ids'
import { maskInWords } from '../../show/masks'
import { typedFixtures, type TypedFixture } from '../../show/rig'
import type { Show } from '../../show/show'
import { command, done, refuse } from '../command'
import { gone, linkTrouble } from '../shared/refusals'
import { spendMask, takenFromHand, taking } from '../shared/takenFromHand'
import { fixturesInWords, looseInWords } from '../shared/wording'
import { listInWords } from '../../show/listInWords'
import type { FixtureValue } from '../../show/fixtureValue'

/** What a palette holds that was recorded from fixtures it concerns, and not only worked out from others. */
function recordedIn(show: Show, palette: PaletteId): Room['holds'] {
  const contents = contentsOf(show).get(palette)
  const recorded = [...recordedWith(show, palette)].flatMap((fixture) => typedFixtures(show).get(fixture) ?? [])
  return (whom, attribute) => {
    const isHeld = whom === 'any' ? contents?.any.has(attribute) : contents?.kind.get(attribute)?.has(whom)
    const isConcerned = ({ fixture, type }: TypedFixture) =>
      whom === 'any' ? type.has.includes(attribute) : fixture.type === whom
    return isHeld === true && recorded.some(isConcerned)
  }
}

export const storeInPalette = command({
  input: z.strictObject({
    palette: paletteId,
    how: z.enum(['merge', 'replace']),
    /** `where it stands` changes values for a type or for any as they are, when all they serve change alike. */
    reach: z.enum([...REACHES, 'where it stands']),
    workingSet: workingSetId.nullable().optional(),
  }),
  undoable: true,
  run(show, { palette, how, reach, workingSet }, { person }) {
    const known = show.all.palette.get(palette)
    if (!known) return gone('palette', 'palette')
    const { values } = takenFromHand(show, person, known, workingSet)
    const stored = values.flatMap((held): FixtureValue[] => {
      const isItself = held.value.kind === 'link' && held.value.palette === palette
      const value = isItself ? null : storable(show, known.shelf, held)
      const { fixture, attribute } = held
      return value ? [{ fixture, attribute, value: withoutTouchUps(show, palette, { fixture, attribute, value }) }] : []
    })
    if (stored.length === 0) return refuse('nothing new to it', { name: known.name, mask: maskInWords(known) })
    const draft = new Draft(show)
    const placed = reach === 'where it stands' ? updating(show, palette, stored) : reaching(show, stored, reach)
    const takes = taking(show, person, known)
    const holds = how === 'merge' ? recordedIn(show, palette) : EMPTY.holds
    const all = reach === 'usual' ? completed(show, placed, { takes, holds }).values : placed
    putReaching(show, draft, palette, all, how === 'replace' ? { replace: takes } : { merge: stored })
    const fixtures = new Set(stored.map(({ fixture }) => fixture))
    if (how === 'replace') forgetRecorded(show, draft, palette, (fixture) => !fixtures.has(fixture))
    noteRecorded(draft, palette, fixtures)
    const trouble = linkTrouble(draft.result(), [palette])
    if (trouble) return trouble
    const loose = how === 'replace' ? keepUnserved(draft, palette) : { inCues: 0, inHand: 0 }
    for (const { fixture, attribute } of stored) setInHand(draft, person, fixture, attribute, { kind: 'link', palette })
    spendMask(show, draft, person)
    const families = FAMILIES.filter((family) => stored.some(({ attribute }) => familyOf(attribute) === family))
    const what = `${listInWords(families)} of ${fixturesInWords(show, [...fixtures])}`
    const verb = how === 'merge' ? `merge ${what} into` : `replace with ${what} what is in`
    return done(draft, `${verb} ${known.name}${looseInWords(loose)}`)
  },
})
