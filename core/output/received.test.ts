/** Levels turned back into what fixtures do: taken into the hand they go out just as they came in. */
import { describe, expect, it } from 'vitest'
import { richDesk } from '../../tests/support/richShow'
import { Desk } from '../../tests/support/smallShow'
import { FAMILIES } from '../attributes/families'
import { buildSaltLantern } from '#demo/saltLantern'
import { stageLookup, pictureOf } from '../cues/onStage'
import { rigOf } from '../show/rig'
import { channelLevels } from './channelLevels'
import { receivedPictures, receivedValues, type ReceivedValues } from './received'

const listed = (values: ReceivedValues) =>
  [...values].flatMap(([fixture, ofFixture]) =>
    [...ofFixture].flatMap(([attribute, value]) =>
      value.kind === 'angles' || value.kind === 'number' || value.kind === 'spin' || value.kind === 'parts'
        ? [{ fixture, attribute, value }]
        : [],
    ),
  )
const CHOICE = { families: [...FAMILIES], fixtures: null }

/** The demo in a cue, with nothing in anybody's hand. */
function demoIn(cue: number): Desk {
  const desk = new Desk(buildSaltLantern('received'), 'programmer')
  desk.do('joinShow', { name: 'Programmer' })
  desk.do('goToCue', { list: desk.choose.list(1), cue: desk.choose.cue(1, cue), seconds: 0 })
  return desk
}

describe('levels that come in', () => {
  it.each([3, 12, 14, 21])('light the stage of cue %i as it is lit', (cue) => {
    const desk = demoIn(cue)
    const pictures = receivedPictures(desk.show, receivedValues(desk.show, channelLevels(desk.show, desk.now)))
    expect(pictures.length).toBeGreaterThan(30)
    for (const { rigged, position, seen } of pictures) {
      if (rigged.bar) continue
      const ours = pictureOf(desk.show, rigged, stageLookup(desk.show, desk.person))
      expect(Math.abs(position.pose.pan - ours.position.pose.pan)).toBeLessThan(0.02)
      expect(Math.abs(position.pose.tilt - ours.position.pose.tilt)).toBeLessThan(0.02)
      expect(Math.abs(seen - ours.seen)).toBeLessThan(0.01)
    }
  })

  it('go out from the hand as they came in, to the byte, taken as they came', () => {
    for (const desk of [demoIn(12), demoIn(21), richDesk()]) {
      const came = channelLevels(desk.show, desk.now)
      const received = listed(receivedValues(desk.show, came))
      desk.do('takeReceived', { ...CHOICE, as: 'loose', received })
      const goes = channelLevels(desk.show, desk.now)
      for (const [universe, levels] of came) expect([universe, goes.get(universe)]).toEqual([universe, levels])
    }
  })

  it('are linked to palettes that give the same, and tied to the stage elsewhere', () => {
    const desk = demoIn(12)
    const came = listed(receivedValues(desk.show, channelLevels(desk.show, desk.now)))
    desk.do('takeReceived', { ...CHOICE, as: 'link', received: came })
    const held = [...desk.show.all.handValue.values()].filter(({ person }) => person === desk.person)
    const places = held.filter(({ attribute }) => attribute === 'position')
    const isLink = ({ value }: (typeof held)[number]) => value.kind === 'link'
    expect(places.filter(isLink).length).toBeGreaterThan(places.length / 2)
    expect(places.filter(({ value }) => value.kind === 'aim').length).toBeGreaterThan(0)
    for (const { fixture, value } of places) {
      const rigged = rigOf(desk.show).get(fixture)
      const angles = came.find((one) => one.fixture === fixture && one.value.kind === 'angles')?.value
      if (!rigged || angles?.kind !== 'angles' || value.kind === 'angles') continue
      const { pose } = pictureOf(desk.show, rigged, stageLookup(desk.show, desk.person)).position
      expect(Math.max(Math.abs(pose.pan - angles.pan), Math.abs(pose.tilt - angles.tilt))).toBeLessThan(0.2)
    }
  })
})
