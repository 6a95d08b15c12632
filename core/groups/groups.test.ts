import { describe, expect, it } from 'vitest'
import { ORIGIN } from '../geometry/vector'
import { asGroupId, type GroupId } from '../show/ids'
import { membersOf, rigOf } from '../show/rig'
import { Desk } from '../../tests/support/smallShow'
import { paletteValueFor } from '../palettes/resolve'
import { extensionsOf } from './extension'
import { groupsInOrder, rigGroupsOf } from './groups'

function withGroup(entry: string): { desk: Desk; group: GroupId } {
  const desk = new Desk()
  desk.do('recordGroup', { number: 1, name: 'Front', fixtures: desk.fixtures(entry) })
  const [id] = desk.show.all.group.keys()
  return { desk, group: asGroupId(id ?? '') }
}
const numbers = (desk: Desk, ids: readonly string[]) => ids.map((id) => desk.show.all.fixture.get(id)?.number)

describe('groups', () => {
  it('are renamed, coloured, given a pattern and other members in another order', () => {
    const { desk, group } = withGroup('11-13')
    desk.do('changeGroup', { group, name: 'Line', colour: 'kelp', pattern: { kind: 'pairs' } })
    desk.do('changeGroup', { group, fixtures: desk.fixtures('14, 12') })
    expect(desk.show.all.group.get(group)).toEqual({
      number: 1,
      name: 'Line',
      colour: 'kelp',
      pattern: { kind: 'pairs' },
    })
    expect(numbers(desk, membersOf(desk.show).get(group) ?? [])).toEqual([14, 12])
    desk.do('deleteGroup', { group })
    expect(desk.show.all.groupMember.size).toBe(0)
  })

  it('share out the numbers they have when they are reordered, so gaps stay', () => {
    const { desk } = withGroup('11')
    desk.do('recordGroup', { number: 5, name: 'Second', fixtures: desk.fixtures('12') })
    desk.do('recordGroup', { number: 7.5, name: 'Third', fixtures: desk.fixtures('13') })
    const order = groupsInOrder(desk.show).map(({ id }) => id)
    desk.do('orderGroups', { groups: [...order].reverse() })
    expect(groupsInOrder(desk.show).map(({ group }) => `${group.number} ${group.name}`)).toEqual([
      '1 Third',
      '5 Second',
      '7.5 Front',
    ])
    expect(desk.refused('changeGroup', { group: order[0] ?? asGroupId('x'), number: 5 })).toContain('Number 5')
  })

  it('make themselves from the rig, and follow it', () => {
    const desk = new Desk()
    const names = () => rigGroupsOf(desk.show).map(({ name, members }) => `${name}: ${members.length}`)
    expect(names()).toEqual(['Tern 700: 4', 'Dunlin 400: 1', 'Boom: 1', 'Bar: 4'])
    const [boom] = desk.fixtures('41')
    const [bar] = [...desk.show.all.hang].find(([, { name }]) => name === 'Bar') ?? []
    if (!boom || !bar) throw new Error('the small show has a boom and a bar')
    const hang = rigOf(desk.show).get(desk.fixture(11))?.place.hang
    desk.do('changeFixtures', { changes: [{ fixture: boom, hang }] })
    expect(names()).toContain('Dunlin 400 on Bar: 1')
    expect(names()).not.toContain('Boom: 1')
  })
})

describe('what was made for a group', () => {
  it('is extended to a member that came later, aimed anew at the same place', () => {
    const { desk, group } = withGroup('11-13')
    desk.do('aimAtTarget', {
      fixtures: desk.fixtures('11-13'),
      target: desk.choose.target('Bow'),
      offset: ORIGIN,
      along: null,
    })
    desk.do('recordPalette', { number: 1, name: 'Bow', colour: 'brass', shelf: 'position' })
    const list = desk.choose.list(1)
    desk.do('recordCue', { list, number: 1, name: 'One', rise: 3, fall: 3, move: null, travel: 'straight' })
    expect(extensionsOf(desk.show, group)).toEqual([])

    desk.do('changeGroup', { group, fixtures: desk.fixtures('11-14') })
    const newcomer = rigOf(desk.show).get(desk.fixture(14))
    const [forPalette] = extensionsOf(desk.show, group)
    expect(forPalette?.holder.kind).toBe('palette')
    desk.do('extendToGroup', { group, palettes: [desk.choose.palette(1)], cues: [] })
    const value = newcomer && paletteValueFor(desk.show, desk.choose.palette(1), newcomer, 'position')
    expect(value).toMatchObject({ kind: 'aim', target: desk.choose.target('Bow') })

    const [forCue, ...rest] = extensionsOf(desk.show, group)
    expect(rest).toEqual([])
    expect(forCue).toMatchObject({
      holder: { kind: 'cue' },
      values: [{ value: { kind: 'link' }, fixture: newcomer?.id }],
    })
    desk.do('extendToGroup', { group, palettes: [], cues: [desk.choose.cue(1, 1)] })
    expect(extensionsOf(desk.show, group)).toEqual([])
    expect(desk.refused('extendToGroup', { group, palettes: [], cues: [] })).toContain('already')
  })

  it('leaves alone what holds less than half of the group, and raw angles, which mean nothing elsewhere', () => {
    const { desk, group } = withGroup('11-14')
    const value = { kind: 'number', number: 0.4 } as const
    desk.do('setTake', { family: 'intensity', take: true })
    desk.do('setValue', { fixtures: desk.fixtures('11'), attribute: 'intensity', value })
    desk.do('recordPalette', { number: 1, name: 'Glow', colour: 'brass', shelf: 'intensity' })
    desk.do('turnHeads', { fixtures: desk.fixtures('11-13'), pan: { how: 'to', degrees: 10 }, tilt: null })
    desk.do('recordPalette', { number: 2, name: 'Turned', colour: 'brass', shelf: 'position' })
    expect(extensionsOf(desk.show, group)).toEqual([])
  })
})

describe('a working set', () => {
  it('keeps what lies outside it out of what is recorded', () => {
    const desk = new Desk()
    const aim = (entry: string) =>
      desk.do('aimAtTarget', {
        fixtures: desk.fixtures(entry),
        target: desk.choose.target('Bow'),
        offset: ORIGIN,
        along: null,
      })
    aim('11-14')
    desk.do('recordWorkingSet', { name: 'Left half', fixtures: desk.fixtures('11, 12'), workingSet: null })
    const workingSet = [...desk.show.all.workingSetMember.values()][0]?.workingSet ?? null
    desk.do('recordPalette', { number: 1, name: 'Bow', colour: 'brass', shelf: 'position', workingSet })
    expect(
      numbers(
        desk,
        [...desk.show.all.paletteValue.values()].map((v) => v.fixture ?? ''),
      ),
    ).toEqual([11, 12])
    expect(
      desk.refused('recordWorkingSet', { name: 'left HALF', fixtures: desk.fixtures('13'), workingSet: null }),
    ).toContain('already')
    if (workingSet) desk.do('deleteWorkingSet', { workingSet })
    expect(desk.show.all.workingSetMember.size).toBe(0)
  })
})
