import { describe, expect, it } from 'vitest'
import { distance, vec3, type Vec3 } from '../geometry/vector'
import { aimPoint, PlacedTargets, pointOn, targetsOf } from './targets'
import { Desk } from '../../tests/support/smallShow'

const near = (a: Vec3 | null | undefined, b: Vec3) => expect(a ? distance(a, b) : NaN).toBeLessThan(1e-9)

function withForms(): Desk {
  const desk = new Desk()
  const onDory = desk.choose.setPiece('Dory')
  desk.do('addTarget', {
    name: 'Gunwale',
    form: { kind: 'line', to: vec3(2, 0, 0), stations: 0 },
    setPiece: onDory,
    position: vec3(-1, 0.5, 0.6),
  })
  desk.do('addTarget', {
    name: 'Around',
    form: { kind: 'ring', radius: 2, stations: 0 },
    setPiece: onDory,
    position: vec3(0, 0, 0),
  })
  return desk
}
const placed = (desk: Desk, name: string) => {
  const found = targetsOf(desk.show).get(desk.choose.target(name))
  if (!found) throw new Error(`${name} is not placed`)
  return found
}

describe('targets', () => {
  it('that are lines have their middle, their ends and all between', () => {
    const shore = placed(new Desk(), 'Shore')
    near(pointOn(shore, null), vec3(0, 1, 0))
    near(pointOn(shore, 0), vec3(-3, 1, 0))
    near(pointOn(shore, 0.75), vec3(1.5, 1, 0))
  })

  it('that are rings go round from stage left', () => {
    const ring = placed(withForms(), 'Around')
    near(pointOn(ring, null), vec3(-2, 3, 0))
    near(pointOn(ring, 0), vec3(0, 3, 0))
    near(pointOn(ring, 0.25), vec3(-2, 5, 0))
  })

  it('tied to a turned set piece turn with it, lines and all', () => {
    const desk = withForms()
    near(placed(desk, 'Gunwale').position, vec3(-2.5, 2, 0.6))
    near(placed(desk, 'Gunwale').end, vec3(-2.5, 4, 0.6))
    desk.do('moveSetPiece', { setPiece: desk.choose.setPiece('Dory'), position: vec3(0, 0, 0), yaw: 0 })
    near(placed(desk, 'Gunwale').end, vec3(1, 0.5, 0.6))
  })

  it('give an aim its point with the offset, and none without a place', () => {
    const desk = new Desk()
    const aim = {
      kind: 'aim',
      target: desk.choose.target('Mark'),
      at: null,
      offset: vec3(1, 0, 0.5),
      choice: null,
    } as const
    near(aimPoint(targetsOf(desk.show), aim), vec3(1, 2, 0.5))
    expect(aimPoint(new PlacedTargets('here'), aim)).toBeNull()
    near(aimPoint(new PlacedTargets('here'), { ...aim, target: null }), vec3(1, 0, 0.5))
  })
})
