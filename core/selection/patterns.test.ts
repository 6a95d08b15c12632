import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { asFixtureId, groupId } from '../show/ids'
import type { Pattern } from '../show/patterns'
import { patternInWords, subsetsOf } from './patterns'

const ids = (count: number) => Array.from({ length: count }, (_, i) => asFixtureId(`${i + 1}`))
const mid = groupId.parse('mid')
const groups = new Map([
  [mid, { members: [5, 2, 4, 9].map((n) => asFixtureId(String(n))), pattern: { kind: 'runs', length: 2 } as const }],
])
const parted = (by: Pattern, count: number) => subsetsOf(by, ids(count), groups).map((s) => s.join(' '))

describe('patterns', () => {
  it.each<[Pattern, number, string[]]>([
    [{ kind: 'every', nth: 2 }, 5, ['1 3 5', '2 4']],
    [{ kind: 'every', nth: 3 }, 2, ['1', '2']],
    [{ kind: 'runs', length: 2 }, 5, ['1 2', '3 4', '5']],
    [{ kind: 'parts', count: 2 }, 5, ['1 2 3', '4 5']],
    [{ kind: 'parts', count: 3 }, 4, ['1 2', '3', '4']],
    [{ kind: 'parts', count: 4 }, 2, ['1', '2']],
    [{ kind: 'pairs' }, 5, ['1 5', '2 4', '3']],
    [{ kind: 'pairs' }, 1, ['1']],
    [{ kind: 'single' }, 3, ['1', '2', '3']],
    [{ kind: 'group', group: mid }, 6, ['5 2', '4', '1 3 6']],
    [{ kind: 'group', group: groupId.parse('gone') }, 2, ['1 2']],
    [{ kind: 'pairs' }, 0, []],
  ])('%o of %i', (by, count, expected) => expect(parted(by, count)).toEqual(expected))

  it('part a selection: every fixture once, none lost, none empty, and each in the order of the whole', () => {
    const pattern = fc.oneof(
      fc.record({ kind: fc.constant('every' as const), nth: fc.integer({ min: 1, max: 9 }) }),
      fc.record({ kind: fc.constant('runs' as const), length: fc.integer({ min: 1, max: 9 }) }),
      fc.record({ kind: fc.constant('parts' as const), count: fc.integer({ min: 1, max: 9 }) }),
      fc.constant({ kind: 'pairs' as const }),
    )
    fc.assert(
      fc.property(pattern, fc.integer({ min: 0, max: 40 }), (by, count) => {
        const subsets = subsetsOf(by, ids(count), groups)
        expect(subsets.every((subset) => subset.length > 0)).toBe(true)
        expect(subsets.flat().sort()).toEqual(ids(count).sort())
        for (const subset of subsets) expect(subset.map(Number)).toEqual(subset.map(Number).sort((a, b) => a - b))
      }),
    )
  })

  it('takes a fixture that is named twice once', () => {
    const [one, two] = ids(2)
    if (!one || !two) throw new Error('two ids are wanted')
    expect(subsetsOf({ kind: 'single' }, [one, two, one], groups)).toEqual([[one], [two]])
  })

  it('are told in words', () => {
    expect(patternInWords({ kind: 'every', nth: 2 })).toBe('every 2nd')
    expect(patternInWords({ kind: 'parts', count: 2 })).toBe('halves')
    expect(patternInWords({ kind: 'group', group: mid }, () => 'Mid pairs')).toBe('parts of Mid pairs')
  })
})
