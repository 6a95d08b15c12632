import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isNumberAttribute, type NumberAttribute } from '../attributes/attribute'
import { shownColour } from '../cues/shownColour'
import { rangeOf } from '../show/attributeRange'
import { lightShape } from '../show/lightShape'
import type { Channel } from '../show/entities'
import { plover, tern } from '#demo/types'
import { Desk } from '../../tests/support/smallShow'
import { channelLevels } from './channelLevels'
import { channelLight, highestLevel, levelInWords, levelsAtRest, readChannels } from './channelReading'

const named = (channels: readonly Channel[], name: string) => {
  const at = channels.findIndex((channel) => channel.name === name)
  const channel = channels[at]
  if (!channel) throw new Error(`there is no channel ${name}`)
  return { at, channel }
}

describe('levels on the channels of a mode', () => {
  it('say in words what they mean, function by function', () => {
    const channels = plover.modes[0]?.channels ?? []
    const { channel } = named(channels, 'Colour')
    const said = new Set(Array.from({ length: 256 }, (_, level) => levelInWords(plover, channel, level)))
    for (const slot of ['Straw', 'Rust', 'Foxglove']) expect(said).toContain(`colour wheel ${slot}`)
    const pan = named(tern.modes[0]?.channels ?? [], 'Pan').channel
    expect([0, highestLevel(pan)].map((level) => levelInWords(tern, pan, level))).toEqual(['pan -270.0°', 'pan 270.0°'])
  })

  it('at rest make plain light, straight down', () => {
    for (const type of [tern, plover]) {
      const channels = type.modes[0]?.channels ?? []
      const levels = levelsAtRest(type, channels, 0)
      const { pan, tilt, beam } = channelLight(type, channels, levels)
      expect([Math.abs(pan), Math.abs(tilt)].every((angle) => angle < 0.01)).toBe(true)
      expect(beam).toMatchObject({ intensity: 0, shape: { blades: [], gobos: [], prism: null, strobe: 0 } })
      expect(readChannels(channels, levels).get('intensity')).toMatchObject({ number: 0 })
      expect(channelLight(type, channels, levelsAtRest(type, channels, 1)).beam?.intensity).toBe(1)
    }
  })

  it('that go out for a fixture make the light the stage shows of it', () => {
    const able = tern.has.filter(isNumberAttribute).filter((one) => !['strobePulse', 'strobeRandom'].includes(one))
    const wish = fc.tuple(fc.constantFrom(...able), fc.double({ min: 0, max: 1, noNaN: true }))
    fc.assert(
      fc.property(fc.array(wish, { maxLength: 8 }), (wishes) => {
        const desk = new Desk()
        desk.do('patchFixtures', { fixtures: desk.fixtures('11'), universe: 1, address: 1, gap: 0, apart: 'never' })
        for (const [attribute, part] of wishes) set(desk, attribute, part)
        const { rigged, position, zoom, amounts, seen, ...rest } = desk.seen(11)
        const channels = desk.show.all.fixtureMode.get(rigged.fixture.mode ?? '')?.channels ?? []
        const out = channelLevels(desk.show, 0).get(1) ?? new Uint8Array(512)
        const light = channelLight(
          rigged.type,
          channels,
          channels.map((channel) => sentTo(out, channel)),
        )
        expect(light.pan).toBeCloseTo(position.pose.pan, 1)
        expect(light.tilt).toBeCloseTo(position.pose.tilt, 1)
        expect(light.beam?.zoomDegrees).toBeCloseTo(zoom.angle, 2)
        expect(light.beam?.intensity).toBeCloseTo(seen, 3)
        const shape = lightShape(rigged.type, amounts)
        expect(light.beam?.shape?.gobos.map(({ pattern }) => pattern)).toEqual(
          shape.gobos.map(({ pattern }) => pattern),
        )
        expect(light.beam?.shape?.prism?.facets).toBe(shape.prism?.facets)
        expect(light.beam?.shape?.iris).toBeCloseTo(shape.iris, 2)
        expect(light.beam?.shape?.strobe).toBeCloseTo(shape.strobe, 0)
        const colour = shownColour({ rigged, position, zoom, amounts, seen, ...rest })
        for (const band of ['red', 'green', 'blue'] as const) expect(light.colour[band]).toBeCloseTo(colour[band], 1)
      }),
      { numRuns: 40 },
    )
  })
})

function set(desk: Desk, attribute: NumberAttribute, part: number) {
  const { min, max, unit } = rangeOf(desk.seen(11).rigged.type, attribute)
  const number = min + part * (max - min)
  desk.do('setValue', {
    fixtures: desk.fixtures('11'),
    attribute,
    value: { kind: 'number', number: unit === 'slot' ? Math.round(number) : number },
  })
}

/** The level of a channel from its bytes in a universe it begins. */
function sentTo(out: Uint8Array, { coarse, fine, finest }: Channel): number {
  return [coarse, fine, fine === null ? null : finest].reduce<number>(
    (level, place) => (place === null ? level : level * 256 + (out[place - 1] ?? 0)),
    0,
  )
}
