import fc from 'fast-check'
import { beforeEach, describe, expect, it } from 'vitest'
import { mixedColour } from '#core/cues/shownColour'
import { DEGREE } from '#core/geometry/rotation'
import { vec3 } from '#core/geometry/vector'
import type { NumberAttribute } from '#core/attributes/attribute'
import { harbourHall } from '#demo/stage'
import { RecordedBrush } from '../../tests/support/recordedBrush'
import { Desk } from '../../tests/support/smallShow'
import type { StagePoint } from '#core/drawing/projections'
import { traceEllipse, type Ellipse } from './brush'
import { drawFrontPicture } from './frontPicture'
import { outermost } from './outermost'
import { turns } from '#core/drawing/lightForm'
import { drawOwnLight, drawPlanLight, planLightMark, wholePool } from './planLight'
import { drawOwnSectionLight, drawSectionLight, sectionLightMark } from './sectionLight'

const INKS = { brass: 'brass', coral: 'coral', shoal: 'shoal', rule: 'rule', isPaper: false }
/** Forty pixels a metre, stage left to the right, upstage up. */
const plan = { toScreen: (p: StagePoint) => ({ x: 40 * p.x, y: -40 * p.y }), scale: 40 }
const section = { toScreen: (p: StagePoint) => ({ x: 40 * p.x, y: -40 * (p.z ?? 0) }) }
let desk: Desk

beforeEach(() => {
  desk = new Desk()
})

function down(zoom: number) {
  desk.do('turnHeads', {
    fixtures: desk.fixtures('12'),
    pan: { how: 'to', degrees: 0 },
    tilt: { how: 'to', degrees: 0 },
  })
  desk.level('12', 'zoom', zoom)
  return desk.seen(12)
}

/** Points all along what is traced. */
function traced(ellipse: Ellipse): { x: number; y: number }[] {
  const brush = new RecordedBrush()
  traceEllipse(brush, ellipse)
  brush.fill()
  const points: { x: number; y: number }[] = []
  let [fromX = NaN, fromY = NaN]: readonly number[] = []
  for (const { kind, numbers } of brush.drawn[0]?.pieces ?? []) {
    const [x = 0, y = 0, ax = 0, ay = 0, toX = x, toY = y] = numbers
    if (kind === 'curve')
      for (let t = 0; t <= 1; t += 1 / 16) {
        const at = (a: number, b: number, c: number, d: number) =>
          a * (1 - t) ** 3 + 3 * b * t * (1 - t) ** 2 + 3 * c * t ** 2 * (1 - t) + d * t ** 3
        points.push({ x: at(fromX, x, ax, toX), y: at(fromY, y, ay, toY) })
      }
    ;[fromX, fromY] = [toX, toY]
  }
  return points
}

describe('an ellipse', () => {
  const length = fc.double({ min: 0.5, max: 900, noNaN: true })
  it('runs where x and y say, as long and as wide as it is told, turned', () => {
    fc.assert(
      fc.property(length, length, fc.double({ min: -4, max: 4, noNaN: true }), (a, b, turn) => {
        const points = traced({ x: 30, y: -20, long: a, short: b, turn })
        expect(points).toHaveLength(4 * 17)
        for (const { x, y } of points) {
          const along = ((x - 30) * Math.cos(turn) + (y + 20) * Math.sin(turn)) / a
          const across = ((y + 20) * Math.cos(turn) - (x - 30) * Math.sin(turn)) / b
          expect(Math.abs(Math.hypot(along, across) - 1)).toBeLessThan(0.0003)
        }
      }),
    )
  })
})

describe('the outermost of many ellipses', () => {
  const size = fc.integer({ min: 4, max: 60 })
  const ellipse = fc.record({
    x: fc.integer({ min: 0, max: 100 }),
    y: fc.integer({ min: 0, max: 100 }),
    long: size,
    short: size,
    turn: fc.double({ min: 0, max: 3, noNaN: true }),
  })
  /** How far out of an ellipse a place is: 1 on its rim. */
  const outOf = ({ x, y, long, short, turn }: Ellipse, px: number, py: number) => {
    const [c, s, dx, dy] = [Math.cos(turn), Math.sin(turn), px - x, py - y]
    return Math.hypot((dx * c + dy * s) / long, (dy * c - dx * s) / short)
  }
  it('are some of them, and cover what all of them cover', () => {
    fc.assert(
      fc.property(fc.array(ellipse, { maxLength: 12 }), (all) => {
        const found = outermost(all)
        expect(all).toEqual(expect.arrayContaining(found))
        for (const left of all.filter((one) => !found.includes(one)))
          expect(
            found.some((one) => outOf(one, left.x, left.y) < 1 && one.long * one.short >= left.long * left.short),
          ).toBe(true)
        for (const { x, y } of all) expect(found.some((one) => outOf(one, x, y) < 1)).toBe(true)
      }),
    )
  })
  it('is the one where others lie in it, and both where they only cross', () => {
    const large = { x: 0, y: 0, long: 50, short: 30, turn: 0.5 }
    const within = { x: 5, y: 2, long: 10, short: 8, turn: 2 }
    const across = { x: 0, y: 0, long: 45, short: 10, turn: 2 }
    expect(outermost([within, large, within, across])).toEqual([large, across])
  })
})

describe('light in plan', () => {
  it('is a pool of its true size at the place it falls on', () => {
    const fixture = down(20)
    const mark = planLightMark(fixture, undefined, plan, true)
    const radius = fixture.beam.lens.z * Math.tan(10 * DEGREE) * 40
    expect(mark.pool?.long).toBeCloseTo(radius, 6)
    expect(mark.pool?.short).toBeCloseTo(radius, 6)
    expect(mark.pool).toMatchObject({ x: expect.closeTo(40 * fixture.beam.lens.x, 6) })
  })

  it('is smaller on what stands higher than on the floor', () => {
    desk.aim('12', 'Bow')
    desk.level('12', 'zoom', 12)
    const [high, floor] = [false, true].map((atFloor) => planLightMark(desk.seen(12), undefined, plan, atFloor))
    expect(high?.pool?.short).toBeLessThan(floor?.pool?.short ?? 0)
    expect(high?.to).toEqual(plan.toScreen(desk.seen(12).position.point ?? vec3(0, 0, 0)))
  })

  it('never closes where it meets the horizon, and ends short, crossed, where it does not get', () => {
    desk.do('turnHeads', {
      fixtures: desk.fixtures('12'),
      pan: { how: 'to', degrees: 0 },
      tilt: { how: 'to', degrees: 84 },
    })
    desk.level('12', 'zoom', 40)
    expect(planLightMark(desk.seen(12), undefined, plan, true)).toMatchObject({ pool: null, open: expect.anything() })
    desk.aim('12', 'Mark', vec3(0, -2, 30))
    const mark = planLightMark(desk.seen(12), undefined, plan, false)
    expect(mark.isShort).toBe(true)
    const brush = new RecordedBrush()
    drawPlanLight(brush, INKS, [mark], 'chosen', [])
    expect(brush.drawn.filter(({ ink, pieces }) => ink === 'coral' && pieces.length > 0)).toHaveLength(2)
  })

  it('is filled as one where there are many chosen, so that a frame stays a frame', () => {
    const marks = Array.from({ length: 200 }, () => planLightMark(down(20), undefined, plan, true))
    const fills = (count: number) => {
      const brush = new RecordedBrush()
      drawPlanLight(brush, INKS, marks.slice(0, count), 'chosen', [])
      return brush.drawn.filter(({ how }) => how === 'fill').length
    }
    expect([fills(3), fills(200)]).toEqual([3, 1])
  })

  it('is brighter where more of it is lit, in its own colour', () => {
    desk.aim('12', 'Mark')
    const fillAt = (level: number) => {
      desk.level('12', 'intensity', level)
      const brush = new RecordedBrush()
      drawPlanLight(brush, INKS, [planLightMark(desk.seen(12), undefined, plan, true)], 'lit', [])
      return brush.drawn.find(({ how }) => how === 'fill')
    }
    expect(fillAt(1)?.alpha).toBeGreaterThan(fillAt(0.2)?.alpha ?? 1)
    expect(fillAt(1)?.ink).toMatch(/^rgb\(/)
  })
})

describe('light that is shaped', () => {
  const set = (attribute: NumberAttribute, amount: number | { rpm: number }) =>
    desk.do('setValue', {
      fixtures: desk.fixtures('11'),
      attribute,
      value: typeof amount === 'number' ? { kind: 'number', number: amount } : { kind: 'spin', rpm: amount.rpm },
    })
  const markAt = (seconds = 0) => planLightMark(desk.seen(11), undefined, plan, true, seconds)
  const drawnOf = (mark: ReturnType<typeof markAt>) => {
    const brush = new RecordedBrush()
    drawPlanLight(brush, INKS, [mark], 'chosen', [])
    return brush.drawn
  }

  beforeEach(() => desk.aim('11', 'Mark'))

  it('is cut by its blades, within the pool it would be', () => {
    const whole = markAt().pool
    set('shutterTop', 0.4)
    const { pool, outlines } = markAt()
    expect(pool).toBeNull()
    // Its rim can be taken hold of all the same.
    expect(wholePool(desk.seen(11), plan, true)).toEqual(whole)
    for (const { x, y } of outlines.flat())
      expect(Math.hypot(x - (whole?.x ?? 0), y - (whole?.y ?? 0))).toBeLessThan((whole?.long ?? 0) + 1e-6)
    const middle = sectionLightMark(desk.seen(11), section).pools[0]
    expect(middle).toHaveLength(2)
  })

  it('is a pool for each facet of a prism, and turns with it', () => {
    set('prism', 1)
    set('prismTurn', { rpm: 10 })
    expect(markAt().outlines).toHaveLength(3)
    expect(turns([desk.seen(11)])).toBe(true)
    // A third of a turn later each pool stands where the next one stood.
    const middles = (seconds: number) =>
      markAt(seconds).outlines.map((ring) => ring.reduce((sum, { x }) => sum + x / ring.length, 0))
    const [first, later] = [middles(0), middles(2)]
    for (const x of later) expect(Math.min(...first.map((other) => Math.abs(other - x)))).toBeLessThan(1e-6)
    expect(middles(1)).not.toEqual(first)
  })

  it('shows the openings of a gobo in its outline, softer through frost, and marks what strobes without flashing', () => {
    set('gobo', 1)
    const { lit, outlines } = markAt()
    expect([lit.length, outlines.length]).toEqual([7, 1])
    set('gobo', 0)
    const fills = () => drawnOf(markAt()).filter(({ how }) => how === 'fill').length
    expect(fills()).toBe(1)
    set('frost', 1)
    expect(fills()).toBeGreaterThan(1)
    const strokes = () => drawnOf(markAt()).filter(({ how, pieces }) => how === 'stroke' && pieces.length > 0).length
    const before = strokes()
    set('strobe', 9)
    expect(strokes()).toBe(before + 1)
    expect(turns([desk.seen(11)])).toBe(false)
  })

  it('can be drawn in its own colour, with the light that warms it', () => {
    desk.level('11', 'intensity', 1)
    const inkOf = () => {
      const brush = new RecordedBrush()
      drawOwnLight(brush, [markAt()], false)
      return brush.drawn.find(({ how }) => how === 'fill')?.ink ?? ''
    }
    const blueOf = (ink: string) => Number(/(\d+)\)$/.exec(ink)?.[1])
    const cold = blueOf(inkOf())
    set('temperature', 2800)
    expect(blueOf(inkOf())).toBeLessThan(cold / 2)
  })
})

describe('light in section', () => {
  it('is a cone to the ends of its pool, seen edge on', () => {
    const fixture = down(20)
    const mark = sectionLightMark(fixture, section)
    const radius = fixture.beam.lens.z * Math.tan(10 * DEGREE)
    const [left, right] = mark.pools[0] ?? []
    // The rim is looked at by 32 points, two of which lie on the level axis.
    expect((right?.x ?? 0) - (left?.x ?? 0)).toBeCloseTo(2 * 40 * radius, 0)
    expect(left?.y).toBeCloseTo(0, 9)
    const brush = new RecordedBrush()
    drawSectionLight(brush, INKS, [mark], 'chosen')
    const cone = brush.drawn.find(({ how }) => how === 'fill')
    expect(cone?.pieces.map(({ kind }) => kind)).toEqual(['move', 'line', 'line', 'close'])
  })
})

describe('light in section that is shaped and coloured', () => {
  const markOf = (seconds = 0) => sectionLightMark(desk.seen(11), section, seconds)
  const gobo = (attribute: 'gobo' | 'gobo2' | 'tint', number: number) =>
    desk.do('setValue', { fixtures: desk.fixtures('11'), attribute, value: { kind: 'number', number } })

  beforeEach(() => {
    desk.aim('11', 'Mark')
    desk.level('11', 'intensity', 1)
  })

  it('is rays through the openings of its gobo, and in its own colour where that is asked for', () => {
    expect(markOf().lit).toHaveLength(1)
    gobo('gobo', 1)
    expect([markOf().pools.length, markOf().lit.length]).toEqual([1, 7])
    desk.look('11', '#ff0000')
    const brush = new RecordedBrush()
    drawOwnSectionLight(brush, [markOf()], false)
    const [cone] = brush.drawn.filter(({ how }) => how === 'fill')
    expect(cone?.ink).toMatch(/^rgb\(2\d\d \d{1,2} \d{1,2}\)$/)
  })

  it('lets through a second gobo only what the first does', () => {
    gobo('gobo', 1)
    expect(planLightMark(desk.seen(11), undefined, plan, true).through).toEqual([])
    gobo('gobo2', 2)
    const mark = planLightMark(desk.seen(11), undefined, plan, true)
    expect([mark.lit.length, mark.through.length > 1]).toEqual([7, true])
    const brush = new RecordedBrush()
    drawPlanLight(brush, INKS, [mark], 'chosen', [])
    expect(brush.drawn.some(({ how }) => how === 'clip')).toBe(true)
  })
})

describe('the small picture of a palette', () => {
  const sheet = { width: 130, height: 70 }
  const picture = (fixtures: ReturnType<Desk['seen']>[], byIntensity: boolean) => {
    const brush = new RecordedBrush()
    drawFrontPicture(brush, INKS, { fixtures, venue: harbourHall, byIntensity }, sheet)
    return brush.drawn
  }

  it('shows each light with its beam and pool inside its frame, upstage above downstage', () => {
    const poolAt = (offset: number) => {
      desk.aim('12', 'Mark', vec3(0, offset, 0))
      const pool = picture([desk.seen(12)], false).find(({ how }) => how === 'fill')
      const heights = pool?.pieces.flatMap(({ numbers: [, y] }) => (y === undefined ? [] : [y])) ?? []
      return { top: Math.min(...heights), foot: Math.max(...heights) }
    }
    const [near, far] = [poolAt(-1), poolAt(4)]
    expect(far.foot).toBeLessThan(near.top)
    expect(far.top).toBeGreaterThan(0)
    expect(near.foot).toBeLessThan(sheet.height)
  })

  it('is in the colour of the light, white light in brass, and greener or more magenta by its tint', () => {
    desk.aim('12, 41', 'Mark')
    const inkOf = (number: number) => picture([desk.seen(number)], false).find(({ how }) => how === 'fill')?.ink ?? ''
    expect(inkOf(12)).toBe('brass')
    desk.look('41', '#3366ff')
    expect(inkOf(41)).toMatch(/^rgb\(\d+ \d+ 2\d\d\)$/)
    const { rigged } = desk.seen(12)
    const tinted = (tint: number) =>
      mixedColour(rigged.type, {
        colour: desk.seen(12).colour,
        slot: 0,
        amounts: new Map([['tint', { kind: 'number', number: tint }]]),
      })
    expect(tinted(-1).green).toBeLessThan(tinted(-1).red)
    expect(tinted(1).green).toBeGreaterThan(tinted(1).red)
  })

  it('lets some of very many stand for all, and draws dim light dim where that is asked for', () => {
    desk.aim('12', 'Mark')
    desk.level('12', 'intensity', 0.25)
    const dim = desk.seen(12)
    const pools = (drawn: ReturnType<typeof picture>) => drawn.filter(({ how }) => how === 'fill')
    const crowd = pools(
      picture(
        Array.from({ length: 500 }, () => dim),
        false,
      ),
    )
    expect(crowd.length).toBeGreaterThan(20)
    expect(crowd.length).toBeLessThan(40)
    expect(pools(picture([dim], true))[0]?.alpha).toBeCloseTo((pools(picture([dim], false))[0]?.alpha ?? 0) / 4, 9)
  })
})
