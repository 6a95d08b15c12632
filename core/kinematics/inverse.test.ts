import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { BEAM_MISS } from '../geometry/tolerance'
import { fixtureFrame } from '../geometry/frame'
import { distance, vec3 } from '../geometry/vector'
import { beamAt, missDistance } from './forward'
import { mountHead, type Head, type Mount } from './head'
import { allWays, solveAim } from './inverse'
import { moveTime } from './motorTime'

const plain: Head = {
  pan: { min: -270, max: 270 },
  tilt: { min: -132, max: 132 },
  pivotDrop: 0,
  lens: { across: 0, normal: 0, forward: 0 },
}

function hung(head: Head, x: number, y: number, z: number, yaw = 0, pitch = 0, roll = 0): Mount {
  const place = { along: 0, out: 0, drop: 0, yaw, pitch, roll }
  return mountHead(head, fixtureFrame({ origin: vec3(x, y, z), yaw: 0, rise: 0 }, place))
}

/** Thousandths, so that failures shrink to numbers a person can follow. */
const number = (min: number, max: number) =>
  fc.integer({ min: Math.round(min * 1000), max: Math.round(max * 1000) }).map((n) => n / 1000)
const anyHead: fc.Arbitrary<Head> = fc
  .record({
    panSpan: number(180, 720),
    tiltSpan: number(90, 330),
    pivotDrop: number(0, 0.8),
    across: fc.oneof(fc.constant(0), number(-0.3, 0.3)),
    normal: fc.oneof(fc.constant(0), number(-0.2, 0.2)),
    forward: number(0, 0.4),
    speed: fc.option(number(30, 300), { nil: undefined }),
  })
  .map(({ panSpan, tiltSpan, pivotDrop, across, normal, forward, speed }) => ({
    pan: { min: -panSpan / 2, max: panSpan / 2, speed, acceleration: speed && speed * 3 },
    tilt: { min: -tiltSpan / 2, max: tiltSpan / 2, speed },
    pivotDrop,
    lens: { across, normal, forward },
  }))
const anyPoint = fc.record({ x: number(-12, 12), y: number(-8, 14), z: number(0, 10) })
const anyTurn = fc.record({ yaw: number(-360, 360), pitch: number(-90, 90), roll: number(-180, 180) })
const anyMount = fc
  .tuple(anyHead, anyPoint, anyTurn)
  .map(([head, p, turn]) => hung(head, p.x, p.y, p.z, turn.yaw, turn.pitch, turn.roll))
const anyPose = fc.record({ pan: number(-270, 270), tilt: number(-130, 130) })

describe('aiming, worked by hand', () => {
  it('points straight down at a place under the head and keeps the reference pan', () => {
    const solved = solveAim(hung(plain, 1, 2, 7), vec3(1, 2, 0), { reference: { pan: 40, tilt: 10 } })
    expect(solved).toMatchObject({ reachable: true, pan: 40, throwMetres: 7 })
    expect(solved.tilt).toBeCloseTo(0, 9)
  })

  it('leans upstage with positive tilt at pan 0', () => {
    const solved = solveAim(hung(plain, 0, 0, 5), vec3(0, 5, 0))
    expect(solved.pan).toBeCloseTo(0, 9)
    expect(solved.tilt).toBeCloseTo(45, 9)
  })

  it('reaches stage left (+x) with pan −90 and positive tilt, or pan 90 and negative tilt', () => {
    const ways = allWays(hung(plain, 0, 0, 5), vec3(5, 0, 0))
    const rounded = ways.map(({ pan, tilt }) => [Math.round(pan), Math.round(tilt)])
    expect(rounded).toEqual(
      expect.arrayContaining([
        [-90, 45],
        [90, -45],
        [270, 45],
        [-270, -45],
      ]),
    )
    expect(rounded).toHaveLength(4)
  })

  it('turns pan back by the yaw a fixture is hung with', () => {
    const solved = solveAim(hung(plain, 0, 0, 5, 30), vec3(0, 5, 0))
    expect(solved.pan).toBeCloseTo(-30, 9)
  })

  it('mirrors a fixture standing on the floor', () => {
    const solved = solveAim(hung(plain, 0, 0, 0, 0, 0, 180), vec3(0, 5, 5))
    expect(solved.pan).toBeCloseTo(0, 9)
    expect(solved.tilt).toBeCloseTo(45, 9)
  })

  it('takes the pivot drop into account', () => {
    const solved = solveAim(hung({ ...plain, pivotDrop: 0.5 }, 0, 0, 5.5), vec3(0, 5, 0))
    expect(solved.tilt).toBeCloseTo(45, 9)
  })

  it('keeps the turn of pan that was chosen, whatever the tilt takes', () => {
    const wide = { ...plain, pan: { min: -315, max: 315 }, tilt: { min: -130, max: 130, speed: 10, acceleration: 10 } }
    const mount = hung(wide, 0, 0, 6)
    const target = { x: -4, y: 0.5, z: 0 }
    for (const way of allWays(mount, target))
      expect(
        solveAim(mount, target, { reference: { pan: way.pan, tilt: 0 }, side: way.side, turn: way.pan }),
      ).toMatchObject(way)
  })

  it('stays on the asked side, and says so when only the other side is left', () => {
    const reference = { pan: 0, tilt: 0 }
    const asked = solveAim(hung(plain, 0, 0, 5), vec3(0, 5, 0), { reference, side: 'negative' })
    expect(asked).toMatchObject({ reachable: true, side: 'negative' })
    const narrow = { ...plain, tilt: { min: -10, max: 132 } }
    const other = solveAim(hung(narrow, 0, 0, 5), vec3(0, 5, 0), { reference, side: 'negative' })
    expect(other).toMatchObject({ reachable: true, side: 'positive' })
  })

  it('says how far short a tilt stop falls', () => {
    const stopped = solveAim(hung({ ...plain, tilt: { min: -30, max: 30 } }, 0, 0, 5), vec3(0, 5, 0))
    expect(stopped.reachable).toBe(false)
    if (stopped.reachable) return
    expect(stopped.tilt).toBeCloseTo(30, 9)
    expect(stopped.shortDegrees).toBeCloseTo(15, 9)
    expect(stopped.missMetres).toBeCloseTo(Math.sqrt(50) * Math.sin((15 * Math.PI) / 180), 9)
  })

  it('calls a place inside the lens offset out of reach', () => {
    const wide = { ...plain, lens: { across: 0.3, normal: 0, forward: 0 } }
    expect(solveAim(hung(wide, 0, 0, 5), vec3(0.1, 0, 4)).reachable).toBe(false)
    const long = { ...plain, lens: { across: 0, normal: 0, forward: 0.5 } }
    expect(solveAim(hung(long, 0, 0, 5), vec3(0, 0, 4.8)).reachable).toBe(false)
    expect(solveAim(hung(plain, 0, 0, 5), vec3(0, 0, 5)).reachable).toBe(false)
  })
})

describe('aiming out of reach', () => {
  it('stops at the stop, and not a rounding beyond it', () => {
    const head: Head = {
      pan: { min: -117.4825, max: 117.4825 },
      tilt: { min: -45, max: 45 },
      pivotDrop: 0,
      lens: { across: -0.001, normal: 0, forward: 0 },
    }
    const solved = solveAim(hung(head, 0, 0, 0), vec3(0.002, -0.001, 1.853), { reference: { pan: 0, tilt: 0 } })
    expect(solved.reachable).toBe(false)
    expect(Math.abs(solved.pan)).toBeLessThanOrEqual(117.4825)
  })
})

describe('aiming, for any hang, head and place', () => {
  it('passes every target it calls reachable within 0.1 mm, inside the stops', () => {
    fc.assert(
      fc.property(anyMount, anyPoint, anyPose, (mount, target, reference) => {
        const solved = solveAim(mount, target, { reference })
        for (const value of [solved.pan, solved.tilt, solved.throwMetres]) expect(value).not.toBeNaN()
        const { pan, tilt } = mount.head
        expect(solved.pan >= pan.min && solved.pan <= pan.max).toBe(true)
        expect(solved.tilt >= tilt.min && solved.tilt <= tilt.max).toBe(true)
        const beam = beamAt(mount, solved)
        const miss = missDistance(beam, target)
        expect(solved.throwMetres).toBeCloseTo(distance(beam.lens, target), 6)
        if (solved.reachable) expect(miss).toBeLessThan(BEAM_MISS)
        else expect(solved.missMetres).toBeCloseTo(miss, 9)
      }),
      { numRuns: 2000 },
    )
  })

  it('offers only real ways, the nearest of them chosen, ties to the smaller pan', () => {
    fc.assert(
      fc.property(anyMount, anyPoint, anyPose, (mount, target, reference) => {
        const solved = solveAim(mount, target, { reference })
        const ways = allWays(mount, target, reference)
        expect(ways.length > 0).toBe(solved.reachable)
        const chosen = moveTime(mount.head, reference, solved)
        for (const way of ways) {
          expect(missDistance(beamAt(mount, way), target)).toBeLessThan(BEAM_MISS)
          const time = moveTime(mount.head, reference, way)
          expect(chosen).toBeLessThanOrEqual(time + 1e-6)
          if (time < chosen + 1e-12) expect(Math.abs(solved.pan)).toBeLessThanOrEqual(Math.abs(way.pan) + 1e-6)
        }
        if (solved.reachable) {
          const isOffered = ways.some(
            (w) => Math.abs(w.pan - solved.pan) < 1e-9 && Math.abs(w.tilt - solved.tilt) < 1e-9,
          )
          expect(isOffered).toBe(true)
        }
      }),
      { numRuns: 2000 },
    )
  })
})
