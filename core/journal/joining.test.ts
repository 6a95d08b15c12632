import { describe, expect, it } from 'vitest'
import { personId, windowId } from '../show/ids'
import { journalEntry } from '../../tests/support/journaledShow'
import type { JournalEntry } from './entry'
import { Joining } from './joining'
import { RecentTouches } from './recentTouches'

const AT = 'group/a/name'
const entry = (seq: number, person: string, change: Partial<JournalEntry> = {}, register = AT): JournalEntry => ({
  ...journalEntry({
    seq,
    person,
    kind: 'do',
    group: `g${seq}`,
    label: 'move',
    undoable: true,
    changes: [{ register, before: 'x', after: 'y' }],
  }),
  mergeKey: 'nudge',
  ...change,
})

const STEP = {
  person: personId.parse('anna'),
  window: windowId.parse('anna1'),
  mergeKey: 'nudge',
  at: new Date(1300).toISOString(),
  registers: [AT],
}

function joiningAfter(...entries: JournalEntry[]): Joining {
  const joining = new Joining()
  for (const one of entries) joining.add(one)
  return joining
}

describe('steps in quick succession', () => {
  it('join the last of their kind, window and registers', () => {
    const joining = joiningAfter(entry(1, 'anna'))
    expect(joining.groupFor(STEP)).toBe('g1')
    expect(joining.groupFor({ ...STEP, at: new Date(5000).toISOString() })).toBeNull()
    expect(joining.groupFor({ ...STEP, registers: ['group/b/name'] })).toBeNull()
    expect(joining.groupFor({ ...STEP, window: windowId.parse('anna2') })).toBeNull()
    expect(joining.groupFor({ ...STEP, mergeKey: 'level' })).toBeNull()
    expect(joining.groupFor({ ...STEP, mergeKey: null })).toBeNull()
  })

  it('stand alone once anybody has written there, or anything was undone, in between', () => {
    expect(joiningAfter(entry(1, 'anna'), entry(2, 'ben')).groupFor(STEP)).toBeNull()
    expect(joiningAfter(entry(1, 'anna'), entry(2, 'ben', {}, 'group/b/name')).groupFor(STEP)).toBe('g1')
    expect(joiningAfter(entry(1, 'anna'), entry(2, 'anna', { kind: 'undo' }, 'group/b/name')).groupFor(STEP)).toBeNull()
    const aside = entry(2, 'anna', { undoable: false, mergeKey: null }, 'person/anna/blind')
    expect(joiningAfter(entry(1, 'anna'), aside).groupFor(STEP)).toBe('g1')
  })
})

describe('recent touches', () => {
  it('tell the last of each register, and from when on they know', () => {
    const touches = new RecentTouches(0)
    const many = (from: number) => Array.from({ length: 10_000 }, (_, i) => ({ register: `group/${from}-${i}/name` }))
    touches.add(entry(1, 'anna'))
    touches.add(entry(2, 'ben'))
    expect(touches.get(AT)).toMatchObject({ seq: 2, person: 'ben' })
    expect(touches.knownSince).toBe(0)
    touches.add(entry(3, 'ben', { changes: many(3) }))
    touches.add(entry(4, 'ben', { changes: many(4) }))
    expect(touches.get(AT)).toMatchObject({ seq: 2 })
    touches.add(entry(5, 'ben', { changes: many(5) }))
    expect(touches.get(AT)).toBeUndefined()
    expect(touches.knownSince).toBe(3)
    expect(touches.get('group/4-0/name')).toMatchObject({ seq: 4 })
  })
})
