import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { UNIVERSE_SIZE, type Span } from './span'
import { asFixtureId } from '../show/ids'
import { COLUMNS, doubled, ROWS, rowRuns } from './universeMap'

const span = fc
  .record({ first: fc.integer({ min: 1, max: UNIVERSE_SIZE }), length: fc.integer({ min: 1, max: 60 }) })
  .map(({ first, length }) => ({ first, last: first + length - 1 }))
const channels = ({ first, last }: { first: number; last: number }) =>
  Array.from({ length: last - first + 1 }, (_, i) => first + i)

describe('the universe map', () => {
  it('draws every channel of a span once, none past the last, and no run over the end of a row', () => {
    fc.assert(
      fc.property(span, ({ first, last }) => {
        const drawn = rowRuns(first, last).flatMap(({ column, row, width }) => {
          expect(column + width).toBeLessThanOrEqual(COLUMNS)
          expect(row).toBeLessThan(ROWS)
          return Array.from({ length: width }, (_, i) => row * COLUMNS + column + i + 1)
        })
        expect(drawn).toEqual(channels({ first, last }).filter((channel) => channel <= UNIVERSE_SIZE))
      }),
    )
  })

  it('marks exactly the channels that more than one takes', () => {
    fc.assert(
      fc.property(fc.array(span, { maxLength: 12 }), (taken) => {
        const counts = new Map<number, number>()
        for (const channel of taken.flatMap(channels)) counts.set(channel, (counts.get(channel) ?? 0) + 1)
        const twice = [...counts].flatMap(([channel, count]) => (count > 1 ? [channel] : [])).sort((a, b) => a - b)
        const spans = taken.map((one, i): Span => ({ ...one, universe: 1, fixture: asFixtureId(`f${i}`), number: i }))
        const marked = [...new Set(doubled(spans).flatMap(channels))].sort((a, b) => a - b)
        expect(marked).toEqual(twice)
      }),
    )
  })
})
