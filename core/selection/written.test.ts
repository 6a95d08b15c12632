import { expect, it } from 'vitest'
import { writtenSelection } from './written'

it.each([
  [[], ''],
  [[7], '7'],
  [[11, 12], '11, 12'],
  [[11, 12, 13, 14, 21, 19, 18, 17], '11-14, 21, 19-17'],
  [[5, 6, 5, 6], '5, 6, 5, 6'],
  [[1, 3, 5, 7, 9, 11, 13], '1, 3, 5, 7, 9, 11 and more'],
])('writes %j as it would be typed', (numbers, written) => {
  expect(writtenSelection(numbers.map((number) => ({ number, cell: null })))).toBe(written)
})
