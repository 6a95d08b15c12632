import { expect, it } from 'vitest'
import { effectScope, shallowRef } from 'vue'
import { useReorder } from './useReorder'

it('moves by one place, and not beyond the ends', () => {
  let order: string[] = ['a', 'b', 'c', 'd']
  const scope = effectScope()
  scope.run(() => {
    const { shift } = useReorder(
      shallowRef(null),
      () => order,
      (kept) => (order = kept),
    )
    shift('a', -1)
    expect(order.join('')).toBe('abcd')
    shift('b', 1)
    shift('d', 1)
    shift('x', 1)
    expect(order.join('')).toBe('acbd')
    shift('d', -1)
    expect(order.join('')).toBe('acdb')
  })
  scope.stop()
})
