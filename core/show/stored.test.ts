import { expect, it } from 'vitest'
import { asStored } from './stored'

it('is the value itself, but for signs of zero and what is beyond three decimals of a number', () => {
  const aim = { kind: 'angles', pan: 12.3456, tilt: 0 }
  expect(asStored('handValue/a/$', aim)).toBe(aim)
  expect(asStored('handValue/a/$', { ...aim, tilt: -0, more: [-0, { x: -0 }] })).toEqual({
    ...aim,
    tilt: 0,
    more: [0, { x: 0 }],
  })
  expect(asStored('hangPlace/a/yaw', -0)).toBe(0)
  expect(asStored('palette/a/number', 0.1 + 0.2)).toBe(0.3)
  expect(asStored('hangPlace/a/yaw', 0.1 + 0.2)).toBe(0.1 + 0.2)
  expect(asStored('palette/a/name', undefined)).toBeUndefined()
})
