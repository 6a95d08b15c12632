import fc from 'fast-check'
import { expect, test } from 'vitest'
import { numbersWanted } from './numbersWanted'
import { besideSheet, nameOfSheet, OVERLAP_MM, plotSheets } from './plotSheets'

const metres = fc.double({ min: -40, max: 40, noNaN: true })
const points = fc.array(fc.record({ x: metres, y: metres }), { minLength: 1, maxLength: 20 })
const papers = fc.record({ widthMm: fc.integer({ min: 100, max: 400 }), heightMm: fc.integer({ min: 80, max: 300 }) })

test('sheets hold every point, neighbours show so much of each other, and none could be left out', () => {
  fc.assert(
    fc.property(points, papers, fc.constantFrom(20, 25, 50, 100), (all, paper, scale) => {
      const { sheets, columns, rows } = plotSheets(all, paper, scale, 0.5)
      const inMetres = (mm: number) => (mm * scale) / 1000
      const [wide, tall, lap] = [inMetres(paper.widthMm), inMetres(paper.heightMm), inMetres(OVERLAP_MM)]
      const holds = (one: (typeof sheets)[number], { x, y }: { x: number; y: number }) =>
        x >= one.left - 1e-6 && x <= one.left + wide + 1e-6 && y >= one.bottom - 1e-6 && y <= one.bottom + tall + 1e-6
      for (const point of all) expect(sheets.some((one) => holds(one, point))).toBe(true)
      for (const one of sheets) {
        const right = sheets.find(({ column, row }) => column === one.column + 1 && row === one.row)
        if (right) expect(right.left).toBeCloseTo(one.left + wide - lap)
        const below = sheets.find(({ column, row }) => column === one.column && row === one.row + 1)
        if (below) expect(below.bottom + tall).toBeCloseTo(one.bottom + lap)
      }
      const [xs, ys] = [all.map(({ x }) => x), all.map(({ y }) => y)]
      const width = Math.max(...xs) - Math.min(...xs) + 1
      const height = Math.max(...ys) - Math.min(...ys) + 1
      if (columns > 1) expect((columns - 1) * (wide - lap) + lap).toBeLessThan(width + 1e-6)
      if (rows > 1) expect((rows - 1) * (tall - lap) + lap).toBeLessThan(height + 1e-6)
    }),
  )
})

test('sheets are named by column and row, and know their neighbours', () => {
  const plot = plotSheets(
    [
      { x: 0, y: 0 },
      { x: 18, y: 12 },
    ],
    { widthMm: 200, heightMm: 150 },
    50,
    0,
  )
  expect(plot.sheets.map(nameOfSheet)).toEqual(['A1', 'B1', 'A2', 'B2'])
  const [first] = plot.sheets
  expect(first && besideSheet(first, plot)).toEqual(['B1 to the right', 'A2 below'])
})

test('numbers are read as people write them, and nothing is all', () => {
  const chosen = (text: string) => [1, 2.5, 3, 12, 13].filter(numbersWanted(text) ?? (() => false))
  expect(chosen('')).toEqual([1, 2.5, 3, 12, 13])
  expect(chosen('1-3, 13')).toEqual([1, 2.5, 3, 13])
  expect(chosen(' 2.5 ,12 – 12')).toEqual([2.5, 12])
  for (const bad of ['a', '1-', '1;2', '-3', '1.2345']) expect(numbersWanted(bad)).toBeNull()
})
