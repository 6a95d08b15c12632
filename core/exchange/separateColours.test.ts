import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { channelLevels } from '../output/channelLevels'
import { documentInRecords } from '../../tests/support/showDocument'
import { plainChannel } from '../show/entities'
import { showId } from '../show/ids'
import { readShowDocument } from './showFile'
import { oneColour, withOneColourLine } from './separateColours'

const number = (value: number) => ({ kind: 'number', number: value })
const link = { kind: 'link', palette: 'p1' }

describe('red, green and blue of before', () => {
  it('are a link where one of them was, a colour of the levels there were, the rest at 1', () => {
    expect(oneColour({ red: number(0.5), green: link, blue: number(1) })).toEqual(link)
    expect(oneColour({ red: number(1) })).toMatchObject({ level: 1, x: expect.closeTo(0.3127, 3) })
    expect(oneColour({ red: number(0), green: number(0), blue: number(0) })).toMatchObject({ level: 0 })
    expect(oneColour({ red: { kind: 'rest' }, green: { kind: 'rest' } })).toEqual({ kind: 'rest' })
  })

  it('are one line of a palette that travels', () => {
    const lines = [
      { serves: 'any', attribute: 'red', value: number(1) },
      { serves: 'any', attribute: 'green', value: number(0) },
      { serves: 'any', attribute: 'zoom', value: number(12) },
      { serves: { fixture: 4 }, attribute: 'blue', value: link },
    ]
    expect(withOneColourLine(lines)).toMatchObject([
      { attribute: 'zoom' },
      { serves: 'any', attribute: 'colour', value: { kind: 'colour' } },
      { serves: { fixture: 4 }, attribute: 'colour', value: link },
    ])
  })

  const level = fc.double({ min: 0, max: 1, noNaN: true })
  it('send out of a back-up what they sent then', () => {
    fc.assert(
      fc.property(level, level, level, (red, green, blue) => {
        const sent = [red, green, blue]
        const show = openedOf({ red, green, blue })
        const levels = channelLevels(show, 0).get(1)
        for (const [i, part] of sent.entries())
          expect(Math.abs((levels?.[4 + i] ?? 0) - Math.round(part * 255))).toBeLessThanOrEqual(1)
      }),
      { numRuns: 20 },
    )
  })
})

/** A show of before, in which a hand holds the three of fixture 11, patched to what mixes by them. */
function openedOf(levels: Readonly<Record<'red' | 'green' | 'blue', number>>) {
  const desk = new Desk()
  const fixture = desk.fixture(11)
  const { type, mode } = desk.show.all.fixture.get(fixture) ?? {}
  desk.do('patchFixtures', { fixtures: [fixture], universe: 1, address: 1, gap: 0, apart: 'never' })
  const file = documentInRecords(desk.show)
  const all = file.contents
  const separate = ['red', 'green', 'blue'] as const
  const held = (attribute: (typeof separate)[number]) => [
    `${desk.person}.${fixture}.${attribute}`,
    { person: desk.person, fixture, attribute, value: number(levels[attribute]), source: null, arrival: null },
  ]
  const drives = (does: string, coarse: number) => ({
    ...plainChannel({ name: does, does: 'intensity', coarse, fine: null, from: 0, to: 1, rest: 0 }),
  })
  const channels = ['pan', 'tilt', 'intensity', 'zoom', ...separate].map((does, i) => {
    const channel = drives(does, i + 1)
    return { ...channel, functions: channel.functions.map((one) => ({ ...one, does })) }
  })
  const contents = {
    ...all,
    handValue: separate.map(held),
    fixtureType: all.fixtureType?.map(([id, one]) => [
      id,
      id === type ? { ...Object(one), has: ['intensity', 'position', 'zoom', ...separate], mixing: undefined } : one,
    ]),
    fixtureMode: all.fixtureMode?.map(([id, one]) => [id, id === mode ? { ...Object(one), channels } : one]),
  }
  const read = readShowDocument(JSON.parse(JSON.stringify({ ...file, contents })), showId.parse('copy'))
  if (!read.ok) throw new Error(read.message)
  return read.show
}
