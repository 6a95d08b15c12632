/**
 * Sets how hangs and heads of the venue in play are off from their drawing, in all: as corrections over
 * it, or as the drawing itself. Heads that were touched up stay turned as they are.
 */
import { z } from 'zod'
import { fixtureOff, hangOff, NO_FIXTURE_ERROR, NO_HANG_ERROR } from '../../geometry/rigErrors'
import { fixtureErrorFields, hangErrorFields, mistakeFields } from '../../show/entities'
import { placeId } from '../../show/compositeIds'
import { Draft } from '../../show/draft'
import { fixtureId, hangId, type VenueId } from '../../show/ids'
import { numberOfFixture } from '../../show/cells'
import { showRecordOf, type Show } from '../../show/show'
import {
  fixtureCorrectionOf,
  hangCorrectionOf,
  putFixtureCorrection,
  putHangCorrection,
} from '../../survey/corrections'
import { command, done, refuse, type Outcome } from '../command'
import { keepTurned } from '../shared/keepTurned'
import { namesInWords } from '../shared/wording'

const input = z.strictObject({
  hangs: z.array(z.strictObject({ hang: hangId, error: z.strictObject(hangErrorFields) })),
  /** Fixtures as they hang: a substitute by its own id. Mistakes that are left out stay as they are known. */
  fixtures: z.array(
    z.strictObject({
      fixture: fixtureId,
      error: z.strictObject(fixtureErrorFields),
      mistakes: z.strictObject(mistakeFields).optional(),
    }),
  ),
  as: z.enum(['correction', 'drawing']),
})
type Input = z.infer<typeof input>

export const correctRig = command({
  input,
  undoable: true,
  run(show, { hangs, fixtures, as }, environment) {
    const { venue } = showRecordOf(show)
    const draft = new Draft(show)
    const names: string[] = []
    for (const one of hangs) {
      const found = correctHang(show, draft, venue, one, as)
      if (typeof found !== 'string') return found
      names.push(found)
    }
    for (const one of fixtures) {
      const found = correctFixture(show, draft, venue, one, as)
      if (typeof found !== 'string') return found
      if (hangs.length === 0) names.push(found)
    }
    const left = keepTurned(show, draft, environment)
    return done(draft, `${as === 'drawing' ? 'draw' : 'correct'} ${namesInWords(names)}${left}`)
  },
})

function correctHang(
  show: Show,
  draft: Draft,
  venue: VenueId,
  { hang, error }: Input['hangs'][number],
  as: Input['as'],
): Outcome | string {
  const id = placeId(venue, hang)
  const [place, known] = [show.all.hangPlace.get(id), show.all.hang.get(hang)]
  if (!place || !known) return refuse('no place here', { kind: 'hang' }, 'hangs')
  const { origin, yaw } = hangOff(place, error)
  if (as === 'drawing' && origin.z < 0) return refuse('below floor', { name: known.name, metres: -origin.z }, 'hangs')
  if (as === 'correction') putHangCorrection(draft, { ...hangCorrectionOf(show, venue, hang), ...error })
  else {
    draft.set('hangPlace', id, 'origin', origin).set('hangPlace', id, 'yaw', yaw)
    putHangCorrection(draft, { venue, hang, ...NO_HANG_ERROR })
  }
  return known.name
}

function correctFixture(
  show: Show,
  draft: Draft,
  venue: VenueId,
  { fixture, error, mistakes }: Input['fixtures'][number],
  as: Input['as'],
): Outcome | string {
  const id = placeId(venue, fixture)
  const place = show.all.fixturePlace.get(id)
  if (!place) return refuse('no place here', { kind: 'fixture' }, 'fixtures')
  const correction = { ...fixtureCorrectionOf(show, venue, fixture), ...error, ...mistakes }
  if (as === 'correction') putFixtureCorrection(draft, correction)
  else {
    const hung = fixtureOff(place, error)
    const round = correction.isTurnedRound ? 180 : 0
    draft.put('fixturePlace', id, { ...place, ...hung, yaw: withinTurn(hung.yaw + round) })
    // A drawing says how things hang, not how their motors stand.
    putFixtureCorrection(draft, { ...correction, ...NO_FIXTURE_ERROR, tiltZero: error.tiltZero, isTurnedRound: false })
  }
  return `fixture ${numberOfFixture(show, fixture)}`
}

const withinTurn = (degrees: number) => (degrees > 180 ? degrees - 360 : degrees)
