import { expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { beamAt } from '../kinematics/forward'
import { landing } from '../palettes/solve'
import { floorBand } from './floorBand'

it('bands lie inside the stops, light the floor all over, and leave out no tilt that does', () => {
  const desk = new Desk()
  for (const number of [11, 41]) {
    const { mount } = desk.seen(number).rigged
    const bands = floorBand(mount)
    expect(bands.length).toBeGreaterThan(10)
    for (let pan = Math.ceil(mount.head.pan.min / 10) * 10; pan <= mount.head.pan.max; pan += 10)
      for (let tilt = mount.head.tilt.min; tilt <= mount.head.tilt.max; tilt += 3) {
        const beam = beamAt(mount, { pan, tilt })
        const point = landing(beam)
        const isLit = point !== null && Math.hypot(point.x - beam.lens.x, point.y - beam.lens.y) < 60
        const isBanded = bands.some((band) => band.pan === pan && band.from <= tilt && tilt <= band.to)
        expect([pan, tilt, isBanded]).toEqual([pan, tilt, isLit])
      }
  }
})
