/** Turns heads the other way round, at the same place; or each whichever way is quicker from the stage. */
import { LEADING } from '../../attributes/catalogue'
import { z } from 'zod'
import { pictureOf, stageLookup, type StageFixture } from '../../cues/onStage'
import { sidesOf, type TimedWay } from '../../hand/otherSide'
import { setInHand } from '../../hand/setInHand'
import { Draft } from '../../show/draft'
import { fixtureId } from '../../show/ids'
import { rigOf } from '../../show/rig'
import type { Value } from '../../show/values'
import { command, done, refuse } from '../command'
import { headsAmong, refuseToTurn } from '../shared/heads'
import { fixturesInWords } from '../shared/wording'

export const turnOtherSide = command({
  input: z.strictObject({ fixtures: z.array(fixtureId).min(1), how: z.enum(['other', 'quickest']) }),
  undoable: true,
  run(show, { fixtures: asked, how }, { person }) {
    const fixtures = headsAmong(show, asked)
    if (fixtures.length === 0) return refuseToTurn()
    const lookup = stageLookup(show, person)
    const draft = new Draft(show)
    for (const id of fixtures) {
      const rigged = rigOf(show).get(id)
      if (!rigged) continue
      const picture = pictureOf(show, rigged, lookup)
      const way = how === 'other' ? sidesOf(show, picture).other : sidesOf(show, picture).quickest
      if (way) setInHand(draft, person, id, LEADING.place, turned(picture, way))
    }
    if (draft.changes().length === 0)
      return refuse(how === 'other' ? 'no other side' : 'quickest already', {}, 'fixtures')
    const who = fixturesInWords(show, fixtures)
    return done(draft, how === 'other' ? `${who} to the other side` : `${who} the quickest way round`)
  },
})

function turned({ positionValue }: StageFixture, { side, pan, tilt }: TimedWay): Value {
  if (positionValue?.kind === 'aim') return { ...positionValue, choice: { side, pan } }
  return { kind: 'angles', pan, tilt }
}
