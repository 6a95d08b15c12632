/**
 * Sets a hang, or a fixture on it, to where it really is at the venue in play. Heads that were touched up
 * there stay as they are turned: their touch-ups become what is left to correct, and go where that is nothing.
 */
import { z } from 'zod'
import { length } from '../../geometry/vector'
import { removeTouchUp } from '../../palettes/touchUps'
import { sightingsIn, type Sighting } from '../../refocus/sightings'
import { fixtureOff, hangOff } from '../../refocus/trueUp'
import { EXPLAINED, missWith } from '../../refocus/trueUpOffers'
import { touchUpId, placeId } from '../../show/compositeIds'
import { Draft } from '../../show/draft'
import { fixtureId, hangId } from '../../show/ids'
import { numberOfFixture } from '../../show/cells'
import { counted } from '../../show/counted'
import { rigOf } from '../../show/rig'
import { showRecordOf, type Show } from '../../show/show'
import { command, done, refuse, type Environment, type Outcome } from '../command'
import { belowFloor } from '../shared/refusals'
import { touchHere } from '../shared/touchUpsIn'

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
    error: z.strictObject({ along: metres, out: metres, drop: metres, yaw: angle, pitch: angle, roll: angle }),
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
  const left = keepTurned(show, draft, environment, off, ({ rigged }) => rigged.place.hang === off.hang)
  return done(draft, `true up ${known.name}${left}`)
}

function trueUpFixture(show: Show, off: Off<'fixture'>, environment: Environment): Outcome {
  const rigged = rigOf(show).get(off.fixture)
  const id = placeId(showRecordOf(show).venue, rigged?.by ?? off.fixture)
  const place = show.all.fixturePlace.get(id)
  if (!rigged || !place) return refuse('no place here', { kind: 'fixture' }, 'fixture')
  const draft = new Draft(show).put('fixturePlace', id, { ...place, ...fixtureOff(place, off.error) })
  const left = keepTurned(show, draft, environment, off, (sighting) => sighting.rigged.id === off.fixture)
  return done(draft, `true up fixture ${numberOfFixture(show, off.fixture)}${left}`)
}

/** Leaves heads that were touched up as they are turned; in words, how many touch-ups that takes away. */
function keepTurned(
  show: Show,
  draft: Draft,
  environment: Environment,
  off: Off<'hang'> | Off<'fixture'>,
  isMeant: (sighting: Sighting) => boolean,
): string {
  const { venue } = showRecordOf(show)
  let gone = 0
  for (const sighting of sightingsIn(show)) {
    const { palette, rigged, isTouchedUp } = sighting
    const known = show.all.touchUp.get(touchUpId(venue, palette, rigged.id))
    if (!isTouchedUp || !known || !isMeant(sighting)) continue
    const offset = missWith(off, sighting)
    if (length(offset) < EXPLAINED) {
      removeTouchUp(draft, known)
      gone += 1
    } else touchHere(show, draft, environment, { palette, fixture: rigged.id, touch: { offset, pan: 0, tilt: 0 } })
  }
  return gone === 0 ? '' : `; ${counted(gone, 'touch-up goes', 'touch-ups go')}`
}
