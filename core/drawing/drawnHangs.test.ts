/** Where hangs and fixtures are drawn: in plan, where booms are laid open, and in a section, where they truly are. */
import { describe, expect, it } from 'vitest'
import { vec3 } from '../geometry/vector'
import { Desk } from '../../tests/support/smallShow'
import { drawnHangs, drawnSpots, type DrawnHang } from './drawnHangs'
import { FRONT, PLAN, SIDE } from './projections'
import { SECTION_HANGS, sectionSpots } from './sectionHangs'

const hangNamed = (hangs: readonly DrawnHang[], name: string): DrawnHang => {
  const found = hangs.find(({ hang }) => hang.hang.name === name)
  if (!found) throw new Error(`no hang ${name}`)
  return found
}
/** A show with three fixtures on its boom. */
function withBoom(): Desk {
  const desk = new Desk()
  const boom = desk.choose.hang('Boom')
  for (const [numberFrom, by] of [
    [42, 1],
    [43, -1.5],
  ] as const)
    desk.do('copyFixtures', { fixtures: desk.fixtures('41'), numberFrom, hang: boom, by })
  return desk
}

describe('hangs in plan', () => {
  it('lie where they are, with their fixtures at their pivots', () => {
    const desk = new Desk()
    const { from, to, fixtures, isUpright } = hangNamed(drawnHangs(desk.show), 'Bar')
    expect([from, to, isUpright]).toEqual([vec3(-4, 0, 7), vec3(4, 0, 7), false])
    expect(fixtures.map(({ label, at }) => [label, at.x])).toEqual([
      ['11', -3],
      ['12', -1],
      ['13', 1],
      ['14', 3],
    ])
  })

  it('are laid open where they stand upright, so that no sign lies on another', () => {
    const { fixtures, isUpright } = hangNamed(drawnHangs(withBoom().show), 'Boom')
    expect(isUpright).toBe(true)
    const [first, second, third] = fixtures.map(({ at }) => at)
    expect(new Set(fixtures.map(({ at }) => at.x)).size).toBe(1)
    expect((second?.y ?? 0) - (first?.y ?? 0)).toBeCloseTo((third?.y ?? 0) - (second?.y ?? 0), 9)
    expect(Math.abs((second?.y ?? 0) - (first?.y ?? 0))).toBeGreaterThan(1)
  })

  it('are the same ones as long as the rig is, whatever is in hand', () => {
    const desk = new Desk()
    const before = [drawnHangs(desk.show), drawnSpots(desk.show)]
    desk.aim('11', 'Bow')
    expect(drawnHangs(desk.show)).toBe(before[0])
    expect(drawnSpots(desk.show)).toBe(before[1])
  })
})

describe('hangs in a section', () => {
  it('draw fixtures seen behind each other once, with their numbers as a range', () => {
    const desk = new Desk()
    const side = hangNamed(SECTION_HANGS.side(desk.show), 'Bar')
    expect(side.fixtures.map(({ label, members }) => [label, members.length])).toEqual([['11–14', 4]])
    const front = hangNamed(SECTION_HANGS.front(desk.show), 'Bar')
    expect(front.fixtures.map(({ label }) => label)).toEqual(['11', '12', '13', '14'])
  })

  it('leave a boom as tall as it is, each fixture at its own height', () => {
    const desk = withBoom()
    const hangs = SECTION_HANGS.front(desk.show)
    const boom = hangNamed(hangs, 'Boom')
    expect(boom.to.z - boom.from.z).toBeCloseTo(3, 9)
    expect(new Set(boom.fixtures.map(({ at }) => at.z.toFixed(3))).size).toBe(3)
    expect(sectionSpots(hangs).size).toBe(desk.show.all.fixturePlace.size)
  })
})

describe('projections', () => {
  it('lead back to the place they show, in the coordinates they show', () => {
    const place = vec3(1.5, -2, 3)
    for (const [projection, shown] of [
      [PLAN, ['x', 'y']],
      [SIDE, ['y', 'z']],
      [FRONT, ['x', 'z']],
    ] as const) {
      const { across, up } = projection.project(place)
      const back = projection.place(across, up)
      for (const axis of shown) expect(back[axis]).toBeCloseTo(place[axis], 9)
    }
  })
})
