import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { JournalEntry } from '#core/journal/entry'
import { Joining } from '#core/journal/joining'
import { RecentTouches } from '#core/journal/recentTouches'
import type { ChangeSet } from '#core/show/changes'
import { commandId, windowId } from '#core/show/ids'
import { journalEntry } from '../../tests/support/journaledShow'
import { rounds } from '../../tests/support/rounds'
import { Desk } from '../../tests/support/smallShow'
import { commandPlan, type Ground } from './commandPlan'

const desk = new Desk()
const changesOf = (registers: readonly string[]): ChangeSet =>
  registers.map((register) => ({ register, before: null, after: 1 }))

/** Knows the entries after `knownFrom` in memory, and finds the others one by one. */
function groundOf(entries: readonly JournalEntry[], knownFrom: number): Ground & { asked: number } {
  const touches = new RecentTouches(knownFrom)
  const joining = new Joining()
  for (const entry of entries) {
    if (entry.seq > knownFrom) touches.add(entry)
    joining.add(entry)
  }
  const ground = {
    show: desk.show,
    touches,
    joining,
    asked: 0,
    touchesSince: async (registers: readonly string[], seen: number) => {
      ground.asked += 1
      const of = (register: string) => entries.filter((e) => e.changes.some((c) => c.register === register)).at(-1)
      return new Map(registers.flatMap((r) => [of(r)].flatMap((e) => (e && e.seq > seen ? [[r, e] as const] : []))))
    },
  }
  return ground
}

const request = (seenRevision: number, name: 'moveTarget' | 'deleteCues' | 'moveHang' = 'moveTarget') => ({
  id: commandId.parse('now'),
  name,
  person: desk.person,
  window: windowId.parse('anna1'),
  seenRevision,
})
const did = (registers: readonly string[], mergeKey?: string) => ({
  ok: true as const,
  changes: changesOf(registers),
  label: 'do it',
  mergeKey,
})

describe('what is written for a command', () => {
  it('is refused just where somebody else, or another window, wrote last what this one had not seen', async () => {
    const REGISTERS = ['a', 'b', 'c', 'd']
    const some = fc.subarray(REGISTERS, { minLength: 1 })
    let refusals = 0
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.record({ person: fc.constantFrom('anna', 'ben'), touched: some }), { maxLength: 12 }),
        some,
        fc.nat(12),
        fc.nat(12),
        async (steps, touched, seenAt, knownAt) => {
          const entries = steps.map(({ person, touched: written }, i) =>
            journalEntry({
              seq: i + 1,
              person,
              kind: 'do',
              group: `g${i}`,
              label: 'do',
              undoable: true,
              changes: changesOf(written),
            }),
          )
          const [seen, known] = [Math.min(seenAt, entries.length), Math.min(knownAt, entries.length)]
          const ground = groundOf(entries, known)
          const plan = await commandPlan(ground, request(seen), 0, did(touched))
          const isUnseen = touched.some((register) => {
            const last = entries.filter(({ changes }) => changes.some((c) => c.register === register)).at(-1)
            return last !== undefined && last.seq > seen && last.person !== desk.person
          })
          expect('refused' in plan).toBe(isUnseen)
          if ('refused' in plan) expect(plan).toMatchObject({ status: 409, refused: { code: 'changed meanwhile' } })
          // The database is asked only about what memory has given up.
          expect(ground.asked).toBe(seen < known ? 1 : 0)
          refusals += isUnseen ? 1 : 0
        },
      ),
      rounds(200),
    )
    expect(refusals).toBeGreaterThan(20)
  })

  it('says who changed it, by the name they joined under', async () => {
    const joined = new Desk(desk.show, 'ben')
    joined.do('joinShow', { name: 'Ben Dover' })
    const entry = journalEntry({
      seq: 1,
      person: 'ben',
      kind: 'do',
      group: 'g',
      label: 'do',
      undoable: true,
      changes: changesOf(['a']),
    })
    const plan = await commandPlan({ ...groundOf([entry], 0), show: joined.show }, request(0), 0, did(['a']))
    expect(plan).toMatchObject({ refused: { message: expect.stringContaining('Ben Dover changed this meanwhile') } })
  })

  it('passes a refusal on, and is nothing where nothing changes', async () => {
    const ground = groundOf([], 0)
    const refusal = { code: 'gone' as const, message: 'It is gone.' }
    expect(await commandPlan(ground, request(0), 0, { ok: false, refusal })).toEqual({ refused: refusal, status: 422 })
    expect(await commandPlan(ground, request(0), 0, did([]))).toEqual({ nothing: null })
  })

  it('joins a step of the same kind just before it, and else is a step of its own', async () => {
    const first = journalEntry({
      seq: 1,
      person: desk.person,
      kind: 'do',
      group: 'drag',
      label: 'drag',
      undoable: true,
      changes: changesOf(['a']),
    })
    const ground = groundOf([{ ...first, mergeKey: 'drag' }], 0)
    const at = Date.parse(first.at)
    const groupAt = async (now: number, mergeKey?: string) => {
      const plan = await commandPlan(ground, request(1, 'moveHang'), now, did(['a'], mergeKey))
      return 'entry' in plan ? plan.entry.group : null
    }
    expect(await groupAt(at + 500, 'drag')).toBe('drag')
    expect(await groupAt(at + 5000, 'drag')).toBe('now')
    expect(await groupAt(at + 500, 'other')).toBe('now')
    expect(await groupAt(at + 500)).toBe('now')
  })

  it('keeps the show before what one may want to have back whole: some by name, any by its size', async () => {
    const many = Array.from({ length: 401 }, (_, i) => `r${i}`)
    const isBig = async (name: 'deleteCues' | 'moveHang', registers: readonly string[]) => {
      const plan = await commandPlan(groundOf([], 0), request(0, name), 0, did(registers))
      return 'entry' in plan && plan.isBig
    }
    expect([await isBig('deleteCues', ['a']), await isBig('moveHang', ['a']), await isBig('moveHang', many)]).toEqual([
      true,
      false,
      true,
    ])
  })
})
