import { describe, expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { buildSaltLantern } from '#demo/saltLantern'
import { pictureOf, stageLookup } from '../cues/onStage'
import { distance } from '../geometry/vector'
import { moveTime } from '../kinematics/motorTime'
import { channelLevels } from '../output/channelLevels'
import { receivedPictures } from '../output/received'
import { isHead, rigOf } from '../show/rig'
import { hiddenErrors, USUALLY_OFF, type HowOff } from './hiddenErrors'
import { StandInRig } from './standInRig'

const RIGHT: HowOff = { seed: 1, metres: 0, degrees: 0, hasMistakes: false }
const FRAME = 0.025

function demoIn(cue: number): Desk {
  const desk = new Desk(buildSaltLantern('practised'), 'programmer')
  desk.do('joinShow', { name: 'Programmer' })
  desk.do('goToCue', { list: desk.choose.list(1), cue: desk.choose.cue(1, cue), seconds: 0 })
  return desk
}

/** How a stand-in of the demo stands a while after a cue came on. */
function standsIn(desk: Desk, how: HowOff, seconds = 30) {
  const errors = hiddenErrors(desk.show, how)
  const rig = new StandInRig(desk.show, errors)
  rig.hear(channelLevels(desk.show, desk.now))
  for (let frame = 0; frame * FRAME < seconds; frame += 1) rig.step(FRAME)
  return { rig, errors, pictures: receivedPictures(rig.show, rig.values()) }
}

describe('the stand-in rig', () => {
  it('lights the stage as it is lit where nothing is off', () => {
    const desk = demoIn(12)
    const { pictures } = standsIn(desk, RIGHT)
    expect(pictures.length).toBeGreaterThan(30)
    for (const { rigged, position, seen, zoom } of pictures) {
      if (rigged.bar) continue
      const ours = pictureOf(desk.show, rigged, stageLookup(desk.show, desk.person))
      expect(Math.abs(position.pose.pan - ours.position.pose.pan)).toBeLessThan(0.02)
      expect(Math.abs(position.pose.tilt - ours.position.pose.tilt)).toBeLessThan(0.02)
      expect(Math.abs(zoom.angle - ours.zoom.angle)).toBeLessThan(0.3)
      expect(Math.abs(seen - ours.seen)).toBeLessThan(0.01)
    }
  })

  it('turns its heads no faster than their motors can, and no slower', () => {
    const desk = demoIn(12)
    const rig = new StandInRig(desk.show, hiddenErrors(desk.show, RIGHT))
    rig.hear(channelLevels(desk.show, desk.now))
    const cameAt = new Map<string, number>()
    for (let frame = 1; frame * FRAME < 30; frame += 1)
      for (const [id, values] of rig.step(FRAME)) {
        const value = values.get('position')
        if (value?.kind === 'angles') cameAt.set(id, frame * FRAME)
      }
    let turned = 0
    for (const rigged of rigOf(desk.show).values()) {
      const { pose } = pictureOf(desk.show, rigged, stageLookup(desk.show, desk.person)).position
      const needed = isHead(rigged) && !rigged.bar ? moveTime(rigged.mount.head, { pan: 0, tilt: 0 }, pose) : 0
      if (needed < 0.5) continue
      turned += 1
      const came = cameAt.get(rigged.id) ?? 0
      expect(came).toBeGreaterThan(needed - 2 * FRAME)
      // Creeping up on the very place takes a little longer than stopping there.
      expect(came).toBeLessThan(needed + 1)
    }
    expect(turned).toBeGreaterThan(5)
  })

  it('is off by no more than was said, the same for a seed every time and otherwise for another', () => {
    const desk = demoIn(3)
    for (const seed of [1, 2, 3, 4, 5]) {
      const how = { ...USUALLY_OFF, seed, hasMistakes: false }
      const { rig, errors } = standsIn(desk, how, 0)
      expect(hiddenErrors(desk.show, how)).toEqual(errors)
      expect(hiddenErrors(desk.show, { ...how, seed: seed + 1 })).not.toEqual(errors)
      for (const drawn of rigOf(desk.show).values()) {
        const hung = rigOf(rig.show).get(drawn.id)
        // What a hang is turned by moves what hangs at its ends further.
        const lever = Math.abs(drawn.place.along) * Math.sin((how.degrees * Math.PI) / 180)
        expect(distance(drawn.mount.pivot, hung?.mount.pivot ?? drawn.mount.pivot)).toBeLessThan(
          how.metres + lever + 0.02,
        )
      }
    }
  })

  it('has one head turned round, one inverted, one at its neighbour’s address and one with its tilt off', () => {
    const desk = demoIn(3)
    const { rig, errors, pictures } = standsIn(desk, { ...USUALLY_OFF, metres: 0 })
    const [drawn, hung] = [rigOf(desk.show), rigOf(rig.show)]
    const yawOf = (rigs: typeof drawn, id: string | null) => [...rigs.values()].find((one) => one.id === id)?.place.yaw
    expect(Math.abs((yawOf(hung, errors.turnedRound) ?? 0) - (yawOf(drawn, errors.turnedRound) ?? 0))).toBeGreaterThan(
      170,
    )
    const { fixture, as } = errors.misaddressed ?? { fixture: null, as: null }
    const addressOf = (rigs: typeof drawn, id: string | null) =>
      [...rigs.values()].find((one) => one.id === id)?.fixture.address
    expect(addressOf(hung, fixture)).toBe(addressOf(drawn, as))
    expect(addressOf(hung, fixture)).not.toBe(addressOf(drawn, fixture))
    const poseOf = (id: string | null) => pictures.find(({ rigged }) => rigged.id === id)?.position.pose
    const oursOf = (id: string | null) => {
      const rigged = [...drawn.values()].find((one) => one.id === id)
      return rigged && pictureOf(desk.show, rigged, stageLookup(desk.show, desk.person)).position.pose
    }
    expect(poseOf(errors.panInverted)?.pan).toBeCloseTo(-(oursOf(errors.panInverted)?.pan ?? NaN), 1)
    const [zeroOff] = [...errors.heads].find(([, { tiltZero }]) => tiltZero !== 0) ?? [null]
    expect(Math.abs((poseOf(zeroOff)?.tilt ?? 0) - (oursOf(zeroOff)?.tilt ?? 0))).toBeCloseTo(USUALLY_OFF.degrees, 1)
    expect(new Set([errors.turnedRound, fixture, errors.panInverted, zeroOff]).size).toBe(4)
  })
})
