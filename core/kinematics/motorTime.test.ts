import { describe, expect, it } from 'vitest'
import { axisTime, moveTime } from './motorTime'

const axis = { min: -180, max: 180, speed: 100, acceleration: 200 }

describe('motor time', () => {
  it('of a long move: the run at full speed and one time to reach it', () => {
    expect(axisTime(axis, 150)).toBeCloseTo(150 / 100 + 100 / 200, 12)
    expect(axisTime(axis, -150)).toBe(axisTime(axis, 150))
  })

  it('of a short move: it turns round half way; both agree where they meet', () => {
    expect(axisTime(axis, 8)).toBeCloseTo(2 * Math.sqrt(8 / 200), 12)
    expect(axisTime(axis, 50)).toBeCloseTo(axisTime(axis, 50.0001), 4)
    expect(axisTime(axis, 0)).toBe(0)
  })

  it('of a head: the slower axis decides; without speeds degrees stand for seconds', () => {
    const head = { pan: axis, tilt: { min: -90, max: 90 }, pivotDrop: 0, lens: { across: 0, normal: 0, forward: 0 } }
    expect(moveTime(head, { pan: 0, tilt: 0 }, { pan: 100, tilt: 1 })).toBeCloseTo(1.5, 12)
    expect(moveTime(head, { pan: 0, tilt: 0 }, { pan: 1, tilt: -40 })).toBe(40)
  })
})
