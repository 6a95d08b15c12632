/** What several sources come to, against the rule spelt out for every channel. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { MOST_HEARD, Sources, type LevelsHeard } from './sources'

const PLAIN = { protocol: 'E1.31', universe: 1, name: 'Desk', priority: 100, sequence: 1 } as const
const heard = (source: string, levels: number[], more: Partial<LevelsHeard> = {}): LevelsHeard => ({
  ...{ ...PLAIN, source, levels: Uint8Array.from(levels) },
  ...more,
})
const channels = (sources: Sources) => [...(sources.levels('E1.31').get(1) ?? [])].slice(0, 3)

describe('sources of levels', () => {
  it('merge by priority, then the highest counts, whatever order they come in', () => {
    const source = fc.record({
      priority: fc.constantFrom(90, 100, 110),
      levels: fc.array(fc.integer({ min: 0, max: 255 }), { minLength: 3, maxLength: 3 }),
    })
    fc.assert(
      fc.property(fc.array(source, { minLength: 1, maxLength: 6 }), (all) => {
        const sources = new Sources()
        for (const [i, { priority, levels }] of all.entries()) sources.hear(heard(`s${i}`, levels, { priority }), 0)
        const highest = Math.max(...all.map(({ priority }) => priority))
        const counting = all.filter(({ priority }) => priority === highest)
        const expected = [0, 1, 2].map((i) => Math.max(...counting.map(({ levels }) => levels[i] ?? 0)))
        expect(channels(sources)).toEqual(expected)
        expect(sources.tell().sources.filter(({ counts }) => counts)).toHaveLength(counting.length)
      }),
    )
  })

  it('no longer count once they say goodbye or fall silent, and may begin anew then', () => {
    const sources = new Sources()
    sources.hear(heard('a', [200], { priority: 120, sequence: 9 }), 0)
    sources.hear(heard('b', [50, 60]), 0)
    expect(channels(sources)).toEqual([200, 0, 0])
    sources.hear(heard('a', [0], { priority: 120, sequence: 10, isTerminated: true }), 10)
    expect(channels(sources)).toEqual([50, 60, 0])
    sources.forget(2600)
    expect(sources.levels('E1.31').size).toBe(0)
    sources.hear(heard('b', [7], { sequence: 250 }), 2700)
    expect(channels(sources)).toEqual([7, 0, 0])
  })

  it('are taken in order; what comes late is left out, and counted', () => {
    const sources = new Sources()
    sources.hear(heard('a', [1], { sequence: 5 }), 0)
    sources.hear(heard('a', [2], { sequence: 4 }), 1)
    expect([channels(sources)[0], sources.tell().leftOut]).toEqual([1, 1])
    sources.hear(heard('a', [3], { sequence: 6 }), 2)
    expect(channels(sources)[0]).toBe(3)
  })

  it('never grow beyond what is kept, whatever comes', () => {
    const sources = new Sources()
    for (let i = 0; i < 5000; i++) {
      sources.hear(heard(`s${i}`, [9], { universe: 1 }), 0)
      sources.hear(heard('a', [9], { universe: i + 1 }), 0)
    }
    const { sources: told, leftOut } = sources.tell()
    expect(sources.levels('E1.31').size).toBe(MOST_HEARD.universes)
    expect(told.length).toBeLessThan(MOST_HEARD.universes + MOST_HEARD.sources)
    expect(leftOut).toBe(10_000 - told.length)
  })
})
