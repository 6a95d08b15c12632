/** Moves what the chosen fixtures are aimed at by a little, on the stage. */
import { z } from 'zod'
import { add } from '../geometry/vector'
import { solveAim } from '../kinematics/inverse'
import { handValueId, pictureOf, stageLookup } from '../cues/onStage'
import { offsetInWords } from '../refocus/words'
import { Draft } from '../show/draft'
import { fixtureId } from '../show/ids'
import { rigOf } from '../show/rig'
import { aimPoint, targetsOf } from '../show/targets'
import { point } from '../show/values'
import { command, done, refuse } from './command'
import { fixturesInWords } from './wording'

export const nudgeAim = command({
  input: z.strictObject({ fixtures: z.array(fixtureId).min(1), by: point }),
  undoable: true,
  run(show, { fixtures, by }, { person }) {
    const lookup = stageLookup(show, person)
    const draft = new Draft(show)
    for (const id of fixtures) {
      const rigged = rigOf(show).get(id)
      if (!rigged) continue
      const { positionValue: value, position } = pictureOf(show, rigged, lookup)
      if (value?.kind !== 'aim') continue
      const moved = { ...value, offset: add(value.offset, by) }
      const place = aimPoint(targetsOf(show), moved)
      if (!place) continue
      const { side, pan } = solveAim(rigged.mount, place, { reference: position.pose, side: position.side })
      draft.put('handValue', handValueId(person, id, 'position'), {
        person,
        fixture: id,
        attribute: 'position',
        value: { ...moved, choice: { side, pan } },
      })
    }
    if (draft.changes().length === 0)
      return refuse('no aim', 'None of these fixtures is aimed at a place. Drop them on a target first.', 'fixtures')
    return done(draft.changes(), `nudge ${fixturesInWords(show, fixtures)} ${offsetInWords(by)}`, 'nudge aim')
  },
})
