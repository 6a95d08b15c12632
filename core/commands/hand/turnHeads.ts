/** Sets pan, tilt or both in degrees, or turns them by so many. What is not named stays as it is. */
import { LEADING } from '../../attributes/catalogue'
import { z } from 'zod'
import { pictureOf, stageLookup } from '../../cues/onStage'
import { setInHand } from '../../hand/setInHand'
import type { Axis } from '../../kinematics/head'
import { Draft } from '../../show/draft'
import { fixtureId } from '../../show/ids'
import { rigOf } from '../../show/rig'
import { degrees } from '../../show/values'
import { command, done, refuse } from '../command'
import { headsAmong, refuseToTurn } from '../shared/heads'
import { fixturesInWords } from '../shared/wording'

const axisChange = z.discriminatedUnion('how', [
  z.strictObject({ how: z.literal('to'), degrees }),
  z.strictObject({ how: z.literal('by'), degrees }),
])
type AxisChange = z.infer<typeof axisChange>

export const turnHeads = command({
  input: z.strictObject({
    fixtures: z.array(fixtureId).min(1),
    pan: axisChange.nullable(),
    tilt: axisChange.nullable(),
  }),
  undoable: true,
  run(show, { fixtures: asked, pan, tilt }, { person }) {
    const fixtures = headsAmong(show, asked)
    if (fixtures.length === 0) return refuseToTurn()
    const lookup = stageLookup(show, person)
    const draft = new Draft(show)
    for (const id of fixtures) {
      const rigged = rigOf(show).get(id)
      if (!rigged) continue
      const { pose } = pictureOf(show, rigged, lookup).position
      const { number } = rigged.fixture
      const newPan = changed(pose.pan, pan, rigged.mount.head.pan)
      const newTilt = changed(pose.tilt, tilt, rigged.mount.head.tilt)
      if (newPan === null) return refuse('beyond stop', beyond(number, 'pan', pan, rigged.mount.head.pan), 'pan')
      if (newTilt === null) return refuse('beyond stop', beyond(number, 'tilt', tilt, rigged.mount.head.tilt), 'tilt')
      setInHand(draft, person, id, LEADING.place, { kind: 'angles', pan: newPan, tilt: newTilt })
    }
    const axes = pan && tilt ? 'pan and tilt' : pan ? 'pan' : 'tilt'
    const isRelative = pan?.how === 'by' || tilt?.how === 'by'
    return done(draft, `${axes} of ${fixturesInWords(show, fixtures)}`, isRelative ? 'turn heads' : undefined)
  },
})

/** The new angle; null when a typed one lies beyond the stops. Turning by stops at the stop. */
function changed(now: number, change: AxisChange | null, axis: Axis): number | null {
  if (change === null) return now
  if (change.how === 'by') return Math.min(axis.max, Math.max(axis.min, now + change.degrees))
  return change.degrees < axis.min || change.degrees > axis.max ? null : change.degrees
}

function beyond(fixture: number, axis: string, change: AxisChange | null, { min, max }: Axis) {
  return { fixture, axis, degrees: change?.degrees ?? 0, min, max }
}
