/**
 * Sets a hang, or a fixture on it, to where it really is at the venue in play. Heads that were touched up
 * there stay as they are turned: their touch-ups become what is left to correct, and go where that is nothing.
 */
import { z } from 'zod'
import { fixtureOff, hangOff } from '../../geometry/rigErrors'
import { fixtureCorrectionOf, putFixtureCorrection } from '../../survey/corrections'
import { placeId } from '../../show/compositeIds'
import { Draft } from '../../show/draft'
import { fixtureId, hangId } from '../../show/ids'
import { numberOfFixture } from '../../show/cells'
import { rigOf } from '../../show/rig'
import { showRecordOf, type Show } from '../../show/show'
import { command, done, refuse, type Environment, type Outcome } from '../command'
import { keepTurned } from '../shared/keepTurned'
import { belowFloor } from '../shared/refusals'

const metres = z.number().min(-2).max(2)
const angle = z.number().min(-30).max(30)

const input = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('hang'),
    hang: hangId,
    error: z.strictObject({ x: metres, y: metres, z: metres, yaw: angle }),
  }),
  z.strictObject({
    kind: z.literal('fixture'),
    fixture: fixtureId,
    error: z.strictObject({
      ...{ along: metres, out: metres, drop: metres },
      ...{ yaw: angle, pitch: angle, roll: angle, tiltZero: angle },
    }),
  }),
])

export const trueUp = command({
  input,
  undoable: true,
  run: (show, off, environment) =>
    off.kind === 'hang' ? trueUpHang(show, off, environment) : trueUpFixture(show, off, environment),
})

type Off<K> = Extract<z.infer<typeof input>, { readonly kind: K }>

function trueUpHang(show: Show, off: Off<'hang'>, environment: Environment): Outcome {
  const id = placeId(showRecordOf(show).venue, off.hang)
  const [place, known] = [show.all.hangPlace.get(id), show.all.hang.get(off.hang)]
  if (!place || !known) return refuse('no place here', { kind: 'hang' }, 'hang')
  const { origin, yaw } = hangOff(place, off.error)
  const refusal = belowFloor(known.name, origin)
  if (refusal) return refusal
  const draft = new Draft(show).set('hangPlace', id, 'origin', origin).set('hangPlace', id, 'yaw', yaw)
  const left = keepTurned(show, draft, environment)
  return done(draft, `true up ${known.name}${left}`)
}

function trueUpFixture(show: Show, off: Off<'fixture'>, environment: Environment): Outcome {
  const rigged = rigOf(show).get(off.fixture)
  const id = placeId(showRecordOf(show).venue, rigged?.by ?? off.fixture)
  const place = show.all.fixturePlace.get(id)
  if (!rigged || !place) return refuse('no place here', { kind: 'fixture' }, 'fixture')
  const draft = new Draft(show).put('fixturePlace', id, { ...place, ...fixtureOff(place, off.error) })
  const known = fixtureCorrectionOf(show, place.venue, place.fixture)
  putFixtureCorrection(draft, { ...known, tiltZero: known.tiltZero + off.error.tiltZero })
  const left = keepTurned(show, draft, environment)
  return done(draft, `true up fixture ${numberOfFixture(show, off.fixture)}${left}`)
}
