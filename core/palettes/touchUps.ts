/** Touch-ups: small corrections by hand on top of what a palette gives a fixture, each in its venue. */
import { touchUpId } from '../show/compositeIds'
import { derived } from '../show/derived'
import type { Draft } from '../show/draft'
import type { PaletteValue, TouchUp } from '../show/entities'
import type { FixtureValue } from '../show/fixtureValue'
import { touched, untouched } from '../show/perVenue'
import { showRecordOf, type Show, type ShowPart } from '../show/show'
import { isAlike } from '../show/isAlike'
import type { PlainValue, Value } from '../show/values'

/** By palette, then by fixture. */
type TouchUps = ReadonlyMap<string, ReadonlyMap<string, readonly TouchUp[]>>

/** Those told last, as long as their show is there: what has not changed since stays the same arrays. */
let newest: WeakRef<TouchUps> | null = null

const all = derived(['touchUp'], (show): TouchUps => {
  const before = newest?.deref()
  const found = new Map<string, Map<string, readonly TouchUp[]>>()
  for (const one of show.all.touchUp.values()) {
    const ofPalette = found.get(one.palette) ?? new Map<string, readonly TouchUp[]>()
    found.set(one.palette, ofPalette)
    ofPalette.set(one.fixture, [...(ofPalette.get(one.fixture) ?? []), one])
  }
  for (const [palette, ofPalette] of found)
    for (const [fixture, now] of ofPalette) {
      const then = before?.get(palette)?.get(fixture)
      if (then && isAlike(then, now)) ofPalette.set(fixture, then)
    }
  newest = new WeakRef(found)
  return found
})

const NONE: readonly TouchUp[] = []

/** The touch-ups of a fixture in a palette, in every venue; the same array as long as they are the same. */
export function touchUpsOf(show: ShowPart<'touchUp'>, palette: string, fixture: string): readonly TouchUp[] {
  return all(show).get(palette)?.get(fixture) ?? NONE
}

/** Those of a palette, fixture by fixture; the same arrays as long as they are the same. */
export function touchUpsIn(show: ShowPart<'touchUp'>, palette: string): readonly (readonly TouchUp[])[] {
  return [...(all(show).get(palette)?.values() ?? [])]
}

const known = new WeakMap<readonly TouchUp[], WeakMap<PlainValue, PlainValue>>()

/** What a palette's stored value gives a fixture: with its touch-ups; the same object as long as both are the same. */
export function withTouchUps(show: ShowPart<'touchUp'>, stored: PaletteValue, fixture: string): Value {
  const { palette, value } = stored
  if (value.kind !== 'aim' && value.kind !== 'angles') return value
  const touchUps = touchUpsOf(show, palette, fixture)
  if (touchUps.length === 0) return value
  const byValue = known.get(touchUps) ?? new WeakMap<PlainValue, PlainValue>()
  known.set(touchUps, byValue)
  const found = byValue.get(value) ?? touched(value, touchUps)
  byValue.set(value, found)
  return found
}

/** What a palette must store of a fixture for its light to be as a value has it here: less what is touched up. */
export function withoutTouchUps(show: Show, palette: string, { fixture, value }: FixtureValue): Value {
  const touchUps = touchUpsOf(show, palette, fixture)
  if (value.kind === 'link' || touchUps.length === 0) return value
  return untouched(value, touchUps, showRecordOf(show).venue)
}

/** Writes a touch-up in its place. */
export function putTouchUp(draft: Draft, touchUp: TouchUp): void {
  draft.put('touchUp', touchUpId(touchUp.venue, touchUp.palette, touchUp.fixture), touchUp)
}

export function removeTouchUp(draft: Draft, { venue, palette, fixture }: TouchUp): void {
  draft.remove('touchUp', touchUpId(venue, palette, fixture))
}
