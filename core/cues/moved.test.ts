import { beforeEach, describe, expect, it } from 'vitest'
import { RING } from '../../tests/support/movements'
import { Desk } from '../../tests/support/smallShow'
import { add, cross, distance, length, normalise, subtract, vec3 } from '../geometry/vector'
import { displacement } from '../movement/lying'
import type { Movement } from '../movement/movement'
import { targetsOf } from '../show/targets'
import { surfacesOf } from '../venue/surfaces'
import { aimedOf, movedBy } from './moved'

const SMALL: Movement = { ...RING, along: 1, across: 1 }

let desk: Desk
beforeEach(() => {
  desk = new Desk()
})

/** A fixture as it is seen, so many rounds on. */
function moved(number: number, movement: Movement, rounds: number) {
  const still = desk.seen(number)
  const aimed = aimedOf(targetsOf(desk.show), still) ?? expect.fail('its light has a place')
  const off = displacement(movement, rounds, aimed)
  return { still, off, now: movedBy(still, aimed, off, surfacesOf(desk.show)) }
}

describe('a fixture that is moved', () => {
  it('has its light on the path, wherever it hangs, and its pool as large as it was asked', () => {
    desk.aim('11, 12, 41', 'Mark')
    desk.do('setValue', {
      fixtures: desk.fixtures('11, 12'),
      attribute: 'zoom',
      value: { kind: 'pool', diameter: 1.2 },
    })
    for (const number of [11, 12, 41])
      for (let i = 0; i < 12; i++) {
        const { still, off, now } = moved(number, SMALL, i / 12)
        const wanted = add(still.position.point ?? expect.fail(), off.offset)
        expect(distance(now.position.point ?? expect.fail(), wanted)).toBeLessThan(1e-9)
        const way = subtract(wanted, now.beam.lens)
        expect(length(cross(normalise(way), now.beam.direction)) * length(way)).toBeLessThan(1e-4)
        expect(now.position.throwMetres).toBeCloseTo(length(way), 6)
        expect(now.position.side).toBe(still.position.side)
        if (number < 41) expect(now.zoom.pool).toBeCloseTo(1.2, 6)
      }
  })

  it('by angles swings about where it points, and lands where that leads', () => {
    desk.aim('11', 'Mark')
    const { still, now } = moved(11, { ...SMALL, lies: 'angles', along: 10, across: 6 }, 0)
    expect(now.position.pose.pan).toBeCloseTo(still.position.pose.pan + 5, 9)
    expect(now.position.pose.tilt).toBeCloseTo(still.position.pose.tilt, 9)
    expect(now.position.point?.z).toBeCloseTo(0, 9)
  })

  it('along a line runs that from end to end, and stands still at a point', () => {
    desk.aim('11', 'Shore')
    const along: Movement = { ...SMALL, path: { form: 'target' } }
    const { position, end } =
      [...targetsOf(desk.show).values()].find(({ target }) => target.name === 'Shore') ?? expect.fail()
    expect(distance(moved(11, along, 0).now.position.point ?? vec3(0, 0, 0), position)).toBeLessThan(1e-9)
    expect(distance(moved(11, along, 0.5).now.position.point ?? vec3(0, 0, 0), end ?? vec3(0, 0, 0))).toBeLessThan(1e-9)
    desk.aim('11', 'Mark')
    const still = moved(11, along, 0.3)
    expect(still.now.position.point).toEqual(still.still.position.point)
  })

  it('follows what it is aimed at, as aims do', () => {
    desk.aim('11', 'Bow')
    const before = moved(11, SMALL, 0.3)
    desk.do('moveSetPiece', { setPiece: desk.choose.setPiece('Dory'), position: vec3(-1, 3, 0), yaw: 90 })
    const after = moved(11, SMALL, 0.3)
    const way = subtract(after.now.position.point ?? expect.fail(), before.now.position.point ?? expect.fail())
    expect(distance(way, vec3(1, 0, 0))).toBeLessThan(1e-6)
  })
})
