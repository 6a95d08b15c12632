import { describe, expect, it } from 'vitest'
import { journalEntry } from '../../tests/support/journaledShow'
import { seeds } from '../../tests/support/rounds'
import { randomFrom } from '../../tests/support/randomCommands'
import type { Touch } from './history'
import { RecentTouches } from './recentTouches'

const entryOf = (seq: number, registers: readonly string[]) =>
  journalEntry({
    seq,
    person: seq % 2 ? 'anna' : 'ben',
    kind: 'do',
    group: `g${seq}`,
    label: 'do',
    undoable: true,
    changes: registers.map((register) => ({ register, before: null, after: 1 })),
  })

describe('who touched a register last', () => {
  it.each(seeds(3))('is known of everything after what is known since, however long it goes on (%i)', (seed) => {
    const random = randomFrom(seed)
    const touches = new RecentTouches(40)
    const last = new Map<string, Touch>()
    let writes = 0
    let forgot = 0
    for (let seq = 41; seq < 700; seq++) {
      const count = 1 + Math.floor(random() * 120)
      const entry = entryOf(
        seq,
        Array.from({ length: count }, () => `r${Math.floor(random() * 30_000)}`),
      )
      touches.add(entry)
      writes += count
      for (const { register } of entry.changes) last.set(register, { seq, person: entry.person, window: entry.window })
      if (seq % 150 > 0) continue
      const answers = [...last].map(([register, touch]) => ({ touch, known: touches.get(register) }))
      const wrong = answers.filter(
        ({ touch, known }) => known?.seq !== touch.seq && (known !== undefined || touch.seq > touches.knownSince),
      )
      expect(wrong).toEqual([])
      forgot += answers.filter(({ known }) => !known).length
    }
    // It forgets, but never much: the last ten thousand registers at the least.
    expect([writes > 30_000, forgot > 0]).toEqual([true, true])
    const recent = [...last.values()].filter(({ seq }) => seq > touches.knownSince)
    expect(recent.length).toBeGreaterThanOrEqual(10_000)
  })

  it('is not known of what was before the beginning', () => {
    const touches = new RecentTouches(7)
    expect([touches.knownSince, touches.get('a')]).toEqual([7, undefined])
    touches.add(entryOf(8, ['a']))
    expect([touches.knownSince, touches.get('a')?.seq]).toEqual([7, 8])
  })
})
