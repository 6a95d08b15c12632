import { beforeEach, describe, expect, it } from 'vitest'
import { richDesk, venueNamed } from '../../tests/support/richShow'
import type { Desk } from '../../tests/support/smallShow'
import { LEADING } from '../attributes/catalogue'
import { distance, subtract, vec3, type Vec3 } from '../geometry/vector'
import { HOME } from '../kinematics/head'
import { resolveValue } from '../palettes/resolve'
import { solvePosition } from '../palettes/solve'
import type { PaletteId } from '../show/ids'
import { effectsOf } from './effects'
import { rigOf } from '../show/rig'
import { stageOf } from '../venue/stage'

let desk: Desk
beforeEach(() => {
  desk = richDesk()
})

/** Where a palette's light of a fixture falls in a venue. */
function placeIn(venue: string, palette: PaletteId, number: number): Vec3 {
  const then = desk.copy()
  then.do('switchVenue', { venue: venueNamed(then.show, venue) })
  const rigged = rigOf(then.show).get(then.fixture(number))
  if (!rigged) throw new Error(`${number} does not hang there`)
  const { value } = resolveValue(then.show, rigged, LEADING.place, { kind: 'link', palette })
  const { point } = solvePosition(rigged.mount, stageOf(then.show), value, HOME)
  if (!point) throw new Error(`${number} lands nowhere`)
  return point
}

const bow = () => desk.choose.palette(1)
const places = () => ['Harbour Hall', 'Quarry'].map((venue) => placeIn(venue, bow(), 12))
/** How far the light of 12 went in each venue, while something was done. */
function moved(doing: () => void): Vec3[] {
  const before = places()
  doing()
  return places().map((after, i) => subtract(after, before[i] ?? after))
}
function expectMoved(found: readonly Vec3[], expected: readonly Vec3[]) {
  expected.forEach((by, i) => expect(distance(found[i] ?? vec3(9, 9, 9), by)).toBeLessThan(1e-6))
}
const touch = (by: Vec3) => desk.do('touchUp', { palette: bow(), fixtures: desk.fixtures('12'), by: { metres: by } })
const here = () => {
  const touchUps = [...desk.show.all.touchUp.values()].filter(({ fixture }) => fixture === desk.fixture(12))
  return touchUps.flatMap(({ venue, palette, fixture }) => (palette === bow() ? [{ venue, palette, fixture }] : []))
}

describe('a touch-up', () => {
  it('is seen on stage at once, and gone at once', () => {
    desk.recall('12', 1)
    const seen = () => desk.seen(12).position.point ?? vec3(9, 9, 9)
    const before = seen()
    touch(vec3(0.1, 0, 0))
    expect(distance(subtract(seen(), before), vec3(0.1, 0, 0))).toBeLessThan(1e-6)
    desk.do('clearTouchUps', { touchUps: here() })
    expect(seen()).toEqual(before)
  })

  it('moves the light in its venue only, adds up, and is gone when it comes to nothing', () => {
    expectMoved(
      moved(() => touch(vec3(0.1, 0, 0))),
      [vec3(0.1, 0, 0), vec3(0, 0, 0)],
    )
    expectMoved(
      moved(() => touch(vec3(0, 0.2, 0))),
      [vec3(0, 0.2, 0), vec3(0, 0, 0)],
    )
    touch(vec3(-0.1, -0.2, 0))
    expect(here()).toEqual([])
  })

  it('goes along when its target moves, or the hang', () => {
    touch(vec3(0.1, 0, 0))
    const target = desk.choose.target('Bow')
    const before = placeIn('Harbour Hall', bow(), 12)
    desk.do('moveTarget', { target, position: vec3(-3, 5, 1) })
    expect(distance(placeIn('Harbour Hall', bow(), 12), vec3(-2.9, 5, 1))).toBeLessThan(1e-6)
    desk.do('moveHang', { hang: desk.choose.hang('Bar'), origin: vec3(0.3, 1, 6) })
    expect(distance(placeIn('Harbour Hall', bow(), 12), vec3(-2.9, 5, 1))).toBeLessThan(1e-6)
    expect(distance(before, vec3(-2.9, 5, 1))).toBeGreaterThan(0.5)
  })

  it('made good moves every venue by as much, and can be kept for here again', () => {
    touch(vec3(0.1, 0, 0))
    expectMoved(
      moved(() => desk.do('makeTouchUpsGood', { touchUps: here() })),
      [vec3(0, 0, 0), vec3(0.1, 0, 0)],
    )
    expect(here()).toEqual([])
    expectMoved(
      moved(() => desk.do('keepOffsetHere', { palette: bow(), fixtures: desk.fixtures('12') })),
      [vec3(0, 0, 0), vec3(-0.1, 0, 0)],
    )
    expectMoved(
      moved(() => desk.do('clearTouchUps', { touchUps: here() })),
      [vec3(-0.1, 0, 0), vec3(0, 0, 0)],
    )
  })

  it('can move its target instead, in every venue: what it explains goes, all else at the target follows', () => {
    const bar = (number: number) => placeIn('Harbour Hall', desk.choose.palette(number), 12)
    touch(vec3(0.1, 0.2, 0))
    const [touched, elsewhere] = [bar(1), placeIn('Quarry', bow(), 13)]
    const [other] = places()
    desk.do('moveTargetByTouchUps', { touchUps: here() })
    expect(here()).toEqual([])
    expect(distance(bar(1), touched)).toBeLessThan(1e-6)
    // The set piece it is on is turned there.
    expect(distance(placeIn('Quarry', bow(), 13), elsewhere)).toBeCloseTo(Math.hypot(0.1, 0.2), 9)
    expect(distance(places()[0] ?? vec3(9, 9, 9), other ?? vec3(0, 0, 0))).toBeLessThan(1e-6)
    expect(
      desk.refused('moveTargetByTouchUps', {
        touchUps: [{ venue: venueNamed(desk.show, 'Quarry'), palette: bow(), fixture: desk.fixture(12) }],
      }),
    ).toContain('at one target')
  })

  it('stays on top of what is stored: an update for good gives what is in hand, one for here touches up', () => {
    touch(vec3(0.1, 0, 0))
    const nudge = () => {
      desk.do('clearHand', { fixtures: null, families: ['position'] })
      desk.recall('12', 1)
      desk.do('nudgeAim', { fixtures: desk.fixtures('12'), by: vec3(0, 0.3, 0) })
    }
    nudge()
    expectMoved(
      moved(() => desk.do('updatePalettes', { palettes: null })),
      [vec3(0, 0.3, 0), vec3(0, 0.3, 0)],
    )
    nudge()
    expectMoved(
      moved(() => desk.do('updatePalettes', { palettes: null, where: 'for here' })),
      [vec3(0, 0.3, 0), vec3(0, 0, 0)],
    )
    expect(desk.show.all.touchUp.size).toBe(5)
  })

  it('is seen to move what leans on the palette before it is done', () => {
    const before = desk.show
    touch(vec3(0.1, 0, 0))
    const { palettes, cues } = effectsOf(before, desk.show)
    expect(palettes.find(({ palette }) => palette === bow())).toMatchObject({
      fixtures: [{ fixture: desk.fixture(12), shiftMetres: expect.closeTo(0.1, 6) }],
    })
    expect(cues.map(({ cue }) => desk.show.all.cue.get(cue)?.number)).toContain(1)
  })

  it('turns raw angles by degrees', () => {
    desk.do('turnHeads', {
      fixtures: desk.fixtures('13'),
      pan: { how: 'to', degrees: 20 },
      tilt: { how: 'to', degrees: 30 },
    })
    desk.do('recordPalette', { number: 30, name: 'Raw', shelf: 'position', colour: 'brass', reach: 'own' })
    const palette = desk.choose.palette(30)
    desk.do('touchUp', { palette, fixtures: desk.fixtures('13'), by: { degrees: { pan: 1, tilt: -2 } } })
    const rigged = rigOf(desk.show).get(desk.fixture(13))
    const resolved = rigged && resolveValue(desk.show, rigged, LEADING.place, { kind: 'link', palette }).value
    expect(solvePosition(rigged?.mount ?? raise(), stageOf(desk.show), resolved ?? null, HOME).pose).toEqual({
      pan: 21,
      tilt: 28,
    })
    desk.do('makeTouchUpsGood', {
      touchUps: [...desk.show.all.touchUp.values()]
        .filter((one) => one.palette === palette)
        .map(({ venue, fixture }) => ({ venue, palette, fixture })),
    })
    expect(
      [...desk.show.all.paletteValue.values()].find(
        (one) => one.palette === palette && one.fixture === desk.fixture(13),
      )?.value,
    ).toEqual({
      kind: 'angles',
      pan: 21,
      tilt: 28,
    })
  })
})

function raise(): never {
  throw new Error('13 does not hang here')
}
