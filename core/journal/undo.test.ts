import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { applyChanges, readRegister, type ChangeSet } from '../show/changes'
import { Draft } from '../show/draft'
import { changeGroupId, personId, showId } from '../show/ids'
import { journalEntry } from '../../tests/support/journaledShow'
import { emptyShow, type Show } from '../show/show'
import type { JournalEntry } from './entry'
import { FoldedJournal, nextRedo, nextUndo } from '../../tests/support/foldedJournal'
import { planAnyway } from './anyway'
import { planToggle } from './undo'

const IDS = ['a', 'b', 'c']
const base = (() => {
  const draft = new Draft(emptyShow(showId.parse('s')))
  for (const [i, id] of IDS.entries())
    draft.put('group', id, { number: i + 1, name: 'first', colour: 'brass', pattern: null })
  return draft.result()
})()

/** A show, its journal and several people at work on it, as the server would hold them. */
class Desk {
  show: Show = base
  readonly entries: JournalEntry[] = []
  index = new FoldedJournal()

  #enter(person: string, kind: JournalEntry['kind'], group: string, changes: ChangeSet) {
    const seq = this.entries.length + 1
    const entry = journalEntry({ seq, person, kind, group, label: group, undoable: true, changes })
    this.entries.push(entry)
    this.index.add(entry)
    this.show = applyChanges(this.show, changes)
  }

  rename(person: string, id: string, name: string): string {
    const group = `g${this.entries.length + 1}`
    this.#enter(person, 'do', group, new Draft(this.show).set('group', id, 'name', name).changes())
    return group
  }

  change(person: string, change: (draft: Draft) => Draft): string {
    const group = `g${this.entries.length + 1}`
    this.#enter(person, 'do', group, change(new Draft(this.show)).changes())
    return group
  }

  toggle(person: string, group: string, to: 'dead' | 'live') {
    const plan = planToggle(this.show, this.index, changeGroupId.parse(group), to)
    if (plan.ok) this.#enter(person, to === 'dead' ? 'undo' : 'redo', group, plan.changes)
    return plan
  }

  undo(person: string) {
    const next = nextUndo(this.index, personId.parse(person))
    return next ? this.toggle(person, next.id, 'dead') : null
  }

  redo(person: string) {
    const next = nextRedo(this.index, personId.parse(person))
    return next ? this.toggle(person, next.id, 'live') : null
  }

  name(id: string) {
    return readRegister(this.show, `group/${id}/name`)
  }
}

describe('undo with several people', () => {
  it('leaves another person’s later value and says so; undone values do not come back', () => {
    const desk = new Desk()
    desk.rename('anna', 'a', 'two')
    desk.rename('ben', 'a', 'three')
    const plan = desk.undo('anna')
    expect(desk.name('a')).toBe('three')
    expect(plan).toMatchObject({ ok: true, changes: [], kept: [{ register: 'group/a/name', by: 'ben' }] })
    desk.undo('ben')
    expect(desk.name('a')).toBe('first')
  })

  it('never slides on to an older step of the same person', () => {
    const desk = new Desk()
    desk.rename('anna', 'b', 'older')
    desk.rename('anna', 'a', 'newer')
    desk.rename('ben', 'a', 'later')
    desk.undo('anna')
    expect(desk.name('b')).toBe('older')
  })

  it('keeps a person’s redo while others work, and drops it when they do something new', () => {
    const desk = new Desk()
    desk.rename('anna', 'a', 'two')
    desk.undo('anna')
    desk.rename('ben', 'b', 'other')
    expect(nextRedo(desk.index, personId.parse('anna'))).not.toBeNull()
    desk.rename('anna', 'c', 'new')
    expect(nextRedo(desk.index, personId.parse('anna'))).toBeNull()
  })

  it('refuses to take back a creation others have built on, and can do it all the same', () => {
    const desk = new Desk()
    const made = desk.change('anna', (draft) =>
      draft.put('group', 'new', { number: 9, name: 'new', colour: 'brass', pattern: null }),
    )
    desk.rename('ben', 'new', 'better')
    expect(desk.toggle('anna', made, 'dead')).toMatchObject({ ok: false, refusal: { code: 'built on', by: 'ben' } })
    const anyway = planAnyway(desk.show, desk.index, changeGroupId.parse(made), 'dead')
    expect(applyChanges(desk.show, anyway?.changes ?? []).all.group.has('new')).toBe(false)
  })

  it('refuses to bring back what someone has since taken the number of; all the same, it takes a free one', () => {
    const desk = new Desk()
    const make = (id: string) =>
      desk.change('anna', (draft) => draft.put('group', id, { number: 9, name: id, colour: 'brass', pattern: null }))
    const made = make('first')
    desk.undo('anna')
    make('second')
    expect(desk.toggle('anna', made, 'live')).toMatchObject({
      ok: false,
      refusal: { code: 'unsound', fault: { code: 'clash', clash: { field: 'number', value: '9' } } },
    })
    const anyway = planAnyway(desk.show, desk.index, changeGroupId.parse(made), 'live')
    expect(applyChanges(desk.show, anyway?.changes ?? []).all.group.get('first')?.number).toBe(10)
  })

  it('takes back a removal with the fields as they were last', () => {
    const desk = new Desk()
    desk.rename('anna', 'a', 'two')
    const removed = desk.change('ben', (draft) => draft.remove('group', 'a'))
    expect(desk.show.all.group.has('a')).toBe(false)
    desk.toggle('ben', removed, 'dead')
    expect(desk.show.all.group.get('a')).toMatchObject({ number: 1, name: 'two' })
  })
})

const step = fc.record({
  person: fc.constantFrom('anna', 'ben', 'cleo'),
  act: fc.constantFrom('do', 'do', 'do', 'undo', 'redo'),
  id: fc.constantFrom(...IDS),
  name: fc.constantFrom('p', 'q', 'r', 's'),
})

function perform(steps: readonly { person: string; act: string; id: string; name: string }[]): Desk {
  const desk = new Desk()
  for (const { person, act, id, name } of steps) {
    if (act === 'undo') desk.undo(person)
    else if (act === 'redo') desk.redo(person)
    else desk.rename(person, id, name)
  }
  return desk
}

describe('undo, for any history', () => {
  it('holds: replaying the journal gives the state; folding anew gives the same answers', () => {
    fc.assert(
      fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
        const desk = perform(steps)
        const replayed = desk.entries.reduce((show, entry) => applyChanges(show, entry.changes), base)
        expect([...replayed.all.group]).toEqual([...desk.show.all.group])
        const again = new FoldedJournal()
        for (const entry of desk.entries) again.add(entry)
        for (const person of ['anna', 'ben', 'cleo'].map((p) => personId.parse(p)))
          expect(nextUndo(again, person)?.id).toBe(nextUndo(desk.index, person)?.id)
      }),
      { numRuns: 400 },
    )
  })

  it('undo then redo changes nothing', () => {
    fc.assert(
      fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
        const desk = perform(steps)
        const before = [...desk.show.all.group]
        if (desk.undo('anna')?.ok) desk.redo('anna')
        expect([...desk.show.all.group]).toEqual(before)
      }),
      { numRuns: 400 },
    )
  })

  it('with everything undone, in any order, the show is what it was at the start', () => {
    const history = fc.tuple(fc.array(step, { maxLength: 30 }), fc.array(fc.nat(), { minLength: 30, maxLength: 30 }))
    fc.assert(
      fc.property(history, ([steps, order]) => {
        const desk = perform(steps)
        const live = [...desk.index.groups.values()].filter((group) => group.live)
        live.sort((a, b) => (order[a.firstSeq % 30] ?? 0) - (order[b.firstSeq % 30] ?? 0))
        for (const group of live) desk.toggle('anna', group.id, 'dead')
        expect([...desk.show.all.group]).toEqual([...base.all.group])
      }),
      { numRuns: 400 },
    )
  })
})
