import fc from 'fast-check'
import { beforeEach, describe, expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { JournaledShow } from '../../tests/support/journaledShow'
import { each, laid, level, mixing, one, turning } from '#demo/channels'
import { strand } from '#demo/types'
import { vec3 } from '../geometry/vector'
import { distance, scale, add } from '../geometry/vector'
import { channelLevels } from '../output/channelLevels'
import { modeFaults } from '../patch/modeCheck'
import { laidOutChannels, repeatedForCells } from '../patch/channelLayout'
import { writtenFixtures } from '../selection/written'
import { fixtureNumber, numberOfFixture } from './cells'
import { fixtureType } from './entities'
import { asFixtureTypeId, type FixtureId } from './ids'
import { modesOf } from './modes'
import { rigOf, typedFixtures } from './rig'
import type { Show } from './show'

const CELL = [level('Intensity', 'intensity', 8), ...mixing(strand.mixing?.parts ?? [], 8)]
/** A bar of three cells that turns as one. */
const swift = fixtureType.strip().parse({
  ...strand,
  maker: 'Test',
  name: 'Swift',
  has: ['intensity', 'position', 'zoom', 'colour'],
  optics: [
    { beam: 10, field: 14, candela: 9000 },
    { beam: 40, field: 50, candela: 900 },
  ],
  cells: { count: 3, pitch: 0.2, has: ['intensity', 'colour'] },
})
const CHANNELS = laid([...turning(90, 90), one('Zoom', 'zoom', 8, 10, 40, 25), ...each(3, CELL)])

let desk: Desk
const typeId = (name: string) =>
  asFixtureTypeId([...desk.show.all.fixtureType].find(([, type]) => type.name === name)?.[0] ?? '')
const hung = { out: 0, drop: 0.1, yaw: 0, pitch: 0, roll: 0, gap: 2 }
const numbers = (fixtures: Iterable<FixtureId>) => [...fixtures].map((id) => numberOfFixture(desk.show, id)).join(' ')
const allCells = () => numbers(typedFixtures(desk.show).keys())
/** Gives the type another number of cells. */
function withCount(count: number): void {
  const [known] = modesOf(desk.show, typeId('Swift'))
  const channels = repeatedForCells(CHANNELS, count)
  desk.do('changeType', {
    ...swift,
    type: typeId('Swift'),
    cells: swift.cells && { ...swift.cells, count },
    modes: [{ id: known?.id ?? null, name: 'Full', channels }],
  })
}

beforeEach(() => {
  desk = new Desk()
  desk.do('setTake', { family: 'intensity', take: true })
  desk.do('addType', { ...swift, modes: [{ name: 'Full', channels: CHANNELS }] })
  const place = { ...hung, hang: desk.choose.hang('Bar'), type: typeId('Swift'), mode: null }
  desk.do('placeFixtures', { ...place, count: 2, middle: 0, numberFrom: 71 })
  desk.do('patchFixtures', { fixtures: desk.fixtures('71-72'), universe: 1, address: 1, gap: 0, apart: 'never' })
})

describe('cells of a fixture', () => {
  it('come with it, go by its number, and go with it', () => {
    expect(allCells()).toBe('11 12 13 14 41 71 71.1 71.2 71.3 72 72.1 72.2 72.3')
    desk.do('renumberFixtures', { fixtures: desk.fixtures('72'), numberFrom: 81, step: 1 })
    desk.do('copyFixtures', { fixtures: desk.fixtures('71'), numberFrom: 91, hang: desk.choose.hang('Bar'), by: 0.5 })
    expect(numbers(desk.fixtures('81'))).toBe('81 81.1 81.2 81.3')
    expect(numbers(desk.fixtures('91'))).toBe('91 91.1 91.2 91.3')
    expect(desk.do('deleteFixtures', { fixtures: desk.fixtures('81.2, 91') })).toBe('take out 2 fixtures')
    expect(allCells()).toBe('11 12 13 14 41 71 71.1 71.2 71.3')
  })

  it('keep what they hold while their type has fewer, and have it again with more', () => {
    desk.level('71', 'intensity', 0.5)
    desk.record(1, 'Half', 'intensity')
    withCount(2)
    expect(numbers(desk.fixtures('71'))).toBe('71 71.1 71.2')
    withCount(4)
    expect(numbers(desk.fixtures('71, 72'))).toBe('71 71.1 71.2 71.3 71.4 72 72.1 72.2 72.3 72.4')
    desk.do('clearHand', { fixtures: null, families: ['intensity'] })
    desk.recall('71', 1)
    expect(['71.1', '71.3', '71.4'].map((at) => desk.seen(Number(at)).intensity)).toEqual([0.5, 0.5, 0])
  })

  it('come and go with what is undone and redone', () => {
    const at = new JournaledShow(desk.show)
    const place = { ...hung, hang: desk.choose.hang('Bar'), type: typeId('Swift'), mode: null, middle: 1 }
    at.attempt('anna', 'placeFixtures', { ...place, count: 1, numberFrom: 75 })
    const after = at.show
    at.undo('anna')
    expect(at.show.all.fixture).toEqual(desk.show.all.fixture)
    at.redo('anna')
    expect(at.show.all.fixture).toEqual(after.all.fixture)
    expect([...rigOf(after).values()].filter(({ fixture }) => fixture.number === 75)).toHaveLength(4)
  })

  it('are given by the next step to whom the undoing of another left without', () => {
    const bars = (show: Show) => [...rigOf(show).values()].filter(({ bar }) => bar !== null).length
    const at = new JournaledShow(desk.show)
    const [mode] = modesOf(desk.show, typeId('Swift'))
    const changed = [{ id: mode?.id ?? null, name: 'Full', channels: repeatedForCells(CHANNELS, 2) }]
    at.attempt('anna', 'changeType', {
      ...swift,
      type: typeId('Swift'),
      cells: { ...swift.cells, count: 2 },
      modes: changed,
    })
    const place = { ...hung, hang: desk.choose.hang('Bar'), type: typeId('Swift'), mode: null, middle: 1 }
    at.attempt('ben', 'placeFixtures', { ...place, count: 1, numberFrom: 75 })
    expect(bars(at.show)).toBe(6)
    at.undo('anna')
    expect(bars(at.show)).toBe(8)
    at.attempt('anna', 'setTake', { family: 'gobo', take: false })
    expect(bars(at.show)).toBe(9)
  })

  it('are not changed by themselves where they go with their bar', () => {
    const [cell] = desk.fixtures('71.2')
    if (!cell) throw new Error('there is one')
    expect(desk.refused('changeFixtures', { changes: [{ fixture: cell, number: 5 }] })).toBe(
      '71.2 is a cell of 71 and goes with it: change 71.',
    )
  })

  it('hold what they have for themselves, and point where their bar does', () => {
    desk.aim('71', 'Mark')
    desk.level('71', 'zoom', 14)
    desk.level('71.2', 'intensity', 0.8)
    desk.look('71.3', '#ff0000')
    expect(desk.held(71, 'intensity')).toBeUndefined()
    expect(desk.held(71.1, 'position')).toBeUndefined()
    const [bar, ...cells] = [71, 71.1, 71.2, 71.3].map((number) => desk.seen(number))
    if (!bar) throw new Error('it hangs')
    expect(cells.map(({ intensity }) => intensity)).toEqual([0, 0.8, 0])
    for (const [i, cell] of cells.entries()) {
      expect(cell.position.pose).toMatchObject({ pan: bar.position.pose.pan, tilt: bar.position.pose.tilt })
      expect(cell.zoom.angle).toBe(14)
      expect(cell.beam.direction).toEqual(bar.beam.direction)
      // Nothing turns the bar round its light here: its lenses stand in a row across the stage.
      expect(distance(cell.beam.lens, bar.beam.lens)).toBeCloseTo(Math.abs(i - 1) * 0.2, 9)
      const throwMetres = cell.position.throwMetres ?? 0
      const landed = add(cell.beam.lens, scale(cell.beam.direction, throwMetres))
      expect(distance(landed, cell.position.point ?? vec3(0, 0, -9))).toBeLessThan(1e-6)
    }
  })

  it('are sent on channels of their own', () => {
    desk.level('71', 'zoom', 40)
    desk.level('71.2', 'intensity', 1)
    desk.look('71.2', '#00ff00')
    desk.look('71.3', '#0000ff')
    const levels = channelLevels(desk.show, desk.now).get(1) ?? new Uint8Array()
    // Pan and tilt in the middle, zoom, then intensity, red, green and blue of each cell.
    const [, red, green, blue] = [...levels.slice(9, 13)]
    expect([...levels.slice(0, 5)]).toEqual([128, 0, 128, 0, 255])
    expect(levels[9]).toBe(255)
    expect(green).toBeGreaterThan(Math.max(red ?? 0, blue ?? 0))
    expect(levels[13]).toBe(0)
    expect(levels[16]).toBeGreaterThan(Math.max(levels[14] ?? 0, levels[15] ?? 0))
  })

  it('move when their bar does, in the lists', () => {
    desk.aim('71', 'Mark')
    desk.level('71', 'intensity', 1)
    desk.cue(1)
    desk.aim('71', 'Bow')
    desk.level('71.1', 'intensity', 0)
    desk.cue(2)
    desk.go(1)
    const from = desk.seen(71.2).position.pose
    desk.do('goToCue', { list: desk.choose.list(1), cue: desk.choose.cue(1, 2), seconds: 4 })
    const sent = (now: number) => [...(channelLevels(desk.show, now).get(1) ?? [])].slice(0, 10)
    const [start, middle, end] = [0, 2000, 9000].map((after) => sent(desk.now + after))
    expect(desk.seen(71.2).position.pose).not.toEqual(from)
    expect(middle?.slice(0, 2)).not.toEqual(start?.slice(0, 2))
    expect(middle?.slice(0, 2)).not.toEqual(end?.slice(0, 2))
    expect([start, middle, end].map((levels) => levels?.[5])).toEqual([255, 128, 0])
    expect([start, middle, end].map((levels) => levels?.[9])).toEqual([255, 255, 255])
  })

  it('take the place of those of another fixture, or of one without', () => {
    desk.level('71.1-2', 'intensity', 0.4)
    desk.level('71.3', 'intensity', 0.9)
    const [from, to, plain] = ['71', '72', '11'].map((entry) => desk.fixtures(entry)[0])
    if (!from || !to || !plain) throw new Error('they are there')
    desk.do('replaceFixture', { from, to })
    expect([72.1, 72.2, 72.3].map((number) => desk.held(number, 'intensity'))).toEqual(
      [0.4, 0.4, 0.9].map((number) => ({ kind: 'number', number })),
    )
    expect(desk.held(71.3, 'intensity')).toBeUndefined()
    desk.do('replaceFixture', { from: to, to: plain })
    expect(desk.held(11, 'intensity')).toEqual({ kind: 'number', number: 0.4 })
    desk.do('replaceFixture', { from: plain, to })
    expect([72.1, 72.3].map((number) => desk.held(number, 'intensity'))).toEqual(
      [0.4, 0.4].map((number) => ({ kind: 'number', number })),
    )
  })
})

describe('a type with cells', () => {
  it('has no cells that point each somewhere', () => {
    const pointing = { ...swift, cells: { ...swift.cells, has: ['position'] } }
    expect(fixtureType.safeParse(pointing).error?.issues[0]?.message).toBe('a fixture has one position')
  })

  it('is told which of its cells lack a channel, or have none', () => {
    const channels = laidOutChannels(
      CHANNELS.flatMap((channel) => {
        if (channel.name === 'Red 2') return []
        return [channel.name === 'Blue 3' ? { ...channel, cell: 4 } : channel]
      }),
    )
    expect(modeFaults(swift, CHANNELS).filter(({ severity }) => severity === 'wrong')).toEqual([])
    expect(modeFaults(swift, channels).map(({ message }) => message)).toEqual(
      expect.arrayContaining(['is for cell 4, but there are 3', 'no channel for Red of cell 2']),
    )
  })
})

it('a selection is written so that it selects just that', () => {
  const all = [...rigOf(desk.show).values()]
  fc.assert(
    fc.property(fc.shuffledSubarray(all), (some) => {
      const ids = some.map(({ id }) => id)
      const written = writtenFixtures(desk.show, ids, 99)
      // A bar without its cells cannot be typed: its number means all of it.
      const meant = some.flatMap(({ id, cells }) => [id, ...cells])
      expect(new Set(written === '' ? [] : desk.fixtures(written))).toEqual(new Set(meant))
    }),
  )
  expect(writtenFixtures(desk.show, desk.fixtures('11-14, 71, 72.1-3'))).toBe('11-14, 71, 72.1-3')
  expect(fixtureNumber({ number: 7, cell: 12 })).toBe('7.12')
})
