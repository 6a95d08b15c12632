import fc from 'fast-check'
import { expect, it } from 'vitest'
import { colourDistance, colourOf, nearestSlot } from './colourMatch'

const level = fc.double({ min: 0, max: 1, noNaN: true })
const rgb = fc.record({ red: level, green: level, blue: level })
const slot = (name: string, colour: string | null) => ({ name, colour, pattern: null })

it('is a distance: nought to itself, the same both ways, never shorter by a detour', () => {
  fc.assert(
    fc.property(rgb, rgb, rgb, (a, b, c) => {
      expect(colourDistance(a, a)).toBe(0)
      expect(colourDistance(a, b)).toBeCloseTo(colourDistance(b, a), 9)
      expect(colourDistance(a, c)).toBeLessThanOrEqual(colourDistance(a, b) + colourDistance(b, c) + 1e-9)
    }),
  )
})

it('puts black and white a hundred apart, and green from red further than orange', () => {
  const [black, white] = [colourOf('#000000'), colourOf('#ffffff')]
  const [red, orange, green] = [colourOf('#ff0000'), colourOf('#ff8000'), colourOf('#00ff00')]
  if (!black || !white || !red || !orange || !green) throw new Error('colours read')
  expect(colourDistance(black, white)).toBeCloseTo(100, 3)
  expect(colourDistance(red, orange)).toBeLessThan(colourDistance(red, green))
})

it('chooses the nearest slot and says how far off; a wheel without colours has none', () => {
  const wheel = { kind: 'colour' as const, name: 'W', slots: [slot('Open', '#ffffff'), slot('Rust', '#e0552b')] }
  expect(nearestSlot(wheel, { red: 0.9, green: 0.3, blue: 0.1 })).toMatchObject({ slot: 1 })
  expect(nearestSlot({ ...wheel, slots: [slot('A', null), slot('B', null)] }, { red: 1, green: 1, blue: 1 })).toBeNull()
})
