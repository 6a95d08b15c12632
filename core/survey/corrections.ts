/** Corrections of the rig at a venue: how far it is off from its drawing. One that says nothing is none. */
import { FIXTURE_UNKNOWNS, HANG_UNKNOWNS, NO_FIXTURE_ERROR, NO_HANG_ERROR } from '../geometry/rigErrors'
import { placeId } from '../show/compositeIds'
import type { Draft } from '../show/draft'
import type { FixtureCorrection, HangCorrection } from '../show/entities'
import type { FixtureId, HangId, VenueId } from '../show/ids'
import type { ShowPart } from '../show/show'

/** What a fixture's correction says besides how far it is off. */
export type Mistakes = Pick<FixtureCorrection, 'isTurnedRound' | 'isPanInverted' | 'isTiltInverted'>
const NO_MISTAKES: Mistakes = { isTurnedRound: false, isPanInverted: false, isTiltInverted: false }

export function hangCorrectionOf(show: ShowPart<'hangCorrection'>, venue: VenueId, hang: HangId): HangCorrection {
  return show.all.hangCorrection.get(placeId(venue, hang)) ?? { venue, hang, ...NO_HANG_ERROR }
}

/** `fixture` is the one that hangs, a substitute by its own id. */
export function fixtureCorrectionOf(
  show: ShowPart<'fixtureCorrection'>,
  venue: VenueId,
  fixture: FixtureId,
): FixtureCorrection {
  const known = show.all.fixtureCorrection.get(placeId(venue, fixture))
  return known ?? { venue, fixture, ...NO_FIXTURE_ERROR, ...NO_MISTAKES }
}

export function putHangCorrection(draft: Draft, correction: HangCorrection): void {
  const id = placeId(correction.venue, correction.hang)
  if (HANG_UNKNOWNS.some((key) => correction[key] !== 0)) draft.put('hangCorrection', id, correction)
  else draft.remove('hangCorrection', id)
}

export function putFixtureCorrection(draft: Draft, correction: FixtureCorrection): void {
  const id = placeId(correction.venue, correction.fixture)
  const { isTurnedRound, isPanInverted, isTiltInverted } = correction
  const isMistaken = isTurnedRound || isPanInverted || isTiltInverted
  if (isMistaken || FIXTURE_UNKNOWNS.some((key) => correction[key] !== 0))
    draft.put('fixtureCorrection', id, correction)
  else draft.remove('fixtureCorrection', id)
}
