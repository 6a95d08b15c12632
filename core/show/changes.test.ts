import { describe, expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { applyChanges, registerParts, readRegister, touchedBy } from './changes'
import { Draft } from './draft'
import { danglingReferences } from './references'
import { clashAmong } from './uniqueness'

const { show } = new Desk()
const bar = [...show.all.hang].find(([, hang]) => hang.name === 'Bar')?.[0] ?? ''

describe('change sets', () => {
  it('share what they do not touch and leave the show before alone', () => {
    const after = new Draft(show).set('hang', bar, 'name', 'Bar one').result()
    expect(after.all.hang.get(bar)?.name).toBe('Bar one')
    expect(show.all.hang.get(bar)?.name).toBe('Bar')
    expect(after.all.fixture).toBe(show.all.fixture)
  })

  it('keep the first before and the last after of a register, and drop what changes nothing', () => {
    const draft = new Draft(show)
      .set('hang', bar, 'name', 'One')
      .set('hang', bar, 'name', 'Two')
      .set('hang', bar, 'form', 'bar')
    expect(draft.changes()).toEqual([{ register: `hang/${bar}/name`, before: 'Bar', after: 'Two' }])
    expect(new Draft(show).set('hang', bar, 'name', 'One').set('hang', bar, 'name', 'Bar').changes()).toEqual([])
  })

  it('turned round take the show back', () => {
    const changes = new Draft(show).remove('hang', bar).put('hang', 'h2', { name: 'New', form: 'bar' }).changes()
    const back = changes.map(({ register, before, after }) => ({ register, before: after, after: before }))
    expect(new Map(applyChanges(applyChanges(show, changes), back).all.hang)).toEqual(new Map(show.all.hang))
    expect([...touchedBy(changes)]).toEqual([['hang', new Set([bar, 'h2'])]])
  })

  it('refuse what does not fit its kind, and names that are no register', () => {
    expect(() => applyChanges(show, [{ register: `hang/${bar}/form`, before: 'bar', after: 'balloon' }])).toThrow()
    expect(() => registerParts('balloon/1/name')).toThrow(RangeError)
    expect(readRegister(show, 'hang/none/name')).toBeUndefined()
  })
})

describe('a sound show', () => {
  it('has nothing that points at nothing, inside values too', () => {
    expect(danglingReferences(show)).toEqual([])
    const target = [...show.all.target].find(([, t]) => t.name === 'Mark')?.[0] ?? ''
    const desk = new Desk()
    desk.aim('11', 'Mark')
    const broken = new Draft(desk.show).remove('target', target).result()
    expect(danglingReferences(broken).map(({ kind, field, to }) => [kind, field, to])).toEqual([
      ['targetPlace', 'target', 'target'],
      ['handValue', 'value', 'target'],
    ])
  })

  it('has no two things of one name or number; only what a change brings counts', () => {
    const twin = new Draft(show).put('hang', 'twin', { name: 'Bar', form: 'bar' })
    expect(clashAmong(twin.result(), touchedBy(twin.changes()))).toMatchObject({
      kind: 'hang',
      field: 'name',
      value: 'Bar',
    })
    const other = new Draft(twin.result()).put('hang', 'h3', { name: 'Bar 3', form: 'bar' })
    expect(clashAmong(other.result(), touchedBy(other.changes()))).toBeNull()
  })
})
