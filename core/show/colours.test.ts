import fc from 'fast-check'
import { beforeEach, describe, expect, it } from 'vitest'
import { dunlin, plover, tern } from '#demo/types'
import { Desk } from '../../tests/support/smallShow'
import { colourDifference, colourOfHex, WHITE } from '../colour/colour'
import { shownColour } from '../cues/shownColour'
import { channelLevels } from '../output/channelLevels'
import { colourBetween, gamutOf, lookOf, madeColour, partsOf, restColour } from './colours'
import { fixtureTypeId } from './ids'
import { colourIn, type PlainColour } from './values'

const look = (hex: string): PlainColour => ({ kind: 'colour', ...(colourOfHex(hex) ?? WHITE) })
const level = fc.double({ min: 0, max: 1, noNaN: true })

describe('what a type makes of a colour', () => {
  it('is a mixture of its parts, of which none is needed at rest', () => {
    expect(madeColour(tern, restColour(tern)).parts).toEqual(new Map(partsOf(tern).map((part) => [part, 0])))
    const amber = madeColour(dunlin, look('#ff8047'))
    expect([...amber.parts.keys()]).toEqual(['part:Red', 'part:Amber', 'part:Lime', 'part:Green', 'part:Blue'])
    expect(amber.difference).toBeLessThan(0.1)
    expect(madeColour(tern, look('#ff8047')).difference).toBeLessThan(0.5)
  })

  it('is the nearest slot where it has a wheel only, with how far that is off', () => {
    const slots = plover.wheels[0]?.slots ?? []
    for (const [slot, { colour }] of slots.entries())
      expect(madeColour(plover, look(colour ?? ''))).toMatchObject({ slot, difference: expect.closeTo(0, 6) })
    expect(madeColour(plover, look('#ff00ff')).difference).toBeGreaterThan(5)
  })

  it('of parts is what they look like, and looks the same when asked for by that look', () => {
    fc.assert(
      fc.property(level, level, level, (a, b, c) => {
        fc.pre(a + b + c > 0.1)
        const parts: PlainColour = { kind: 'parts', parts: { 'part:Red': a, 'part:Green': b, 'part:Blue': c } }
        const wanted = lookOf(dunlin, parts)
        const { look: made } = madeColour(dunlin, wanted)
        expect(colourDifference(madeColour(dunlin, parts).look, made)).toBeLessThan(0.05)
      }),
      { numRuns: 50 },
    )
  })

  it('goes over as it looks, or part by part, and in both from one end to the other', () => {
    const [from, to] = [look('#ff0000'), look('#0000ff')]
    for (const fade of ['by look', 'by parts'] as const) {
      expect(colourBetween(dunlin, from, to, 0, fade)).toBe(from)
      expect(colourBetween(dunlin, from, to, 1, fade)).toBe(to)
    }
    const half = colourBetween(dunlin, from, to, 0.5, 'by parts')
    const [ends, middle] = [[from, to].map((end) => madeColour(dunlin, end).parts), madeColour(dunlin, half).parts]
    for (const part of partsOf(dunlin)) {
      const mean = ends.reduce((sum, end) => sum + (end.get(part) ?? 0) / 2, 0)
      expect(middle.get(part)).toBeCloseTo(mean, 9)
    }
    expect(colourBetween(dunlin, from, to, 0.5, 'by look')).toMatchObject({ kind: 'colour' })
  })

  it('lies inside what its gamut says', () => {
    expect(gamutOf(dunlin).length).toBeGreaterThanOrEqual(4)
    expect(gamutOf(tern).length).toBeGreaterThan(3)
    expect(gamutOf({ ...plover, wheels: [] })).toEqual([])
  })
})

describe('colours on the stage', () => {
  let desk: Desk
  beforeEach(() => {
    desk = new Desk()
    desk.do('setTake', { family: 'colour', take: true })
  })
  it('are set part by part, the others as they are shown, where a fixture has the part', () => {
    desk.look('11, 41', '#8cc7ff')
    const before = madeColour(tern, desk.seen(11).colour).parts
    const colour = { kind: 'parts', parts: { 'part:Cyan': 0.25 } } as const
    desk.do('setColour', { fixtures: desk.fixtures('11, 41'), colour })
    expect(desk.held(11, 'colour')).toEqual({
      kind: 'parts',
      parts: { ...Object.fromEntries(before), ...colour.parts },
    })
    expect(desk.held(41, 'colour')).toMatchObject({ kind: 'colour' })
    const strange = { fixtures: desk.fixtures('11'), colour: { kind: 'parts', parts: { 'part:Mauve': 1 } } } as const
    expect(desk.refused('setColour', strange)).toContain('Mauve')
  })

  it('recorded as usual serve any fixture by their look, and the type by its parts', () => {
    desk.look('11', '#8cc7ff')
    desk.do('recordPalette', { number: 1, name: 'Sky', shelf: 'colour', colour: 'shoal', reach: 'usual' })
    desk.do('recallPalette', { palette: desk.choose.palette(1), fixtures: desk.fixtures('41') })
    expect(desk.seen(41).colour).toEqual(look('#8cc7ff'))
    desk.do('clearHand', { families: ['colour'], fixtures: desk.fixtures('41') })
    desk.do('setColour', { fixtures: desk.fixtures('11'), colour: { kind: 'parts', parts: { 'part:Cyan': 1 } } })
    desk.do('recordPalette', { number: 2, name: 'Cyan', shelf: 'colour', colour: 'shoal', reach: 'usual' })
    const whom = (number: number) =>
      [...desk.show.all.paletteValue.values()].flatMap((stored) =>
        stored.palette === desk.choose.palette(number) ? [[stored.fixtureType !== null, stored.value.kind]] : [],
      )
    expect(whom(2)).toEqual([[true, 'parts']])
    desk.do('recordPalette', { number: 3, name: 'Cyan for any', shelf: 'colour', colour: 'shoal', reach: 'any' })
    expect(whom(3)).toEqual([[false, 'colour']])
  })

  it('drive a wheel that is open, and leave one alone that is set', () => {
    const [kind] = [...desk.show.all.fixtureType].find(([, { name }]) => name === 'Plover 250') ?? []
    const type = fixtureTypeId.parse(kind)
    const turn = { out: 0, drop: 0, yaw: 0, pitch: 0, roll: 0, mode: null, count: 1, gap: null, middle: 0 }
    desk.do('placeFixtures', { ...turn, hang: desk.choose.hang('Bar'), type, numberFrom: 31 })
    desk.do('patchFixtures', { fixtures: desk.fixtures('31'), universe: 1, address: 1, gap: 0, apart: 'never' })
    const channel = plover.modes[0]?.channels.find(({ name }) => name === 'Colour')?.coarse ?? 0
    const sent = () => channelLevels(desk.show, 0).get(1)?.[channel - 1]
    expect(sent()).toBe(0)
    desk.look('31', '#ffb347')
    expect(sent()).toBe(20)
    expect(shownColour(desk.seen(31)).green).toBeCloseTo(0xb3 / 255, 2)
    desk.do('setValue', {
      fixtures: desk.fixtures('31'),
      attribute: 'colourWheel',
      value: { kind: 'number', number: 6 },
    })
    expect(sent()).toBe(60)
    expect(colourIn(desk.held(31, 'colour') ?? null)).not.toBeNull()
  })
})
