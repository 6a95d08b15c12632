import fc from 'fast-check'
import { expect, it } from 'vitest'
import { rounds, Tally } from '../../tests/support/rounds'
import { rotation } from '../geometry/rotation'
import { beamAt, missDistance } from './forward'
import { mountHead, type Head } from './head'
import { solveAim } from './inverse'

const tally = new Tally('Out of reach')
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const offset = fc.oneof(fc.constant(0), number(-0.4, 0.4))
const narrow: fc.Arbitrary<Head> = fc
  .record({ pan: number(60, 300), tilt: number(40, 120), lean: number(-60, 60), across: offset, normal: offset })
  .map(({ pan, tilt, lean, across, normal }) => ({
    pan: { min: -pan / 2, max: pan / 2 },
    tilt: { min: lean - tilt / 2, max: lean + tilt / 2 },
    pivotDrop: 0,
    lens: { across, normal, forward: 0.2 },
  }))
const place = fc.record({ x: number(-12, 12), y: number(-8, 14), z: number(0, 10) })
const STEPS = 60

it('finds no pose on a fine grid that comes nearer than the one given, with the lens on or off the axes', () => {
  fc.assert(
    fc.property(narrow, place, (head, target) => {
      const mount = mountHead(head, { origin: { x: 0, y: 2, z: 6 }, rotation: rotation(0, 0, 0) })
      const solved = solveAim(mount, target)
      if (solved.reachable) return
      tally.count(head.lens.across || head.lens.normal ? 'with an offset' : 'without')
      let nearest = Infinity
      for (let i = 0; i <= STEPS; i++)
        for (let j = 0; j <= STEPS; j++) {
          const pan = head.pan.min + ((head.pan.max - head.pan.min) * i) / STEPS
          const tilt = head.tilt.min + ((head.tilt.max - head.tilt.min) * j) / STEPS
          nearest = Math.min(nearest, missDistance(beamAt(mount, { pan, tilt }), target))
        }
      expect(solved.missMetres).toBeLessThanOrEqual(nearest + 1e-6)
      expect(solved.missMetres).toBeCloseTo(missDistance(beamAt(mount, solved), target), 9)
    }),
    rounds(60),
  )
})
