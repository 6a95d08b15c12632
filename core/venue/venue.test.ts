import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cross, distance, dot, normalise, subtract, vec3 } from '../geometry/vector'
import type { Level } from '../show/entities'
import { asSetPieceId } from '../show/ids'
import { showRecordOf } from '../show/show'
import { Desk } from '../../tests/support/smallShow'
import { landingOn } from './landing'
import { heightOf, normalOf } from './levels'
import { firstHit } from './obstruct'
import { aboutItsMiddle, inLevelFrame } from './outline'
import { facesOf, prismsAt, prismsOf } from './solids'
import { surfacesOf } from './surfaces'

const seat = { at: { x: 0, y: 0 }, turn: 0, base: 0 }
const piece = asSetPieceId('piece')
const square = [
  { x: -2, y: 2 },
  { x: 2, y: 2 },
  { x: 2, y: 6 },
  { x: -2, y: 6 },
]

describe('an outline drawn on the stage', () => {
  it('is told on a piece and its seat so that the solid stands where it was drawn', () => {
    const metres = fc.integer({ min: -9000, max: 9000 }).map((millimetres) => millimetres / 1000)
    const turn = fc.integer({ min: -180, max: 180 })
    const place = fc.record({ x: metres, y: metres })
    fc.assert(
      fc.property(place, turn, place, turn, place, (stands, yaw, at, seatTurn, corner) => {
        const onPiece = inLevelFrame(corner, stands, yaw)
        const outline = [inLevelFrame(onPiece, at, seatTurn), { x: 50, y: 50 }, { x: 51, y: 50 }]
        const solid = { kind: 'prism', at, turn: seatTurn, base: 0, outline, height: 1 } as const
        const [prism] = prismsAt(piece, [solid], { position: vec3(stands.x, stands.y, 0), yaw })
        const off = (prism?.outline ?? []).map(({ x, y }) => Math.hypot(x - corner.x, y - corner.y))
        expect(Math.min(...off)).toBeLessThan(0.0003)
      }),
    )
  })

  it('has its middle in the middle of the box round it', () => {
    const about = aboutItsMiddle([
      { x: 1, y: 2 },
      { x: 4, y: 2 },
      { x: 1, y: 8 },
    ])
    expect(about?.middle).toEqual({ x: 2.5, y: 5 })
    expect(about?.own).toEqual([
      { x: -1.5, y: -3 },
      { x: 1.5, y: -3 },
      { x: -1.5, y: 3 },
    ])
    expect(aboutItsMiddle([])).toBeNull()
  })
})

describe('solids', () => {
  it('stand where they are seated on their piece, and turn with it', () => {
    const box = { kind: 'box', at: { x: 2, y: 0 }, turn: 90, base: 0.5, width: 4, depth: 1, height: 2 } as const
    const [prism] = prismsAt(piece, [box], { position: vec3(1, 1, 1), yaw: 90 })
    const xs = prism?.outline.map((p) => p.x) ?? []
    const ys = prism?.outline.map((p) => p.y) ?? []
    expect([prism?.bottom, prism?.top]).toEqual([1.5, 3.5])
    expect(Math.min(...xs)).toBeCloseTo(-1, 9)
    expect(Math.max(...xs)).toBeCloseTo(3, 9)
    expect(Math.min(...ys)).toBeCloseTo(2.5, 9)
    expect(Math.max(...ys)).toBeCloseTo(3.5, 9)
  })

  it('steps climb upstage in equal treads', () => {
    const steps = prismsOf({ kind: 'steps', ...seat, width: 2, depth: 0.9, height: 0.6, count: 3 })
    expect(steps.map((s) => Math.round(s.top * 100) / 100)).toEqual([0.2, 0.4, 0.6])
    expect(Math.max(...(steps[2]?.outline.map((p) => p.y) ?? []))).toBeCloseTo(0.45, 9)
  })

  it('have faces that look outwards and corners against the clock, whichever way they were drawn', () => {
    const outline = [...square].reverse()
    const [prism] = prismsOf({ kind: 'prism', ...seat, outline, height: 1 })
    if (!prism) throw new Error('no prism')
    for (const { corners, normal } of facesOf(prism)) {
      const [a, b, c] = corners
      if (!a || !b || !c) throw new Error('a face has three corners')
      expect(distance(normalise(cross(subtract(b, a), subtract(c, b))), normal)).toBeLessThan(1e-9)
      expect(dot(normal, subtract(a, vec3(0, 4, 0.5)))).toBeGreaterThan(0)
    }
  })
})

describe('rays', () => {
  const prisms = prismsAt(piece, [{ kind: 'box', ...seat, width: 2, depth: 2, height: 2 }], {
    position: vec3(0, 5, 0),
    yaw: 0,
  })

  it('meet the nearest side, the top from above, and nothing once they have passed or stop short', () => {
    expect(firstHit(prisms, vec3(0, 0, 1), vec3(0, 1, 0), 20)).toMatchObject({ distance: 4, normal: vec3(0, -1, 0) })
    expect(firstHit(prisms, vec3(0, 5, 6), vec3(0, 0, -1), 20)).toMatchObject({ distance: 4, normal: vec3(0, 0, 1) })
    expect(firstHit(prisms, vec3(0, 0, 1), vec3(0, 1, 0), 3.9)).toBeNull()
    expect(firstHit(prisms, vec3(0, 0, 3), vec3(0, 1, 0), 20)).toBeNull()
    expect(firstHit(prisms, vec3(0, 9, 1), vec3(0, 1, 0), 20)).toBeNull()
  })

  it('that meet a box do so on its skin', () => {
    const at = fc.double({ min: -12, max: 12, noNaN: true })
    fc.assert(
      fc.property(at, at, at, at, (x, y, toX, toY) => {
        const from = vec3(x, y, 4)
        const direction = normalise(subtract(vec3(toX / 6, 5 + toY / 6, 1), from))
        const hit = firstHit(prisms, from, direction, 100)
        if (!hit) return
        const off = [
          Math.abs(from.x + direction.x * hit.distance) - 1,
          Math.abs(from.y + direction.y * hit.distance - 5) - 1,
          Math.abs(from.z + direction.z * hit.distance - 1) - 1,
        ]
        expect(Math.max(...off)).toBeCloseTo(0, 6)
      }),
    )
  })
})

describe('levels', () => {
  const rake: Level = { name: 'Rake', outline: square, height: 0.3, rake: { percent: 10, bearing: 90 } }

  it('rise from their lowest edge towards their bearing', () => {
    expect(heightOf(rake, { x: 0, y: 2 })).toBeCloseTo(0.3, 9)
    expect(heightOf(rake, { x: 1, y: 6 })).toBeCloseTo(0.7, 9)
    expect(normalOf(rake).y).toBeLessThan(0)
  })

  it('catch light before the floor does, and set pieces before either', () => {
    const desk = new Desk()
    desk.do('changeVenue', { venue: showRecordOf(desk.show).venue, levels: [rake] })
    const down = (x: number, y: number) =>
      landingOn(surfacesOf(desk.show), { lens: vec3(x, y, 5), direction: vec3(0, 0, -1) })
    expect(down(1.5, 4)).toMatchObject({ on: { kind: 'level', name: 'Rake' } })
    expect(down(1.5, 4)?.point.z).toBeCloseTo(0.5, 9)
    expect(down(5, 1)).toMatchObject({ on: { kind: 'floor' }, distance: 5 })
    expect(down(-2, 3)).toMatchObject({ on: { kind: 'set', piece: desk.choose.setPiece('Dory') } })
    expect(landingOn(surfacesOf(desk.show), { lens: vec3(0, 0, 5), direction: vec3(0, 0, 1) })).toBeNull()
  })
})
