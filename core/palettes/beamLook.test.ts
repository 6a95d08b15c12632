import { expect, it } from 'vitest'
import { tern } from '#demo/types'
import { beamLook } from './beamLook'

const number = (number: number) => ({ kind: 'number', number }) as const

it('takes of values what shapes a beam by itself', () => {
  expect(
    beamLook(tern, [
      { attribute: 'zoom', value: number(12) },
      { attribute: 'edge', value: number(0.2) },
      { attribute: 'shutterBottom', value: number(0.4) },
      { attribute: 'gobo', value: number(2) },
      { attribute: 'goboTurn', value: { kind: 'spin', rpm: 6 } },
      { attribute: 'colour', value: { kind: 'colour', x: 0.3, y: 0.3, level: 1 } },
    ]),
  ).toMatchObject({
    zoomDegrees: 12,
    intensity: null,
    shape: {
      softness: expect.closeTo(0.2, 12),
      iris: 1,
      blades: [{ side: 'bottom', depth: 0.4, angle: 0 }],
      gobos: [{ pattern: 'ripples', turn: { degrees: 0, rpm: 6 } }],
      prism: null,
    },
  })
})

it('is none of a colour, nor of a pool that is as wide as its throw makes it', () => {
  expect(beamLook(tern, [{ attribute: 'colour', value: { kind: 'colour', x: 0.3, y: 0.3, level: 1 } }])).toBeNull()
  expect(beamLook(tern, [{ attribute: 'zoom', value: { kind: 'pool', diameter: 1.8 } }])).toBeNull()
})
