/** Links that a palette would no longer answer: they keep what it gave them, as plain values. */
import type { Draft } from '../show/draft'
import type { Attribute } from '../show/families'
import { rigOf, type RiggedFixture } from '../show/rig'
import type { FixtureId, PaletteId } from '../show/ids'
import type { PlainValue } from '../show/values'
import { madeOf } from '../show/links'
import { paletteValueFor, paletteValueId, resolveValue } from './resolve'

/** How many values no longer come from the palette they were linked to. */
export interface StayingLoose {
  readonly inCues: number
  readonly inHand: number
}

/**
 * Keeps the light of everything that links to a palette for what a draft takes out of it. Returns
 * how many values of cues and of hands stay as loose ones.
 */
export function keepUnserved(draft: Draft, palette: PaletteId): StayingLoose {
  const before = draft.before
  const after = draft.result()
  const rig = rigOf(before)
  const isLost = (rigged: RiggedFixture, attribute: Attribute) =>
    paletteValueFor(before, palette, rigged, attribute) !== null &&
    paletteValueFor(after, palette, rigged, attribute) === null
  const given = (fixture: FixtureId, attribute: Attribute): PlainValue | null => {
    const rigged = rig.get(fixture)
    return rigged && isLost(rigged, attribute)
      ? resolveValue(before, rigged, attribute, { kind: 'link', palette }).value
      : null
  }
  const loose = { cueValue: 0, handValue: 0 }
  for (const kind of ['cueValue', 'handValue'] as const)
    for (const [id, held] of after.all[kind]) {
      if (held.value.kind !== 'link' || held.value.palette !== palette) continue
      const value = given(held.fixture, held.attribute)
      if (!value) continue
      draft.put(kind, id, { ...held, value })
      loose[kind] += 1
    }
  if (madeOf(before, palette).length > 0) keepInWholes(draft, palette, rig, given)
  return { inCues: loose.cueValue, inHand: loose.handValue }
}

/** Palettes made of it get a value of their own for each fixture that loses one. */
function keepInWholes(
  draft: Draft,
  palette: PaletteId,
  rig: ReadonlyMap<string, RiggedFixture>,
  given: (fixture: FixtureId, attribute: Attribute) => PlainValue | null,
) {
  const { all } = draft.before
  for (const stored of all.paletteValue.values()) {
    if (stored.value.kind !== 'link' || stored.value.palette !== palette) continue
    for (const rigged of rig.values()) {
      const isMeant =
        (stored.fixture === null || stored.fixture === rigged.id) &&
        (stored.fixtureType === null || stored.fixtureType === rigged.fixture.type)
      const own = paletteValueId(stored.palette, stored.attribute, { own: rigged.id })
      const value =
        isMeant && (stored.fixture !== null || !all.paletteValue.has(own)) ? given(rigged.id, stored.attribute) : null
      if (value) draft.put('paletteValue', own, { ...stored, fixture: rigged.id, fixtureType: null, value })
    }
  }
}
