/** Notes that the lights of heads are on a surveyed target as they stand: sightings, which tell how the rig hangs. */
import { z } from 'zod'
import { pictureOf, stageLookup } from '../../cues/onStage'
import { askedPose } from '../../kinematics/axesOff'
import { Draft } from '../../show/draft'
import { fixtureId, sightingId, targetId } from '../../show/ids'
import { rigOf } from '../../show/rig'
import { showRecordOf } from '../../show/show'
import { pointOn, targetsOf } from '../../show/targets'
import { isSurveyed, itself } from '../../survey/sightings'
import { command, done, refuse } from '../command'
import { headsAmong, refuseToTurn } from '../shared/heads'
import { fixturesInWords } from '../shared/wording'

export const noteSighting = command({
  input: z.strictObject({ fixtures: z.array(fixtureId).min(1), target: targetId }),
  undoable: true,
  run(show, { fixtures, target }, { person, now, newId }) {
    const placed = targetsOf(show).get(target)
    if (!placed) return refuse('no place here', { kind: 'target' }, 'target')
    if (!isSurveyed(show, target)) return refuse('not surveyed', { name: placed.target.name }, 'target')
    const heads = headsAmong(show, fixtures).flatMap((id) => rigOf(show).get(id) ?? [])
    if (heads.length === 0) return refuseToTurn()
    const { venue } = showRecordOf(show)
    const lookup = stageLookup(show, person)
    const place = pointOn(placed, null)
    const draft = new Draft(show)
    for (const rigged of heads) {
      const asked = askedPose(rigged.type, rigged.axes, pictureOf(show, rigged, lookup).position.pose)
      draft.put('sighting', sightingId.parse(newId()), {
        ...{ venue, fixture: itself(rigged), target, place, counts: true, by: person, at: Math.round(now) },
        ...{ pan: asked.pan, tilt: asked.tilt },
      })
    }
    const ids = heads.map(({ id }) => id)
    return done(draft, `note ${fixturesInWords(show, ids)} on ${placed.target.name}`)
  },
})
