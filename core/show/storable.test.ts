import { expect, it } from 'vitest'
import { unstorableIn } from './storable'

it('finds where something stands that cannot be kept', () => {
  expect(unstorableIn({ name: 'Anna ⚓ 🎭', fixtures: ['a', 'b'], numbers: [1, 1], deep: [[['x'], ['x']]] })).toBeNull()
  expect(unstorableIn({ a: [{ name: 'nul\0' }] })).toEqual({
    path: 'a.0.name',
    why: 'holds a character that cannot be kept',
  })
  expect(unstorableIn('\ud83c half')?.path).toBe('')
  expect(unstorableIn({ ['\ud83c']: 1 })?.why).toMatch(/character/)
  expect(unstorableIn({ fixtures: ['a', 'b', 'a'] })).toEqual({ path: 'fixtures', why: 'names “a” twice' })
  expect(unstorableIn(Array.from({ length: 20_001 }, () => 0))?.why).toBe('has 20001 entries; it may have 20000')
  const deep: unknown = JSON.parse('['.repeat(5000) + ']'.repeat(5000))
  expect(unstorableIn(deep)?.why).toBe('is nested too deep')
})
