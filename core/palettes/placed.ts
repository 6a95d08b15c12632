/** Whom palettes give a place: what is checked when they are checked on the stage. */
import { LEADING } from '../attributes/catalogue'
import { derivedEach } from '../show/derived'
import type { FixtureId, PaletteId } from '../show/ids'
import { RIG_KINDS, rigOf, typedFixtures, type RigKind, type RiggedFixture } from '../show/rig'
import type { ShowPart } from '../show/show'
import { recordedWith } from './recorded'
import { contentsOf, storedFor } from './resolve'
import { servedBy } from './use'

/** The heads whose place a palette itself stores, as an aim or as angles, by number: not those it passes on to another palette. */
export const placedBy = derivedEach(
  ['paletteValue', ...RIG_KINDS],
  (show, palette: PaletteId): readonly RiggedFixture[] =>
    servedBy(show, palette).filter((rigged) => {
      const kind = rigged.bar === null ? storedFor(show, palette, rigged, LEADING.place)?.value.kind : undefined
      return kind === 'aim' || kind === 'angles'
    }),
)

const CHECKED_KINDS = ['paletteValue', 'recordedFixture', ...RIG_KINDS] as const

/**
 * The heads a palette is checked with here: those it places that it was recorded with or holds a
 * place of their own for; where there are none such, everyone it places.
 */
export const checkedWith = derivedEach(CHECKED_KINDS, (show, palette: PaletteId): readonly RiggedFixture[] => {
  const placed = placedBy(show, palette)
  const recorded = recordedWith(show, palette)
  const meant = placed.filter(
    (rigged) => recorded.has(rigged.id) || storedFor(show, palette, rigged, LEADING.place)?.fixture === rigged.id,
  )
  return meant.length > 0 ? meant : placed
})

/** Those a palette was recorded with, or holds a place of their own for, that do not hang here and are played by no other, by number. */
export function missingHere(
  show: ShowPart<'paletteValue' | 'recordedFixture' | RigKind>,
  palette: PaletteId,
): readonly FixtureId[] {
  const own = contentsOf(show).get(palette)?.own.get(LEADING.place)?.keys() ?? []
  const meant = new Set<string>([...recordedWith(show, palette), ...own])
  const rig = rigOf(show)
  return [...typedFixtures(show).values()].filter(({ id }) => meant.has(id) && !rig.has(id)).map(({ id }) => id)
}
