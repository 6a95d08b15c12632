/** Puts the light of one head on a target, bright and as narrow as it goes, so that it can be steered onto its cross. */
import { z } from 'zod'
import { LEADING } from '../../attributes/catalogue'
import { pictureOf, stageLookup } from '../../cues/onStage'
import { vec3 } from '../../geometry/vector'
import { setInHand } from '../../hand/setInHand'
import { solveAim } from '../../kinematics/inverse'
import { rangeOf } from '../../show/attributeRange'
import { handValueId } from '../../show/compositeIds'
import { numberOfFixture } from '../../show/cells'
import { Draft } from '../../show/draft'
import { fixtureId, targetId } from '../../show/ids'
import { isHead, rigOf } from '../../show/rig'
import { pointOn, targetsOf } from '../../show/targets'
import { command, done, refuse } from '../command'
import { refuseToTurn } from '../shared/heads'

/** What of a head is in hand while it is steered. */
const STEERED = [LEADING.place, LEADING.light, LEADING.width] as const

export const steerOnto = command({
  input: z.strictObject({
    fixture: fixtureId,
    target: targetId,
    /** Whether its head is to get there the other way round than it stands. */
    isOtherWay: z.boolean(),
    /** One that was steered before, and is let go of. */
    letGo: fixtureId.nullable(),
  }),
  undoable: true,
  run(show, { fixture, target, isOtherWay, letGo }, { person }) {
    const rigged = rigOf(show).get(fixture)
    const placed = targetsOf(show).get(target)
    if (!rigged) return refuse('hangs elsewhere', {}, 'fixture')
    if (!isHead(rigged) || rigged.bar) return refuseToTurn()
    if (!placed) return refuse('no place here', { kind: 'target' }, 'target')
    const { pose, side } = pictureOf(show, rigged, stageLookup(show, person)).position
    const other = side === 'positive' ? 'negative' : 'positive'
    const choice = isOtherWay ? ({ reference: pose, side: other } as const) : { reference: pose }
    const solved = solveAim(rigged.mount, pointOn(placed, null), choice)
    if (isOtherWay && solved.side !== other) return refuse('no other side', {}, 'isOtherWay')
    const draft = new Draft(show)
    if (letGo !== null && letGo !== fixture)
      for (const attribute of STEERED) draft.remove('handValue', handValueId(person, letGo, attribute))
    const turned = { side: solved.side, pan: solved.pan }
    setInHand(draft, person, fixture, LEADING.place, {
      kind: 'aim',
      target,
      at: null,
      offset: vec3(0, 0, 0),
      choice: turned,
    })
    const { has } = rigged.type
    if (has.includes(LEADING.light)) setInHand(draft, person, fixture, LEADING.light, { kind: 'number', number: 1 })
    const narrowest = { kind: 'number', number: rangeOf(rigged.type, LEADING.width).min } as const
    if (has.includes(LEADING.width)) setInHand(draft, person, fixture, LEADING.width, narrowest)
    return done(draft, `steer ${numberOfFixture(show, fixture)} onto ${placed.target.name}`)
  },
})
