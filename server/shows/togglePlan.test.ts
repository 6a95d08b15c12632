import { beforeEach, describe, expect, it } from 'vitest'
import { vec3 } from '#core/geometry/vector'
import { asGroupId, changeGroupId, commandId, personId, windowId, type ChangeGroupId } from '#core/show/ids'
import { targetsOf } from '#core/show/targets'
import { choose } from '#demo/choices'
import { JournaledShow, type Person } from '../../tests/support/journaledShow'
import { Desk } from '../../tests/support/smallShow'
import type { ToggleRequest } from './plan'
import { togglePlan } from './togglePlan'

let at: JournaledShow
let step: ChangeGroupId

const asked = (person: Person, direction: 'undo' | 'redo', how: ToggleRequest['how'] = 'ask', group = step) =>
  togglePlan(at.show, at.index, {
    id: commandId.parse('now'),
    person: personId.parse(person),
    window: windowId.parse('a1'),
    seenRevision: at.entries.length,
    direction,
    group,
    how,
  })

/** Anna moves the mark, which Ben may then move on. */
const move = (person: Person, x: number) =>
  at.do(person, 'moveTarget', { target: choose(at.show).target('Mark'), position: vec3(x, 2, 0) })
beforeEach(() => {
  at = new JournaledShow(new Desk().show)
  step = move('anna', 1)
})

describe('what is written for an undo', () => {
  it('is the changes that take the step back, under its own name and in its own group', () => {
    const plan = asked('anna', 'undo')
    expect(plan).toMatchObject({ entry: { kind: 'undo', group: step, id: 'now', window: 'a1', undoable: false } })
    at.undo('anna')
    expect(targetsOf(at.show).get(choose(at.show).target('Mark'))?.position.x).toBe(0)
    if (!('entry' in plan)) throw new Error('nothing is written')
    expect(plan.entry.changes).toEqual(at.entries.at(-1)?.changes)
    expect(plan.entry.label).toBe(at.entries.find(({ group }) => group === step)?.label)
  })

  it('is nothing where it was done by then, or was left', () => {
    expect(asked('anna', 'redo')).toEqual({ nothing: null })
    at.undo('anna')
    expect(asked('anna', 'undo')).toEqual({ nothing: null })
    expect(asked('anna', 'redo')).toMatchObject({ entry: { kind: 'redo', group: step } })
    at.redo('anna', 'waive')
    expect(asked('anna', 'redo')).toEqual({ nothing: null })
  })

  it('is refused for a step of somebody else, and for one that is not known', () => {
    const unknown = { refused: { code: 'unknown step' }, status: 404 }
    expect(asked('ben', 'undo')).toMatchObject(unknown)
    expect(asked('anna', 'undo', 'ask', changeGroupId.parse('never'))).toMatchObject(unknown)
    const request = { person: personId.parse('anna'), direction: 'undo' as const, group: step, how: 'ask' as const }
    const asker = { id: commandId.parse('now'), window: windowId.parse('a1'), seenRevision: 0 }
    expect(togglePlan(at.show, null, { ...request, ...asker })).toMatchObject(unknown)
  })

  it('asks first where others went on from it; all the same it is a step of its own, or the step is left', () => {
    const fixtures = choose(at.show).fixtures('11, 12')
    step = at.do('anna', 'recordGroup', { name: 'Pair', number: 7, fixtures })
    const [group] = [...at.show.all.group].find(([, { name }]) => name === 'Pair') ?? ['']
    at.do('ben', 'changeGroup', { group: asGroupId(group), name: 'Two' })
    expect(asked('anna', 'undo')).toMatchObject({
      status: 409,
      refused: { code: 'harms others', message: expect.stringContaining('ben') },
    })
    expect(asked('anna', 'undo', 'anyway')).toMatchObject({
      entry: { kind: 'do', group: 'now', undoable: true, label: expect.stringMatching(/^take back .* all the same$/) },
      note: expect.stringContaining('Changed along with it: 1 group'),
    })
    expect(asked('anna', 'undo', 'waive')).toMatchObject({
      entry: { kind: 'waive', group: step, changes: [], undoable: false },
      note: null,
    })
  })

  it('leaves a step of which nothing can be done any more, and says so', () => {
    const desk = new Desk()
    desk.aim('11, 12', 'Mark')
    desk.cue(1)
    at = new JournaledShow(desk.show)
    step = at.do('anna', 'takeOutOfCues', {
      cues: [choose(at.show).cue(1, 1)],
      fixtures: choose(at.show).fixtures('11'),
      families: ['position'],
    })
    at.do('ben', 'deleteFixtures', { fixtures: choose(at.show).fixtures('11') })
    expect(asked('anna', 'undo')).toMatchObject({
      status: 409,
      refused: { message: expect.stringContaining('no longer there') },
    })
    const left = asked('anna', 'undo', 'anyway')
    expect(left).toMatchObject({ entry: { kind: 'waive', group: step, changes: [] } })
    expect('entry' in left && left.note).toMatch(/left|leave/i)
  })
})
