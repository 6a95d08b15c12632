import { describe, expect, it } from 'vitest'
import { Desk, PLAIN_TIMES } from '../../tests/support/smallShow'
import { vec3 } from '../geometry/vector'
import { allWays } from '../kinematics/inverse'
import { moveTime } from '../kinematics/motorTime'
import { rigOf } from '../show/rig'
import { targetsOf } from '../show/targets'
import { HOME, type Pose } from '../kinematics/head'
import { stagePictureAt } from './stageAt'
import { stagePicture } from './onStage'
import { poseInCue } from './ways'

/** Marks downstage and upstage of the bar, a metre from each other across its line, each a palette and a cue for all. */
function crossing(places: readonly ReturnType<typeof vec3>[]): Desk {
  const desk = new Desk()
  for (const [i, position] of places.entries()) {
    const name = `Place ${i + 1}`
    desk.do('addTarget', { name, form: { kind: 'point' }, setPiece: null, position })
    const targets = [desk.choose.target(name)]
    desk.do('makePalettesFromTargets', { targets, groups: [], shelf: 'position', pool: null, numberFrom: i + 1 })
    desk.recall('11-14', i + 1)
    desk.do('recordCue', { list: desk.choose.list(1), number: i + 1, name: '', ...PLAIN_TIMES, move: 4 })
  }
  desk.go(1)
  return desk
}

const seenAt = (desk: Desk, number: number, now: number) =>
  stagePictureAt(desk.show, desk.person, stagePicture(desk.show, desk.person), now).get(desk.fixture(number))

describe('the way round a head takes in a cue', () => {
  it('is near the one it had in the cue before: a lit head goes a metre, not half a turn', () => {
    const desk = crossing([vec3(4, 0.4, 0), vec3(4, -0.6, 0)])
    desk.now = 10_000
    desk.do('goOn', { list: desk.choose.list(1) })
    for (const number of [11, 12, 13, 14]) {
      const poses = [10_000, 11_000, 12_000, 13_000, 14_000].map((now) => seenAt(desk, number, now)?.position.pose)
      const turned = poses.slice(1).map((pose, i) => Math.abs((pose?.pan ?? 0) - (poses[i]?.pan ?? 0)))
      expect(Math.max(...turned)).toBeLessThan(45)
    }
    // And stays there once everything has arrived and been put away.
    const arrived = seenAt(desk, 11, 14_000)?.position.pose
    desk.go(2)
    expect(desk.seen(11).position.pose).toEqual(arrived)
  })

  it('is the nearest of all ways, cue by cue, however one came there', () => {
    const places = [vec3(4, 0.4, 0), vec3(-4, -0.6, 0), vec3(0.2, 3, 1), vec3(-0.1, -3, 0), vec3(2, 0.05, 0)]
    const desk = crossing(places)
    for (const number of [11, 12, 13, 14]) {
      const rigged = rigOf(desk.show).get(desk.fixture(number))
      if (!rigged) throw new Error('not hung')
      let pose: Pose = HOME
      for (const [i] of places.entries()) {
        const place = targetsOf(desk.show).get(desk.choose.target(`Place ${i + 1}`))?.position ?? vec3(0, 0, 0)
        const time = (way: Pose) => moveTime(rigged.mount.head, pose, way)
        const ways = allWays(rigged.mount, place, pose)
        const least = Math.min(...ways.map(time))
        const taken = poseInCue(desk.show, rigged.id, desk.choose.cue(1, i + 1))
        expect(time(taken)).toBeCloseTo(least, 6)
        pose = taken
        desk.go(i + 1)
        expect(desk.seen(number).position.pose).toEqual(taken)
      }
    }
    desk.go(5)
    const there = desk.seen(11).position.pose
    desk.go(1)
    desk.go(5)
    expect(desk.seen(11).position.pose).toEqual(there)
  })

  it('in the hand is near the one under it', () => {
    const desk = crossing([vec3(4, 0.4, 0), vec3(4, -0.6, 0)])
    const under = desk.seen(11).position.pose
    desk.recall('11', 2)
    expect(Math.abs(desk.seen(11).position.pose.pan - under.pan)).toBeLessThan(45)
  })
})
