import { expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { beamAt } from '../kinematics/forward'
import { landingOnGround } from '../venue/landing'
import { surfacesOf } from '../venue/surfaces'
import { floorBand } from './floorBand'

it('bands lie inside the stops, light the floor all over, and leave out no tilt that does', () => {
  const desk = new Desk()
  const { levels } = surfacesOf(desk.show)
  for (const number of [11, 41]) {
    const { mount } = desk.seen(number).rigged
    const bands = floorBand(mount, levels)
    expect(bands.length).toBeGreaterThan(10)
    for (let pan = Math.ceil(mount.head.pan.min / 10) * 10; pan <= mount.head.pan.max; pan += 10)
      for (let tilt = mount.head.tilt.min; tilt <= mount.head.tilt.max; tilt += 3) {
        const beam = beamAt(mount, { pan, tilt })
        const point = landingOnGround(levels, beam)?.point
        const isLit = point !== undefined && Math.hypot(point.x - beam.lens.x, point.y - beam.lens.y) < 60
        const isBanded = bands.some((band) => band.pan === pan && band.from <= tilt && tilt <= band.to)
        expect([pan, tilt, isBanded]).toEqual([pan, tilt, isLit])
      }
  }
})
