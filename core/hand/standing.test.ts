import { beforeEach, describe, expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { movesUntil } from '../cues/arrivals'
import { stagePicture } from '../cues/onStage'
import { stagePictureAt } from '../cues/stageAt'
import { channelLevels } from '../output/channelLevels'
import { fixtureTypeId } from '../show/ids'
import { firstMode, modesOf } from '../show/modes'
import { rigOf } from '../show/rig'
import type { Amount } from '../show/values'
import { standingAt } from './standing'

let desk: Desk
beforeEach(() => {
  desk = new Desk()
  desk.do('setTake', { family: 'intensity', take: true })
  desk.aim('11', 'Bow')
  desk.level('11', 'intensity', 0)
  desk.record(1, 'Bow', 'combined')
  desk.aim('11', 'Mark')
  desk.level('11', 'intensity', 1)
  desk.level('11', 'edge', 1)
  desk.record(2, 'Mark', 'combined')
  desk.recall('11', 1)
})

function expectNear(is: ReturnType<typeof shown>, was: ReturnType<typeof shown>) {
  for (const key of ['level', 'pan', 'tilt', 'throwMetres'] as const) expect(is[key]).toBeCloseTo(was[key], 6)
}
function recall(palette: number, seconds?: number) {
  desk.do('recallPalette', { palette: desk.choose.palette(palette), fixtures: desk.fixtures('11'), seconds })
}
function shown(at: number, person = desk.person) {
  const seen = stagePictureAt(desk.show, person, stagePicture(desk.show, person), at).get(desk.fixture(11))
  if (!seen) throw new Error('it is not on stage')
  const { pose, throwMetres } = seen.position
  return { level: seen.intensity, pan: pose.pan, tilt: pose.tilt, throwMetres: throwMetres ?? NaN }
}

describe('a recall over a time', () => {
  it('comes in evenly from what the stage showed, and then stands at what the palette says', () => {
    desk.now = 10_000
    const before = shown(desk.now)
    recall(2, 4)
    const end = shown(14_000)
    expectNear(shown(10_000), before)
    expect(shown(11_000).level).toBeCloseTo(0.25, 9)
    expect(shown(12_000).pan).toBeCloseTo((before.pan + end.pan) / 2, 9)
    expect(end.level).toBe(1)
    expect(end.pan).toBe(desk.seen(11).position.pose.pan)
    expect(movesUntil(desk.show)).toBe(14_000)
  })

  it('sets out in the middle of another from where that has come to, wheels and edges too', () => {
    const [rigged] = [...rigOf(desk.show).values()].filter(({ fixture }) => fixture.number === 11)
    if (!rigged) throw new Error('no fixture 11')
    desk.level('11', 'edge', 0)
    desk.now = 10_000
    recall(2, 4)
    expect(standingAt(desk.show, desk.person, 13_000)(rigged, 'edge')).toEqual({ kind: 'number', number: 0.75 })
    const midway = shown(12_000)
    desk.now = 12_000
    recall(1, 10)
    expectNear(shown(12_000), midway)
    expect(shown(17_000).level).toBeCloseTo(0.25, 9)
    recall(2, 0)
    expect(shown(12_000).level).toBe(1)
  })

  it('takes as long as the palette says when nobody says otherwise', () => {
    desk.do('changePalette', { palette: desk.choose.palette(2), time: 2 })
    desk.now = 5000
    recall(2)
    expect(shown(6000).level).toBeCloseTo(0.5, 9)
    desk.do('turnHeads', { fixtures: desk.fixtures('11'), pan: { how: 'to', degrees: 12 }, tilt: null })
    expect(shown(5500)).toMatchObject({ level: 0.25, pan: 12 })
  })

  it('goes out to the house and comes in over a cue, but not for who sees a blind hand', () => {
    const mode = firstMode(desk.show, desk.show.all.fixture.get(desk.fixture(11))?.type ?? '')
    desk.do('changeFixtures', { changes: [{ fixture: desk.fixture(11), mode, universe: 1, address: 1 }] })
    const channel = desk.show.all.fixtureMode
      .get(mode ?? '')
      ?.channels.find(({ functions: [first] }) => first?.does === 'intensity')
    const out = (at: number) => (channelLevels(desk.show, at).get(1)?.[(channel?.coarse ?? 0) - 1] ?? NaN) / 255
    desk.now = 10_000
    recall(2, 4)
    expect(out(12_000)).toBeCloseTo(0.5, 2)
    expect(out(14_000)).toBe(1)
    desk.do('setBlind', { blind: true })
    expect(out(12_000)).toBe(0)
  })
})

describe('what turns and what snaps, on its way', () => {
  const put = (attribute: 'goboTurn' | 'strobe', value: Amount) =>
    desk.do('setValue', { fixtures: desk.fixtures('11'), attribute, value })
  const standing = (attribute: 'goboTurn' | 'strobe' | 'edge', at: number) => {
    const rigged = rigOf(desk.show).get(desk.fixture(11))
    return rigged && standingAt(desk.show, desk.person, at)(rigged, attribute)
  }
  let next = 11
  /** Two palettes from the present hand and another, recalled one after the other over four seconds from 10 s. */
  function fromTo(attribute: 'goboTurn' | 'strobe', from: Amount, to: Amount) {
    const [first, second] = [next++, next++]
    put(attribute, from)
    desk.record(first, 'From', 'combined')
    put(attribute, to)
    desk.record(second, 'To', 'combined')
    recall(first, 0)
    desk.now = 10_000
    recall(second, 4)
  }

  it('goes the shorter way round, in step with its speed, and over to turning as the move begins', () => {
    fromTo('goboTurn', { kind: 'number', number: 170 }, { kind: 'number', number: -170 })
    expect(standing('goboTurn', 11_000)).toEqual({ kind: 'number', number: 175 })
    expect(standing('goboTurn', 14_000)).toEqual({ kind: 'number', number: -170 })
    fromTo('goboTurn', { kind: 'spin', rpm: 10 }, { kind: 'spin', rpm: -30 })
    expect(standing('goboTurn', 12_000)).toEqual({ kind: 'spin', rpm: -10 })
    fromTo('goboTurn', { kind: 'number', number: 20 }, { kind: 'spin', rpm: 30 })
    expect(standing('goboTurn', 10_000)).toEqual({ kind: 'number', number: 20 })
    expect(standing('goboTurn', 10_001)).toEqual({ kind: 'spin', rpm: 30 })
    expect(
      desk.refused('setValue', {
        fixtures: desk.fixtures('11'),
        attribute: 'goboTurn',
        value: { kind: 'spin', rpm: 61 },
      }),
    ).toBe('The gobo turn of Tern 700 spins at 60 rpm at most, either way.')
    expect(
      desk.refused('setValue', {
        fixtures: desk.fixtures('11'),
        attribute: 'edge',
        value: { kind: 'spin', rpm: 1 },
      }),
    ).toBe('The edge of Tern 700 cannot spin.')
  })

  it('goes over at once where the catalogue says so, or the channel of its mode', () => {
    fromTo('strobe', { kind: 'number', number: 0 }, { kind: 'number', number: 5 })
    expect(standing('strobe', 10_001)).toEqual({ kind: 'number', number: 5 })
    const [id, type] = [...desk.show.all.fixtureType].find(([, { name }]) => name === 'Tern 700') ?? []
    if (!id || !type) throw new Error('no Tern')
    const modes = modesOf(desk.show, id).map(({ id: mode, mode: { name, channels } }) => ({
      id: mode,
      name,
      channels: channels.map((channel) => ({ ...channel, snaps: channel.functions[0]?.does === 'edge' })),
    }))
    desk.do('changeFixtures', { changes: [{ fixture: desk.fixture(11), mode: firstMode(desk.show, id) }] })
    recall(1, 0)
    desk.level('11', 'edge', 0)
    desk.now = 10_000
    recall(2, 4)
    expect(standing('edge', 11_000)).toEqual({ kind: 'number', number: 0.25 })
    desk.do('changeType', { type: fixtureTypeId.parse(id), ...type, modes })
    expect(standing('edge', 11_000)).toEqual({ kind: 'number', number: 1 })
  })
})
