import Papa from 'papaparse'
import { expect, it } from 'vitest'
import { csvOf } from './csv'

it('writes tables that read back as they were, numbers as numbers and nothing as a formula', () => {
  const columns = [
    { key: 'name', header: 'Name' },
    { key: 'pan', header: 'Pan (°)' },
  ] as const
  const rows = [
    { name: 'Bow, "the front"', pan: -2.5 },
    { name: '=1+1', pan: 0 },
    { name: '-8 m\nupstage', pan: '' },
  ]
  const text = csvOf(columns, rows)
  expect(text.endsWith('\n')).toBe(true)
  expect(Papa.parse(text.trimEnd()).data).toEqual([
    ['Name', 'Pan (°)'],
    ['Bow, "the front"', '-2.5'],
    ["'=1+1", '0'],
    ["'-8 m\nupstage", ''],
  ])
})
