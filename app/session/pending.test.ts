/** Commands under way on top of what the server confirmed: what is seen never jumps, whoever is quicker. */
import { beforeEach, describe, expect, it } from 'vitest'
import type { CommandInput, CommandName } from '#core/commands/registry'
import { journalEntrySchema, type JournalEntry } from '#core/journal/entry'
import type { ChangeSet } from '#core/show/changes'
import { commandId } from '#core/show/ids'
import { Desk } from '../../tests/support/smallShow'
import { begun, confirmedBy, outcomeOf, withPending, type Pending } from './pending'

let desk: Desk
let asked = 0
beforeEach(() => (desk = new Desk()))

/** Asks for a command on a show. */
function ask<N extends CommandName>(name: N, input: CommandInput<N>, show = desk.show): Pending {
  const command = { id: commandId.parse(`c${++asked}`), now: 0, name, input }
  const outcome = outcomeOf(show, desk.person, command)
  if (!outcome.ok) throw new Error(outcome.refusal.message)
  return begun(show, command, outcome)
}

/** The entry of a command as it comes over the wire. */
function entryOf({ id }: Pick<Pending, 'id'>, changes: ChangeSet): JournalEntry {
  const entry = {
    id,
    seq: 1,
    person: desk.person,
    window: 'w',
    at: '2026-01-01T00:00:00.000Z',
    kind: 'do',
    group: 'g',
    label: '',
    undoable: true,
    mergeKey: null,
    changes,
  }
  return journalEntrySchema.parse(JSON.parse(JSON.stringify(entry)))
}

const level = (number: number) => ({ kind: 'number', number }) as const
const bright = (entry: string, number: number) =>
  ({ fixtures: desk.fixtures(entry), attribute: 'intensity', value: level(number) }) as const

describe('our own command', () => {
  it('is seen before it is answered, and is the very same show once it is', () => {
    const own = ask('setValue', bright('11', 0.5))
    const seen = withPending(desk.show, desk.person, [own])
    expect(seen.all.handValue.size).toBe(1)
    expect(confirmedBy(entryOf(own, own.changes), desk.show, [own])).toBe(seen)
  })

  it('does what the server did where that is something else', () => {
    const own = ask('setValue', bright('11', 0.5))
    const server = ask('setValue', bright('11', 0.7))
    const after = confirmedBy(entryOf(own, server.changes), desk.show, [own])
    expect([...after.all.handValue.values()].map(({ value }) => value)).toEqual([level(0.7)])
  })

  it('lies over others that were asked for before it', () => {
    const first = ask('setValue', bright('11', 0.5))
    const second = ask('setValue', bright('11', 0.9), first.after)
    const seen = withPending(desk.show, desk.person, [first, second])
    expect(seen).toBe(second.after)
    const confirmed = confirmedBy(entryOf(first, first.changes), desk.show, [first, second])
    expect(withPending(confirmed, desk.person, [second])).toBe(second.after)
  })
})

describe("someone else's entry that comes first", () => {
  it('stands under our command, which is run again on it', () => {
    const own = ask('changeValues', {
      fixtures: desk.fixtures('11'),
      attribute: 'intensity',
      change: { how: 'by', number: 0.25 },
    })
    const theirs = ask('setValue', bright('11', 0.5))
    const ground = confirmedBy(entryOf(theirs, theirs.changes), desk.show, [own])
    const seen = withPending(ground, desk.person, [own])
    expect([...seen.all.handValue.values()].map(({ value }) => value)).toEqual([level(0.75)])
  })

  it('lets our command go where it cannot be done any more', () => {
    desk.level('11', 'intensity', 0.5)
    desk.do('setTake', { family: 'intensity', take: true })
    desk.record(1, 'Half', 'intensity')
    const own = ask('recallPalette', { palette: desk.choose.palette(1), fixtures: desk.fixtures('11') })
    const theirs = ask('deletePalettes', { palettes: [desk.choose.palette(1)], links: { how: 'loose' } })
    const ground = confirmedBy(entryOf(theirs, theirs.changes), desk.show, [own])
    expect(withPending(ground, desk.person, [own])).toBe(ground)
  })
})
