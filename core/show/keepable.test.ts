import { expect, it } from 'vitest'
import { unkeepableIn } from './keepable'

it('finds where something stands that cannot be kept', () => {
  expect(unkeepableIn({ name: 'Anna ⚓ 🎭', fixtures: ['a', 'b'], numbers: [1, 1], deep: [[['x'], ['x']]] })).toBeNull()
  expect(unkeepableIn({ a: [{ name: 'nul\0' }] })).toEqual({
    path: 'a.0.name',
    why: 'holds a character that cannot be kept',
  })
  expect(unkeepableIn('\ud83c half')?.path).toBe('')
  expect(unkeepableIn({ ['\ud83c']: 1 })?.why).toMatch(/character/)
  expect(unkeepableIn({ fixtures: ['a', 'b', 'a'] })).toEqual({ path: 'fixtures', why: 'names “a” twice' })
  expect(unkeepableIn(Array.from({ length: 20_001 }, () => 0))?.why).toBe('has 20001 entries; it may have 20000')
  const deep: unknown = JSON.parse('['.repeat(5000) + ']'.repeat(5000))
  expect(unkeepableIn(deep)?.why).toBe('is nested too deep')
})
