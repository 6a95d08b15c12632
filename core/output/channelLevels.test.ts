import { beforeEach, expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { firstMode, modesOf } from '../show/modes'
import type { ChannelRole } from '../attributes/channelRole'
import type { Channel } from '../show/entities'
import { attributeId, numberAttributeId } from '../attributes/attribute'
import { isColourPart } from '../attributes/colourPart'
import { onTheMove } from '../cues/arrivals'
import { audienceView } from '../cues/audienceView'
import { pictureOf } from '../cues/onStage'
import { onItsWay } from '../cues/stageAt'
import { listsInOrder } from '../cues/tracking'
import { amountAt, amountSet } from '../hand/standing'
import { rangeOf } from '../show/attributeRange'
import { madeColour, restColour } from '../show/colours'
import { asCueListId, asFixtureId, fixtureTypeId } from '../show/ids'
import { rigOf } from '../show/rig'
import type { Show } from '../show/show'
import { richDesk } from '../../tests/support/richShow'
import { channelLevel, type ChannelSource } from './channelFunction'
import { channelLevels } from './channelLevels'
import { mastered } from './mastered'

let desk: Desk
let channels: readonly Channel[]

beforeEach(() => {
  desk = new Desk()
  const type = desk.show.all.fixture.get(desk.fixture(11))?.type ?? ''
  const mode = firstMode(desk.show, type)
  channels = desk.show.all.fixtureMode.get(mode ?? '')?.channels ?? []
  const patched = [11, 12].map((number, i) => ({
    fixture: desk.fixture(number),
    mode,
    universe: 2,
    address: i === 0 ? 101 : 500,
  }))
  desk.do('changeFixtures', { changes: patched })
})

const channelOf = (role: ChannelRole) => channels.find(({ functions }) => functions.some(({ does }) => does === role))
const endsOf = (role: ChannelRole) => channelOf(role)?.functions[0] ?? { from: 0, to: 1 }

/** The fraction a channel of fixture 11 goes out with. */
function sent(role: ChannelRole): number {
  const channel = channelOf(role)
  const levels = channelLevels(desk.show, desk.now).get(2)
  if (!channel || !levels) throw new Error(`no ${role}`)
  const at = (n: number) => levels[100 + n - 1] ?? Number.NaN
  return channel.fine === null ? at(channel.coarse) / 255 : (at(channel.coarse) * 256 + at(channel.fine)) / 65535
}

it('sends angles as a part of the range, coarse byte first, to one step of 16 bit', () => {
  desk.do('turnHeads', {
    fixtures: [desk.fixture(11)],
    pan: { how: 'to', degrees: 100 },
    tilt: { how: 'to', degrees: -30 },
  })
  for (const [does, angle] of [
    ['pan', 100],
    ['tilt', -30],
  ] as const) {
    const { from, to } = endsOf(does)
    expect(Math.abs(sent(does) - (angle - from) / (to - from))).toBeLessThanOrEqual(0.5 / 65535 + 1e-12)
  }
})

it('sends what is seen: highlight goes out and leaves the hand as it was, blind does not', () => {
  desk.level('11', 'intensity', 0.4)
  const hand = desk.show.all.handValue
  expect(sent('intensity')).toBeCloseTo(0.4, 2)
  desk.do('setHighlight', { highlight: 'brighter', fixtures: [desk.fixture(11)] })
  expect(sent('intensity')).toBe(1)
  expect(desk.show.all.handValue).toBe(hand)
  desk.do('setHighlight', { highlight: 'off', fixtures: [] })
  desk.do('setBlind', { blind: true })
  expect(sent('intensity')).toBe(0)
})

it('never writes past channel 512, and leaves out what is not patched', () => {
  const universes = channelLevels(desk.show, desk.now)
  expect([...universes.keys()]).toEqual([2])
  expect(universes.get(2)).toHaveLength(512)
})

it('sends what is on its way, edges and wheels too: numbers go over evenly, slots change as the move begins', () => {
  desk.do('setTake', { family: 'intensity', take: true })
  const at = (level: number, slot: number) => {
    desk.level('11', 'intensity', level)
    desk.level('11', 'edge', level)
    desk.do('setValue', { fixtures: desk.fixtures('11'), attribute: 'gobo', value: { kind: 'number', number: slot } })
  }
  at(0, 0)
  desk.cue(1)
  at(1, 2)
  desk.cue(2)
  desk.do('changeCues', { cues: [desk.choose.cue(1, 2)], rise: 4, delay: 1 })
  desk.go(1)
  const before = channelLevels(desk.show, 0)
  expect(channelLevels(desk.show, 9000)).toBe(before)
  const slotOf = () => Math.round(sent('gobo') * endsOf('gobo').to)
  desk.do('goOn', { list: desk.choose.list(1) })
  desk.now = 1000
  expect([sent('intensity'), sent('edge'), slotOf()]).toEqual([0, 0, 0])
  desk.now = 3000
  expect(sent('intensity')).toBeCloseTo(0.5, 2)
  expect(sent('edge')).toBeCloseTo(0.5, 2)
  expect(slotOf()).toBe(2)
  desk.now = 5000
  expect([sent('intensity'), sent('edge')]).toEqual([1, 1])
})

it('does not strobe what is brought out, and shows what a channel says it is worth then', () => {
  desk.do('setValue', { fixtures: desk.fixtures('11'), attribute: 'strobe', value: { kind: 'number', number: 20 } })
  expect(Math.round(sent('strobe') * 255)).toBe(131)
  desk.do('setHighlight', { highlight: 'brighter', fixtures: [desk.fixture(11)] })
  expect(Math.round(sent('strobe') * 255)).toBe(8)
})

it('repeats a channel that another follows, to its own fineness', () => {
  const [id, type] = [...desk.show.all.fixtureType].find(([, { name }]) => name === 'Tern 700') ?? []
  const [mode] = modesOf(desk.show, id ?? '')
  const edge = channelOf('edge')
  if (!id || !type || !mode || !edge) throw new Error('no Tern')
  const twin = { ...edge, name: 'Edge again', coarse: 60, fine: null, follows: edge.name }
  const modes = [{ ...mode, name: mode.mode.name, channels: [...mode.mode.channels, twin] }]
  desk.do('changeType', {
    type: fixtureTypeId.parse(id),
    ...type,
    modes: modes.map(({ id: of, name, channels: all }) => ({ id: of, name, channels: all })),
  })
  desk.level('11', 'edge', 0.7)
  const levels = channelLevels(desk.show, desk.now).get(2)
  expect(levels?.[100 + 59]).toBe(levels?.[100 + edge.coarse - 1])
})

/** Every channel of every fixture worked out from the stage at an instant, whatever moves. */
function levelsAnew(show: Show, now: number): Map<number, number[]> {
  // A view of its own: nothing is known from the instant before.
  const view = audienceView({ ...show })
  const moving = new Map(onTheMove(show, view.people, now).map((fixture) => [fixture.id, fixture]))
  const universes = new Map<number, number[]>()
  for (const rigged of rigOf(show).values()) {
    const { universe, address, mode } = (rigged.bar ?? rigged).fixture
    const on = moving.get(rigged.id)
    const picture = on ? onItsWay(show, on, view, now) : pictureOf(show, rigged, view.lookup)
    if (!picture || universe === null || address === null) continue
    const { position, seen, zoom, colour, colourSlot } = view.see(picture)
    const { parts, slot } = madeColour(rigged.type, colour)
    const colourWheel = colourSlot === 0 ? (slot ?? 0) : colourSlot
    const pictured = { ...position.pose, intensity: seen, zoom: zoom.angle, colourWheel, ...Object.fromEntries(parts) }
    const home = madeColour(rigged.type, restColour(rigged.type)).parts
    const restOf: ChannelSource['restOf'] = (role) =>
      isColourPart(role) ? (home.get(role) ?? 0) : rangeOf(rigged.type, role).home
    const amountOf: ChannelSource['amountOf'] = (role) => {
      const number: unknown = Reflect.get(pictured, role)
      if (typeof number === 'number') return { kind: 'number', number }
      const attribute = attributeId.parse(role)
      const amount = on ? amountAt(show, on, attribute, view, now) : amountSet(show, rigged, attribute, view.seen)
      return amount ?? { kind: 'number', number: restOf(numberAttributeId.parse(role)) }
    }
    const levels = universes.get(universe) ?? new Array<number>(512).fill(0)
    universes.set(universe, levels)
    for (const channel of show.all.fixtureMode.get(mode ?? '')?.channels ?? []) {
      if ((channel.cell ?? null) !== rigged.fixture.cell) continue
      const level = channelLevel(channel, { amountOf, restOf }, channel.rest, seen)
      levels[address + channel.coarse - 2] = channel.fine === null ? level : level >> 8
      if (channel.fine !== null) levels[address + channel.fine - 2] = level & 255
    }
  }
  return universes
}

it('keeps a pool as large on the way as it is at both ends, also where nothing but the head moves', () => {
  const [list] = listsInOrder(desk.show)
  const fixtures = desk.fixtures('12')
  desk.aim('12', 'Mark')
  desk.do('setValue', { fixtures, attribute: 'zoom', value: { kind: 'pool', diameter: 1.2 } })
  desk.cue(1)
  desk.aim('12', 'Bow')
  desk.cue(2)
  desk.do('changeFixtures', { changes: fixtures.map((fixture) => ({ fixture, universe: 2, address: 1 })) })
  desk.go(1)
  desk.do('goToCue', { list: list?.id ?? asCueListId('none'), cue: desk.choose.cue(1, 2), seconds: 6 })
  for (const after of [0, 1500, 3000, 6000]) {
    const now = desk.now + after
    const written = [...(channelLevels(desk.show, now).get(2) ?? [])]
    expect(written).toEqual(levelsAnew(desk.show, now).get(2))
    const moving = onTheMove(desk.show, [], now).find(({ id }) => id === fixtures[0])
    const picture = moving && onItsWay(desk.show, moving, audienceView(desk.show), now)
    expect(picture?.zoom.pool).toBeCloseTo(1.2, 9)
  }
})

it('writes in the middle of a move just what it would if it wrote everything anew', () => {
  const rich = richDesk()
  const modes = [...rich.show.all.fixture].flatMap(([key, { type }], i) => {
    const mode = firstMode(rich.show, type ?? '')
    return mode ? [{ fixture: asFixtureId(key), mode, universe: 1 + Math.floor(i / 8), address: 1 + (i % 8) * 60 }] : []
  })
  rich.do('changeFixtures', { changes: modes })
  const [list] = listsInOrder(rich.show)
  const cues = list?.cues ?? []
  for (const { id } of cues) {
    rich.do('goToCue', { list: list?.id ?? asCueListId('none'), cue: id, seconds: 6 })
    const now = rich.now + 2500
    const written = channelLevels(rich.show, now)
    for (const [universe, levels] of levelsAnew(rich.show, now))
      expect([universe, [...(written.get(universe) ?? [])]]).toEqual([universe, levels])
    rich.now += 4000
  }
  expect(cues.length).toBeGreaterThan(2)
})

it('goes down with a grand master in its light alone, wherever that is in the mode', () => {
  desk.level('11,12', 'intensity', 0.8)
  const [pan, tilt] = [
    { how: 'to', degrees: 40 },
    { how: 'to', degrees: 25 },
  ] as const
  desk.do('turnHeads', { fixtures: desk.fixtures('11'), pan, tilt })
  const whole = channelLevels(desk.show, desk.now)
  expect(mastered(desk.show, whole, 1)).toBe(whole)
  const half = mastered(desk.show, whole, 0.5).get(2)
  const before = whole.get(2)
  const light = channelOf('intensity')
  if (!half || !before || !light) throw new Error('nothing goes out')
  const at = [100, 499].flatMap((from) =>
    [light.coarse, light.fine].flatMap((place) => (place === null ? [] : from + place - 1)),
  )
  const changed = [...before].flatMap((level, i) => (half[i] === level ? [] : i))
  expect(changed.filter((i) => !at.includes(i))).toEqual([])
  const amount = (levels: Uint8Array) => levels[100 + light.coarse - 1] ?? NaN
  expect(amount(half) / amount(before)).toBeCloseTo(0.5, 1)
  expect(mastered(desk.show, whole, 0).get(2)?.[100 + light.coarse - 1]).toBe(0)
})
