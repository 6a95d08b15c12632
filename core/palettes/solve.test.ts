import { describe, expect, it } from 'vitest'
import { vec3 } from '../geometry/vector'
import { HOME } from '../kinematics/head'
import { poolDiameter } from '../light/zoom'
import { rigOf } from '../show/rig'
import { PlacedTargets } from '../show/targets'
import type { AimValue, PlainValue } from '../show/values'
import { Desk } from '../../tests/support/smallShow'
import { solvePosition, solveZoom } from './solve'
import { stageOf } from '../venue/stage'

const desk = new Desk()
const fixture = (number: number) => {
  const [id] = desk.fixtures(String(number))
  const rigged = id && rigOf(desk.show).get(id)
  if (!rigged) throw new Error(`no fixture ${number}`)
  return rigged
}
const solve = (number: number, value: PlainValue | null, stage = stageOf(desk.show)) =>
  solvePosition(fixture(number).mount, stage, value, HOME)
const aim = (offset: AimValue['offset'], choice: AimValue['choice'] = null): AimValue => ({
  kind: 'aim',
  target: desk.choose.target('Mark'),
  at: null,
  offset,
  choice,
})

describe('a position value', () => {
  it('keeps to the side that was chosen, even when the other is nearer', () => {
    const free = solve(11, aim(vec3(0, 0, 0)))
    const other = free.side === 'positive' ? 'negative' : 'positive'
    const kept = solve(11, aim(vec3(0, 0, 0), { side: other, pan: free.pose.pan + 180 }))
    expect(kept).toMatchObject({ state: 'reached', side: other, point: vec3(0, 2, 0) })
    expect(Math.abs(kept.pose.pan - free.pose.pan)).toBeCloseTo(180, 6)
  })

  it('keeps to the turn of pan that was chosen', () => {
    const behind = vec3(0, -4, 0)
    const near = solve(11, aim(behind, { side: 'positive', pan: 230 }))
    const far = solve(11, aim(behind, { side: 'positive', pan: -100 }))
    expect(near.side).toBe('positive')
    expect(Math.abs(near.pose.pan - far.pose.pan)).toBeCloseTo(360, 6)
  })

  it('says so when only the other side is left', () => {
    const mount = fixture(11).mount
    const oneWay = { ...mount, head: { ...mount.head, tilt: { ...mount.head.tilt, min: -5 } } }
    const value = aim(vec3(0, 0, 0), { side: 'negative', pan: 0 })
    expect(solvePosition(oneWay, stageOf(desk.show), value, HOME)).toMatchObject({
      state: 'other side',
      side: 'positive',
    })
  })

  it('given as angles lands where its beam meets the floor, or nowhere', () => {
    const down = solve(12, { kind: 'angles', pan: 30, tilt: 0 })
    expect(down.point).toMatchObject({ z: 0 })
    expect(down.point?.x).toBeCloseTo(-1, 9)
    expect(down.throwMetres).toBeCloseTo(7 - 0.42 - 0.31, 9)
    expect(solve(12, { kind: 'angles', pan: 0, tilt: 100 })).toMatchObject({
      state: 'angles',
      point: null,
      throwMetres: null,
    })
    expect(solve(12, { kind: 'angles', pan: 0, tilt: 140 }).state).toBe('outside stops')
  })

  it('without a place in this venue, or without any value, rests straight down and says which', () => {
    expect(solve(11, aim(vec3(0, 0, 0)), { ...stageOf(desk.show), targets: new PlacedTargets('here') })).toMatchObject({
      state: 'no place here',
      pose: { pan: 0, tilt: 0 },
    })
    expect(solve(11, null)).toMatchObject({ state: 'resting', pose: { pan: 0, tilt: 0 } })
  })
})

describe('a zoom value', () => {
  const rigged = fixture(11)

  it('fits a pool just as wide as the widest and as narrow as the narrowest zoom', () => {
    for (const metres of [1.7, 3, 6.34, 9.1, 12.77])
      for (const angle of [6, 48])
        expect(solveZoom(rigged, { kind: 'pool', diameter: poolDiameter(metres, angle) }, metres).fits).toBe(true)
  })

  it('is an angle inside the range, and says when it was cut', () => {
    expect(solveZoom(rigged, { kind: 'number', number: 20 }, 5)).toMatchObject({ angle: 20, fits: true })
    expect(solveZoom(rigged, { kind: 'number', number: 2 }, 5)).toMatchObject({ angle: 6, fits: false })
  })

  it('rests in the middle of the range, and a pool without a throw is none', () => {
    expect(solveZoom(rigged, null, null)).toEqual({ angle: 27, pool: null, fits: true })
    expect(solveZoom(rigged, { kind: 'pool', diameter: 2 }, null)).toMatchObject({ pool: null, fits: false })
  })

  it('is the one angle of a fixed lens, and its pool what that gives', () => {
    const fixed = { ...rigged, type: { ...rigged.type, optics: [{ beam: 20, field: 26, candela: 4e4 }] } }
    expect(solveZoom(fixed, { kind: 'pool', diameter: 2 }, 5)).toMatchObject({ angle: 20, fits: false })
    expect(solveZoom(fixed, null, 5).pool).toBeCloseTo(10 * Math.tan((10 * Math.PI) / 180), 9)
  })
})
