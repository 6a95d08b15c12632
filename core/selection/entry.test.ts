import { describe, expect, it } from 'vitest'
import { asFixtureId } from '../show/ids'
import { parseEntry } from './entry'

const byNumber = new Map([11, 12, 13, 15, 21].map((n) => [n, asFixtureId(`f${n}`)]))
const numbers = (text: string) => {
  const result = parseEntry(text, byNumber)
  return result.ok ? result.fixtures.map((id) => Number(id.slice(1))) : result.message
}

describe('a typed selection', () => {
  it.each([
    ['12', [12]],
    ['11-13', [11, 12, 13]],
    ['15-11', [15, 13, 12, 11]],
    ['12-15, 21', [12, 13, 15, 21]],
    ['21, 11-13, 12', [21, 11, 12, 13]],
    [' 11 - 12 ,', [11, 12]],
    ['', []],
  ])('%s', (text, expected) => expect(numbers(text)).toEqual(expected))

  it('says which part it did not understand and which fixture is missing', () => {
    expect(numbers('12, bow')).toContain('“bow”')
    expect(numbers('14')).toBe('There is no fixture 14.')
    expect(numbers('30-40')).toBe('No fixture from 30 to 40.')
  })
})
