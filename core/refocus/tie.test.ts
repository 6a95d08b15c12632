import { describe, expect, it } from 'vitest'
import { buildSaltLantern } from '#demo/saltLantern'
import { richDesk, venueNamed } from '../../tests/support/richShow'
import { Desk } from '../../tests/support/smallShow'
import { cuePicture } from '../cues/comparedCue'
import { listsInOrder } from '../cues/tracking'
import { FAMILIES } from '../attributes/families'
import { distance, vec3 } from '../geometry/vector'
import type { Show } from '../show/show'
import { effectsOf } from './effects'
import { rawAngles } from './rawAngles'

const turn = (desk: Desk, entry: string, pan: number, tilt: number) =>
  desk.do('turnHeads', {
    fixtures: desk.fixtures(entry),
    pan: { how: 'to', degrees: pan },
    tilt: { how: 'to', degrees: tilt },
  })
const clear = (desk: Desk) => desk.do('clearHand', { families: [...FAMILIES], fixtures: null })

/** How far any head of any cue stands apart in two shows, degrees. */
function furthestTurn(before: Show, after: Show): number {
  const turns = listsInOrder(before).flatMap(({ cues }) =>
    cues.flatMap(({ id }) => {
      const [was, is] = [cuePicture(before, id), cuePicture(after, id)]
      return [...was].map(([fixture, { position }]) => {
        const pose = is.get(fixture)?.position.pose ?? { pan: 999, tilt: 999 }
        return Math.max(Math.abs(pose.pan - position.pose.pan), Math.abs(pose.tilt - position.pose.tilt))
      })
    }),
  )
  return Math.max(...turns)
}

describe('raw angles tied to the stage', () => {
  it('leave every head of the demo as it stands, and stay behind nowhere any more', () => {
    const desk = new Desk(buildSaltLantern('ties'), 'demo')
    const before = desk.show
    const found = rawAngles(before)
    expect(found.length).toBeGreaterThan(5)
    const untied = found.filter(({ tie }) => typeof tie === 'string')
    desk.do('tieToStage', { values: null })
    expect(furthestTurn(before, desk.show)).toBeLessThan(0.06)
    expect(rawAngles(desk.show)).toHaveLength(untied.length)
    const stays = (show: Show) => {
      const there = new Desk(show, 'demo')
      there.do('switchVenue', { venue: venueNamed(show, 'Quarry Playhouse') })
      return effectsOf(show, there.show).staysBehind.length
    }
    expect(stays(before)).toBeGreaterThan(0)
    expect(stays(desk.show)).toBe(0)
  })

  it('become aims at what they light: a target nearby, the piece they lie on, else a free place', () => {
    const desk = new Desk()
    desk.aim('12', 'Mark', vec3(0.2, 0.1, 0))
    const { pan, tilt } = desk.seen(12).position.pose
    clear(desk)
    turn(desk, '12', pan, tilt)
    turn(desk, '13', -60, 30)
    turn(desk, '14', 0, 120)
    desk.record(9, 'By hand')
    const ties = new Map(rawAngles(desk.show).map(({ fixture, tie }) => [fixture, tie]))
    expect(ties.get(desk.fixture(12))).toMatchObject({
      aim: { target: desk.choose.target('Mark') },
      metres: expect.closeTo(Math.hypot(0.2, 0.1), 3),
    })
    expect(ties.get(desk.fixture(13))).toMatchObject({ aim: { target: null }, metres: null })
    expect(ties.get(desk.fixture(14))).toBe('lands nowhere')
    expect(desk.do('tieToStage', { values: null })).toBe('tie 2 raw angles to the stage; 1 stays as it is')
    desk.recall('12-14', 9)
    expect(desk.seen(12).position.pose.pan).toBeCloseTo(pan, 6)
    expect(desk.refused('tieToStage', { values: null })).toMatch(/None of these lands/)
    desk.do('moveTarget', { target: desk.choose.target('Mark'), position: vec3(0, 3, 0) })
    expect(desk.seen(12).position.point?.y).toBeCloseTo(3.1, 6)
  })

  it('take their touch-ups along, each in its venue', () => {
    const desk = richDesk()
    clear(desk)
    turn(desk, '12', 20, 35)
    desk.do('recordPalette', { number: 88, name: 'Raw', shelf: 'position', colour: 'brass', reach: 'own' })
    clear(desk)
    const palette = desk.choose.palette(88)
    const home = 'Harbour Hall'
    for (const [venue, x] of [
      ['Quarry', 0.4],
      [home, -0.3],
    ] as const) {
      desk.do('switchVenue', { venue: venueNamed(desk.show, venue) })
      desk.do('touchUp', { palette, fixtures: desk.fixtures('12'), by: { metres: vec3(x, 0.1, 0) } })
    }
    const lit = () =>
      [home, 'Quarry'].map((venue) => {
        const there = desk.copy()
        there.do('switchVenue', { venue: venueNamed(desk.show, venue) })
        there.recall('12', 88)
        return there.seen(12).position.point ?? vec3(99, 99, 99)
      })
    const before = lit()
    desk.do('tieToStage', { values: [{ palette, fixture: desk.fixture(12) }] })
    const [here, there] = lit()
    expect(distance(before[0] ?? vec3(9, 9, 9), here ?? vec3(0, 0, 0))).toBeLessThan(1e-6)
    expect(there).toBeDefined()
    expect(distance(before[1] ?? vec3(9, 9, 9), there ?? vec3(0, 0, 0))).toBeLessThan(1e-6)
  })
})
