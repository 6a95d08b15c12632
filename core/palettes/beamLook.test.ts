import { expect, it } from 'vitest'
import { beamLook } from './beamLook'

const number = (number: number) => ({ kind: 'number', number }) as const

it('takes of values what shapes a beam by itself', () => {
  expect(
    beamLook([
      { attribute: 'zoom', value: number(12) },
      { attribute: 'edge', value: number(0.2) },
      { attribute: 'shutterBottom', value: number(0.4) },
      { attribute: 'colour', value: { kind: 'colour', x: 0.3, y: 0.3, level: 1 } },
    ]),
  ).toEqual({
    zoomDegrees: 12,
    intensity: null,
    edge: 0.2,
    iris: null,
    shutters: { top: 0, right: 0, bottom: 0.4, left: 0 },
  })
})

it('is none of a colour, nor of a pool that is as wide as its throw makes it', () => {
  expect(beamLook([{ attribute: 'colour', value: { kind: 'colour', x: 0.3, y: 0.3, level: 1 } }])).toBeNull()
  expect(beamLook([{ attribute: 'zoom', value: { kind: 'pool', diameter: 1.8 } }])).toBeNull()
})
