/** Turns heads the other way round, at the same place; or each whichever way is quicker from the stage. */
import { z } from 'zod'
import { cueLookup, pictureOf, stageLookup, type StageFixture } from '../cues/onStage'
import { otherWay, placeKept, waysFrom, type TimedWay } from '../hand/otherSide'
import { putInHand } from '../hand/put'
import type { Pose } from '../kinematics/head'
import { Draft } from '../show/draft'
import { fixtureId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import type { Value } from '../show/values'
import { command, done, refuse } from './command'
import { fixturesInWords } from './wording'

export const turnOtherSide = command({
  input: z.strictObject({ fixtures: z.array(fixtureId).min(1), how: z.enum(['other', 'quickest']) }),
  undoable: true,
  run(show, { fixtures, how }, { person }) {
    const lookup = stageLookup(show, person)
    const draft = new Draft(show)
    for (const id of fixtures) {
      const rigged = rigOf(show).get(id)
      if (!rigged) continue
      const picture = pictureOf(show, rigged, lookup)
      const way = how === 'other' ? sidesOf(show, picture).other : sidesOf(show, picture).quickest
      if (way) putInHand(draft, person, id, 'position', turned(picture, way))
    }
    if (draft.changes().length === 0)
      return refuse(
        'no other side',
        how === 'other'
          ? 'The stops of these fixtures allow no other way to their place.'
          : 'All of these fixtures go the quickest way already.',
        'fixtures',
      )
    const who = fixturesInWords(show, fixtures)
    return done(draft.changes(), how === 'other' ? `${who} to the other side` : `${who} the quickest way round`)
  },
})

/** The ways of a fixture to where its light is, with the seconds from its pose in the cues on stage. */
export interface Sides {
  /** The way it goes now. */
  readonly seconds: number | null
  readonly other: TimedWay | null
  readonly quickest: TimedWay | null
}

export function sidesOf(show: Show, { rigged, position, beam }: StageFixture): Sides {
  const from = poseInCues(show, rigged)
  const place = placeKept(beam, position.state === 'angles' ? null : position.point)
  const ways = waysFrom(rigged.mount, place, from)
  const isNow = (way: TimedWay) => way.side === position.side && Math.abs(way.pan - position.pose.pan) < 1e-6
  return {
    seconds: ways.find(isNow)?.seconds ?? null,
    other: otherWay(rigged.mount, place, position.side, from),
    quickest: ways[0] ?? null,
  }
}

function poseInCues(show: Show, rigged: RiggedFixture): Pose {
  return pictureOf(show, rigged, cueLookup(show)).position.pose
}

function turned({ positionValue }: StageFixture, { side, pan, tilt }: TimedWay): Value {
  if (positionValue?.kind === 'aim') return { ...positionValue, choice: { side, pan } }
  return { kind: 'angles', pan, tilt }
}
