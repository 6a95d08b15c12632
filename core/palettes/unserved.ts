/** Links that a palette would no longer answer: they keep what it gave them, as plain values. */
import { paletteValueId } from '../show/compositeIds'
import type { Draft } from '../show/draft'
import type { Attribute } from '../attributes/attribute'
import { typedFixtures } from '../show/rig'
import type { PaletteId } from '../show/ids'
import type { PlainValue } from '../show/values'
import { madeOf } from '../show/links'
import { paletteValueFor, resolveValue, servedByValue, type Served } from './resolve'

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
  const fixtures = typedFixtures(before)
  const isLost = (served: Served, attribute: Attribute) =>
    paletteValueFor(before, palette, served, attribute) !== null &&
    paletteValueFor(after, palette, served, attribute) === null
  const lostValue = (served: Served | undefined, attribute: Attribute): PlainValue | null =>
    served && isLost(served, attribute)
      ? resolveValue(before, served, attribute, { kind: 'link', palette }).value
      : null
  const loose = { cueValue: 0, handValue: 0 }
  for (const kind of ['cueValue', 'handValue'] as const)
    for (const [id, held] of after.all[kind]) {
      if (held.value.kind !== 'link' || held.value.palette !== palette) continue
      const value = lostValue(fixtures.get(held.fixture), held.attribute)
      if (!value) continue
      draft.put(kind, id, { ...held, value })
      loose[kind] += 1
    }
  if (madeOf(before, palette).length > 0) keepInWholes(draft, palette, lostValue)
  return { inCues: loose.cueValue, inHand: loose.handValue }
}

/** Palettes made of it get a value of their own for each fixture that loses one. */
function keepInWholes(
  draft: Draft,
  palette: PaletteId,
  lostValue: (served: Served, attribute: Attribute) => PlainValue | null,
) {
  const { before } = draft
  for (const stored of before.all.paletteValue.values()) {
    if (stored.value.kind !== 'link' || stored.value.palette !== palette) continue
    for (const served of servedByValue(before, stored)) {
      const value = lostValue(served, stored.attribute)
      const own = paletteValueId(stored.palette, stored.attribute, { own: served.id })
      if (value) draft.put('paletteValue', own, { ...stored, fixture: served.id, fixtureType: null, value })
    }
  }
}
