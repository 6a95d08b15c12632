import { describe, expect, it } from 'vitest'
import { COMMANDS, isCommandName } from '../commands/registry'
import { Desk } from '../../tests/support/smallShow'
import { FAMILIES } from '../attributes/families'
import { isAtLeast, mayRun, ROLES, type Role } from './roles'

const NAMES = Object.keys(COMMANDS).filter(isCommandName)
const allowed = (role: Role) => NAMES.filter((name) => mayRun(role, name))

describe('what a role may do', () => {
  it('holds all that those before it may', () => {
    for (const role of ROLES)
      for (const less of ROLES.filter((other) => isAtLeast(role, other)))
        expect(allowed(role)).toEqual(expect.arrayContaining(allowed(less)))
  })

  it('is nothing but one’s name for who watches, and one’s own hand, the pass and touch-ups for who walks the stage', () => {
    expect(allowed('watches')).toEqual(['renamePerson'])
    const desk = new Desk()
    desk.aim('11-13', 'Bow')
    desk.record(1, 'Bow')
    desk.cue(1)
    desk.do('beginPass', { order: 'by cue', level: 1, others: 'out', corrections: 'for here' })
    const [before, palette] = [desk.show, desk.choose.palette(1)]
    desk.recall('11-12', 1)
    desk.do('nudgeAim', { fixtures: desk.fixtures('11'), by: { x: 0.1, y: 0, z: 0 } })
    desk.do('turnOtherSide', { fixtures: desk.fixtures('11'), how: 'other' })
    desk.do('takeOffPalette', { fixtures: desk.fixtures('12'), palette: desk.choose.palette(1) })
    desk.do('setHighlight', { highlight: 'brighter', fixtures: desk.fixtures('11') })
    desk.do('setBlind', { blind: true })
    desk.do('clearHand', { families: [...FAMILIES], fixtures: null })
    desk.do('checkPalette', { palette, only: null })
    desk.do('touchUp', { palette, fixtures: desk.fixtures('11'), by: { metres: { x: 0.1, y: 0, z: 0 } } })
    desk.do('confirmInPass', { palette, fixtures: null })
    desk.do('noteInPass', { palette, note: 'Wide' })
    desk.do('noteCue', { cue: desk.choose.cue(1, 1), text: 'Too high' })
    const touched = Object.entries(desk.show.all).filter(([kind, all]) => Reflect.get(before.all, kind) !== all)
    expect(touched.map(([kind]) => kind).sort()).toEqual([
      ...['cueNote', 'handValue', 'highlighted', 'passCheck', 'passStep', 'person', 'touchUp'],
    ])
    for (const name of [
      'beginPass',
      'correctPalette',
      'recordPalette',
      'updatePalettes',
      'goOn',
      'restoreShow',
      'keepingOut',
    ] as const)
      expect([name, mayRun('walks the stage', name), mayRun('programs', name)]).toEqual([name, false, true])
  })

  it('leaves joining and taking people out to the server', () => {
    for (const role of ROLES) expect(mayRun(role, 'joinShow') || mayRun(role, 'removePerson')).toBe(false)
  })
})

describe('a person', () => {
  it('can be renamed by themselves, and taken out once nothing is in their hand', () => {
    const desk = new Desk()
    desk.do('renamePerson', { name: 'Anna B.' })
    expect(desk.show.all.person.get(desk.person)?.name).toBe('Anna B.')
    desk.do('setHighlight', { highlight: 'brighter', fixtures: desk.fixtures('12') })
    desk.aim('11', 'Bow')
    expect(desk.refused('removePerson', { person: desk.person })).toMatch(/still has work in hand/)
    desk.do('clearHand', { families: [...FAMILIES], fixtures: null })
    desk.do('removePerson', { person: desk.person })
    expect([desk.show.all.person.size, desk.show.all.highlighted.size]).toEqual([0, 0])
  })
})
