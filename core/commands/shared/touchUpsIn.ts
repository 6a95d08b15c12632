/** Touch-ups as commands write and name them. */
import { z } from 'zod'
import { touchUpId } from '../../show/compositeIds'
import type { Draft } from '../../show/draft'
import { fixtureId, paletteId, venueId, type FixtureId, type PaletteId } from '../../show/ids'
import { showRecordOf, type Show } from '../../show/show'
import { putTouchUp, removeTouchUp } from '../../palettes/touchUps'
import type { Touch, Untouchable } from '../../refocus/touchUpBy'
import type { Environment, Outcome } from '../command'
import { refuse } from '../command'

/** Names touch-ups by their venue, palette and fixture. */
export const touchUps = z
  .array(z.strictObject({ venue: venueId, palette: paletteId, fixture: fixtureId }))
  .min(1)
  .max(10_000)

export function touchUpsNamed(show: Show, named: z.infer<typeof touchUps>) {
  return named.flatMap(({ venue, palette, fixture }) => show.all.touchUp.get(touchUpId(venue, palette, fixture)) ?? [])
}

/** Below this nothing is touched up: a tenth of a millimetre, a thousandth of a degree. */
export const isNothing = ({ offset, pan, tilt }: Touch) =>
  Math.max(Math.abs(offset.x), Math.abs(offset.y), Math.abs(offset.z)) < 1e-4 &&
  Math.max(Math.abs(pan), Math.abs(tilt)) < 1e-3

/** Touches up a fixture in a palette in the venue in play; what comes to nothing is taken away. */
export function touchHere(
  show: Show,
  draft: Draft,
  { person, now }: Environment,
  { palette, fixture, touch }: { readonly palette: PaletteId; readonly fixture: FixtureId; readonly touch: Touch },
): void {
  const { venue } = showRecordOf(show)
  const known = show.all.touchUp.get(touchUpId(venue, palette, fixture))
  const { offset, pan, tilt } = touch
  if (!isNothing(touch))
    putTouchUp(draft, { venue, palette, fixture, offset, pan, tilt, by: person, at: now, note: known?.note ?? '' })
  else if (known) removeTouchUp(draft, known)
}

/** Refuses what cannot be touched up. */
export function refuseToTouch(show: Show, why: Untouchable, palette: string, fixture: string): Outcome {
  const number = show.all.fixture.get(fixture)?.number ?? 0
  if (why === 'lands nowhere') return refuse('lands nowhere', { fixture: number }, 'fixtures')
  return refuse('touches nothing', { name: show.all.palette.get(palette)?.name ?? '', fixture: number }, 'fixtures')
}
