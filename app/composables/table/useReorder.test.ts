import { beforeEach, expect, it } from 'vitest'
import { useReorder, type Reorder } from './useReorder'

let order: string[]
let reorder: Reorder<string>
beforeEach(() => {
  order = ['a', 'b', 'c', 'd']
  reorder = useReorder(
    () => order,
    (kept) => (order = kept),
  )
})

it.each([
  ['a', 'c', 'bcad'],
  ['d', 'a', 'dabc'],
  ['b', 'b', 'abcd'],
])('puts %s where %s stands', (moved, target, after) => {
  reorder.lift(moved)
  reorder.hover(target)
  expect(reorder.over.value).toBe(target)
  reorder.drop(target)
  expect(order.join('')).toBe(after)
  expect(reorder.over.value).toBeNull()
})

it('moves by one place, and not beyond the ends', () => {
  reorder.shift('a', -1)
  reorder.shift('b', 1)
  expect(order.join('')).toBe('acbd')
})

it('takes no notice of what was dragged from elsewhere', () => {
  reorder.hover('b')
  expect(reorder.over.value).toBeNull()
  reorder.lift('x')
  reorder.drop('b')
  reorder.drop('c')
  expect(order.join('')).toBe('abcd')
})
