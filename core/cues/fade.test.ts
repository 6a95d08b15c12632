import fc from 'fast-check'
import { expect, it } from 'vitest'
import { rounds } from '../../tests/support/rounds'
import { Desk } from '../../tests/support/smallShow'
import { add, scale, subtract, vec3, type Vec3 } from '../geometry/vector'
import { missDistance } from '../kinematics/forward'
import { surfacesOf } from '../venue/surfaces'
import { fadedTo } from './fade'

const surfaces = (desk: Desk) => surfacesOf(desk.show)

it('begins where it was, ends where it is set, and its light lies on its beam all the way', () => {
  const desk = new Desk()
  desk.aim('11', 'Mark')
  desk.level('11', 'zoom', 12)
  const from = desk.seen(11)
  desk.aim('11', 'Bow')
  desk.level('11', 'zoom', 20)
  desk.level('11', 'intensity', 0.8)
  const to = desk.seen(11)
  const begun = fadedTo(from, to, () => 0, surfaces(desk))
  expect(begun.position.pose.pan).toBeCloseTo(from.position.pose.pan, 9)
  expect(begun.position.point?.x).toBeCloseTo(from.position.point?.x ?? Number.NaN, 6)
  expect(fadedTo(from, to, () => 1, surfaces(desk))).toEqual(to)
  for (const t of [0.25, 0.5, 0.75]) {
    const on = fadedTo(from, to, () => t, surfaces(desk))
    expect(on.intensity).toBeCloseTo(0.8 * t, 9)
    expect(on.zoom.angle).toBeCloseTo(12 + 8 * t, 9)
    expect(on.position.point && missDistance(on.beam, on.position.point)).toBeCloseTo(0, 6)
  }
})

it('of light that will land nowhere has a pool for as long as it lands, and then none', () => {
  const desk = new Desk()
  const from = desk.seen(12)
  desk.do('turnHeads', { fixtures: desk.fixtures('12'), pan: null, tilt: { how: 'to', degrees: 100 } })
  const at = (t: number) => fadedTo(from, desk.seen(12), () => t, surfaces(desk))
  const down = at(0.5)
  expect(down.position.point?.z).toBe(0)
  expect(down.position.point && missDistance(down.beam, down.position.point)).toBeCloseTo(0, 6)
  expect(down.zoom.pool).toBeGreaterThan(0)
  const up = at(0.95)
  expect([up.position.point, up.position.throwMetres, up.zoom.pool]).toEqual([null, null, null])
})

it('goes straight from near level as if the light ended as far away as it is to go', () => {
  const desk = new Desk()
  desk.do('turnHeads', { fixtures: desk.fixtures('12'), pan: null, tilt: { how: 'to', degrees: 89.9 } })
  const from = desk.seen(12)
  expect(from.position.throwMetres).toBeNull()
  desk.aim('12', 'Mark')
  const to = desk.seen(12)
  for (const t of [0.01, 0.25, 0.5, 0.75, 0.99]) {
    const on = fadedTo(from, to, () => t, surfaces(desk), 'straight')
    expect(on.position.throwMetres).toBeLessThan(10)
    expect(on.position.point && missDistance(on.beam, on.position.point)).toBeCloseTo(0, 6)
  }
})

it('straight, lights that set out and arrive together lie on each other all the way, and no head jumps', () => {
  const desk = new Desk()
  const numbers = [11, 12, 13, 14, 41]
  const within = (min: number, max: number) => fc.double({ min, max, noNaN: true })
  const place = fc.record({ x: within(-5, 5), y: within(-1, 8), z: within(0, 2.5) })
  const mark = vec3(0, 2, 0)
  const aimed = (at: Vec3) => {
    desk.aim(numbers.join(), 'Mark', subtract(at, mark))
    return numbers.map((number) => desk.seen(number))
  }
  let together = 0
  fc.assert(
    fc.property(place, place, (a, b) => {
      const [starts, ends] = [aimed(a), aimed(b)]
      const ways = starts.flatMap((from, i) => {
        const to = ends[i]
        const stays = to?.position.side === from.position.side
        const reach = [from, to].every((one) => one?.position.state === 'reached')
        return to && stays && reach ? [{ from, to }] : []
      })
      together += ways.length
      const steps = 200
      for (const { from, to } of ways) {
        let before = from.position.pose
        for (let i = 1; i <= steps; i++) {
          const on = fadedTo(from, to, () => i / steps, surfaces(desk), 'straight')
          const there = add(a, scale(subtract(b, a), i / steps))
          expect(missDistance(on.beam, there)).toBeLessThan(0.01)
          // Half a turn in a two hundredth of the way would be a jump to the other way round.
          expect(Math.abs(on.position.pose.pan - before.pan)).toBeLessThan(170)
          before = on.position.pose
        }
      }
    }),
    rounds(12),
  )
  expect(together).toBeGreaterThan(20)
})
