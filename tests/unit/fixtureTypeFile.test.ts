/** Fixture types in the open exchange format, off a file made by hand (see `tests/files`) and back from our own. */
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { typeWithModes } from '#core/commands/shared/typeWithModes'
import { readType } from '#core/exchange/gdtf/readType'
import { writeType } from '#core/exchange/gdtf/writeType'
import { NotReadable } from '#core/exchange/xml/xml'
import { modeFaults } from '#core/patch/modeCheck'
import { OSTREL_TYPES } from '#demo/types'

const heron = readFileSync('tests/files/heron.xml', 'utf8')
const read = () => {
  const reading = readType(heron)
  const [only] = reading.types
  return { ...reading, ...(only ?? expect.fail('it holds a type')) }
}
const channel = (name: string) =>
  read().type.modes[0]?.channels.find((one) => one.name === name) ?? expect.fail(`there is no ${name}`)

describe('a fixture type made by hand', () => {
  it('turns about a yoke built a quarter turn round, backwards over 630°, its lens off the axes', () => {
    const { type, id } = read()
    expect(id).toBe('5B0C2D9E-11AA-4F6B-9C3D-0123456789AB')
    expect([type.maker, type.name, type.form]).toEqual(['Velmar', 'Heron 300', 'wash'])
    expect(type.pan).toEqual({ min: -225, max: 405, speed: 180, acceleration: 360, reversed: true })
    expect(type.tilt).toMatchObject({ min: -110, max: 110, reversed: false })
    expect(type.pivotDrop).toBeCloseTo(0.35)
    expect(type.lens).toEqual({ across: 0.03, normal: 0.02, forward: 0.1 })
  })

  it('has channels of 8, 16 and 24 bit, in the units of what they do', () => {
    expect(channel('Pan')).toMatchObject({
      coarse: 1,
      fine: 2,
      finest: 3,
      functions: [{ does: 'pan', from: 405, to: -225 }],
    })
    expect(channel('Tilt')).toMatchObject({ coarse: 4, fine: 5, finest: null })
    expect(channel('Zoom').functions).toMatchObject([{ does: 'zoom', from: 40, to: 8 }])
    expect(channel('Flashing')).toMatchObject({
      snaps: true,
      functions: [
        { name: 'Closed', does: 'other', first: 0, last: 15 },
        { name: '', does: 'strobe', first: 16, last: 239, from: 1, to: 15 },
        { name: 'Open', does: 'strobe', first: 240, last: 255, from: 0, to: 0 },
      ],
    })
    expect(channel('Glasses').functions).toMatchObject([
      { name: 'Nothing in', does: 'colourWheel', first: 0, last: 9, from: 0, to: 0 },
      { name: 'Warmer', first: 10, last: 99, from: 1, to: 1 },
      { name: 'Bluest', first: 100, last: 199, from: 2, to: 2 },
      { name: 'Round and round', does: 'colourSpin', first: 200, last: 255, from: 2, to: 40 },
    ])
    expect(channel('Fan').functions).toMatchObject([{ does: 'other' }])
  })

  it('has three pixels by reference on an address of their own, which follows the first here', () => {
    const { type, breaks, notes } = read()
    expect(type.cells).toEqual({ count: 3, pitch: 0.2, has: ['colour'] })
    expect(breaks.get('Everything')).toEqual([
      { number: 1, first: 1, channels: 10 },
      { number: 2, first: 11, channels: 9 },
    ])
    const blues = type.modes[0]?.channels.filter(({ name }) => name === 'Blue')
    expect(blues?.map(({ coarse, cell }) => [coarse, cell])).toEqual([
      [13, 1],
      [16, 2],
      [19, 3],
    ])
    expect(type.mixing).toMatchObject({
      kind: 'emitters',
      parts: [
        { name: 'Red', x: 0.7, y: 0.29, flux: 20 },
        { name: 'Green', flux: 60 },
        { name: 'Blue', x: 0.143 },
      ],
    })
    expect(notes.map(({ about }) => about)).toEqual(['Blue', 'tilt'])
    expect(modeFaults(type, type.modes[0]?.channels ?? []).filter(({ severity }) => severity === 'wrong')).toEqual([])
  })

  it('counts its axes the other way round where that is said', () => {
    const [turned] = readType(heron, { leftHanded: ['pan'] }).types
    expect(turned?.type.pan).toMatchObject({ min: -225, max: 405, reversed: false })
    expect(turned?.type.tilt).toEqual(read().type.tilt)
  })
})

describe('a fixture type that is written', () => {
  it.each([...OSTREL_TYPES.map((type) => typeWithModes.parse(type)), read().type])(
    'is the same when read and written again: $name',
    (type) => {
      const written = writeType(type, '01234567-89AB-4CDE-8F01-23456789ABCD')
      const again = readType(written)
      expect(again.notes.filter(({ severity }) => severity === 'lost')).toEqual([])
      expect(again.types).toHaveLength(1)
      expect(writeType(again.types[0]?.type ?? expect.fail('it holds a type'), again.id)).toBe(written)
    },
  )

  it('keeps what it turns, how it listens and what it mixes', () => {
    for (const raw of OSTREL_TYPES) {
      const type = typeWithModes.parse(raw)
      const again = readType(writeType(type, 'x')).types[0]?.type
      const plain = ({ maker, name, form, pan, tilt, wheels, has, mixing, cells, modes }: typeof type) => ({
        maker,
        name,
        form,
        pan,
        tilt,
        wheels,
        has,
        mixing,
        cells,
        modes,
      })
      expect(again && plain(again)).toEqual(plain(type))
    }
  })
})

describe('what is no fixture type', () => {
  const refused = (xml: string) => {
    try {
      readType(xml)
    } catch (error) {
      return error instanceof NotReadable ? error.message : expect.fail('it is refused with a reason')
    }
    return null
  }
  it.each([
    ['', 'damaged'],
    ['<GDTF>', 'damaged'],
    ['<!DOCTYPE GDTF [<!ENTITY a "b">]><GDTF/>', 'document type'],
    ['<a>'.repeat(300) + '</a>'.repeat(300), 'nests deeper'],
    ['<Scene/>', 'no description'],
    [heron.replace('Geometry="Pixel" Position', 'Geometry="Pixels" Position'), 'not there'],
    [heron.replace('{0,-1,0,0}{1,0,0,0}', '{0,-1,0,0}{0,-1,0,0}'), 'no position'],
    [heron.replace(/<DMXModes>[\s\S]*<\/DMXModes>/, '<DMXModes/>'), 'no mode'],
  ])('is refused with the reason: %.40s', (xml, reason) => {
    expect(refused(xml)).toContain(reason)
  })
})
