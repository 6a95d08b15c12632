import { expect, it } from 'vitest'
import { rigOf } from '../show/rig'
import { Desk } from '../../tests/support/smallShow'
import { alike, inverted, ordered } from './order'

const desk = new Desk()
const rig = rigOf(desk.show)
const numbers = (ids: readonly string[]) => ids.map((id) => desk.show.all.fixture.get(id)?.number)
const some = desk.fixtures('13, 41, 11')

it('reverses, sorts by number and across the stage, keeping every fixture', () => {
  expect(numbers(ordered(some, 'reverse', rig))).toEqual([11, 41, 13])
  expect(numbers(ordered(some, 'by number', rig))).toEqual([11, 13, 41])
  expect(numbers(ordered(some, 'across the stage', rig))).toEqual([11, 13, 41])
  expect(ordered([], 'across the stage', rig)).toEqual([])
})

it('shuffles without losing one, and by the chance it is given', () => {
  const draws = [0, 0.99, 0]
  expect(numbers(ordered(desk.fixtures('11-14'), 'shuffle', rig, () => draws.pop() ?? 0))).toEqual([12, 14, 13, 11])
  expect([...ordered(some, 'shuffle', rig)].sort()).toEqual([...some].sort())
})

it('inverts, and finds what is alike', () => {
  expect(numbers(inverted(some, rig))).toEqual([12, 14])
  expect(numbers(alike(desk.fixtures('13'), 'hang', rig))).toEqual([13, 11, 12, 14])
  expect(numbers(alike(desk.fixtures('41'), 'type', rig))).toEqual([41])
})
