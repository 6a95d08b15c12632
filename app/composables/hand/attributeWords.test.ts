import { describe, expect, it } from 'vitest'
import type { AttributeRange } from '#core/show/attributeRange'
import { tern } from '#demo/types'
import { familyInWords, isAway, shownInWords } from './attributeWords'
import type { HandAttribute } from './useHandAttributes'

const LEVEL: AttributeRange = { min: 0, max: 1, home: 0, unit: 'level', fastest: null }
const ANGLE: AttributeRange = { min: -180, max: 180, home: 0, unit: 'turn', fastest: 60 }
const SPIN: AttributeRange = { min: -60, max: 60, home: 0, unit: 'rpm', fastest: 60 }
const KELVIN: AttributeRange = { min: 2800, max: 6800, home: 6800, unit: 'kelvin', fastest: null }

function row(name: string, range: AttributeRange, low: number, high = low, more: Partial<HandAttribute> = {}) {
  const plain = {
    attribute: 'edge',
    family: 'beam',
    wheel: null,
    isHeld: false,
    fixtures: 1,
    among: 1,
    isTaken: true,
    isHeldBack: false,
  } as const
  return { ...plain, name, range, low, high, first: low, doesDiffer: false, ...more } satisfies HandAttribute
}

describe('what the hand shows of an attribute', () => {
  const wheel = tern.wheels[0] ?? null
  const slots: AttributeRange = { min: 0, max: 5, home: 0, unit: 'slot', fastest: null }

  it.each([
    ['one level', row('edge', LEVEL, 0.355), '36'],
    ['levels from and to', row('edge', LEVEL, 0.36, 0.8), '36–80'],
    ['an angle', row('gobo turn', ANGLE, 12.25), '12.3'],
    ['how it spins', row('gobo turn', SPIN, 12), '12 rpm'],
    ['kelvin without decimals', row('temperature', KELVIN, 3199.6), '3200'],
    ['a slot by its name', row('gobo', slots, 4, 4, { wheel }), 'Net'],
    ['a slot of different wheels by its number', row('gobo', slots, 4), '4'],
    ['several slots', row('gobo', slots, 1, 3, { wheel }), 'differ'],
    ['spinning and standing', row('gobo turn', ANGLE, 0, 12, { doesDiffer: true }), 'differ'],
  ])('is %s', (_, attribute, expected) => expect(shownInWords(attribute)).toBe(expected))

  it('says of a family what is away from rest, and nothing of the rest', () => {
    const family = [
      row('zoom', { min: 6, max: 48, home: 27, unit: 'degrees', fastest: null }, 15, 20),
      row('edge', LEVEL, 0),
      row('frost', LEVEL, 0.5),
      row('temperature', KELVIN, 6800),
      row('gobo turn', SPIN, -5),
      row('gobo', slots, 0, 0, { wheel }),
    ]
    expect(family.map(isAway)).toEqual([true, false, true, false, true, false])
    expect(familyInWords(family)).toBe('zoom 15–20°, frost 50 %, gobo turn -5 rpm')
    expect(familyInWords([])).toBe('')
  })
})
