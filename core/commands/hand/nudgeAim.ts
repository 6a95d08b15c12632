/** Moves the light of fixtures by a little, on the stage: the place of an aim, or where raw angles land. */
import { LEADING } from '../../attributes/catalogue'
import { z } from 'zod'
import { add } from '../../geometry/vector'
import { solveAim } from '../../kinematics/inverse'
import { pictureOf, stageLookup } from '../../cues/onStage'
import { setInHand } from '../../hand/setInHand'
import { offsetInWords } from '../../geometry/lengthInWords'
import { Draft } from '../../show/draft'
import { fixtureId } from '../../show/ids'
import { movedBy } from '../../show/perVenue'
import { rigOf } from '../../show/rig'
import { aimPoint, targetsOf } from '../../show/targets'
import { point } from '../../show/values'
import { command, done, refuse } from '../command'
import { headsAmong, refuseToTurn } from '../shared/heads'
import { fixturesInWords } from '../shared/wording'

export const nudgeAim = command({
  input: z.strictObject({ fixtures: z.array(fixtureId).min(1), by: point }),
  undoable: true,
  run(show, { fixtures: asked, by }, { person }) {
    const fixtures = headsAmong(show, asked)
    if (fixtures.length === 0) return refuseToTurn()
    const lookup = stageLookup(show, person)
    const draft = new Draft(show)
    for (const id of fixtures) {
      const rigged = rigOf(show).get(id)
      if (!rigged) continue
      const { positionValue: value, position } = pictureOf(show, rigged, lookup)
      if (value?.kind === 'angles' && position.point) {
        const { pan, tilt } = solveAim(rigged.mount, add(position.point, by), { reference: position.pose })
        setInHand(draft, person, id, LEADING.place, { kind: 'angles', pan, tilt })
      }
      if (value?.kind !== 'aim') continue
      const moved = movedBy(value, by)
      const place = aimPoint(targetsOf(show), moved)
      if (!place) continue
      const { side, pan } = solveAim(rigged.mount, place, { reference: position.pose, side: position.side })
      setInHand(draft, person, id, LEADING.place, { ...moved, choice: { side, pan } })
    }
    if (draft.changes().length === 0) return refuse('no aim', {}, 'fixtures')
    return done(draft, `nudge ${fixturesInWords(show, fixtures)} ${offsetInWords(by)}`, 'nudge aim')
  },
})
