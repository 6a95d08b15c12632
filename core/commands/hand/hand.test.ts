import { describe, expect, it } from 'vitest'
import { Desk } from '../../../tests/support/smallShow'

describe('the hand', () => {
  it('is cleared by family and by fixture, says what goes, and refuses when there is nothing', () => {
    const desk = new Desk()
    desk.aim('11, 12', 'Bow')
    desk.level('11, 12', 'intensity', 1)
    expect(desk.do('clearHand', { families: ['position', 'colour'], fixtures: desk.fixtures('11') })).toBe(
      'clear position in hand',
    )
    expect(desk.held(11, 'position')).toBeUndefined()
    expect(desk.held(12, 'position')).toBeDefined()
    expect(desk.held(11, 'intensity')).toBeDefined()
    expect(desk.do('clearHand', { families: ['intensity', 'position'], fixtures: null })).toBe(
      'clear intensity and position in hand',
    )
    expect(desk.refused('clearHand', { families: ['position'], fixtures: null })).toContain('nothing in hand')
  })

  it('belongs to one person: others do not see it on their stage', () => {
    const anna = new Desk()
    anna.aim('11', 'Bow')
    const ben = new Desk(anna.show, 'ben')
    ben.do('joinShow', { name: 'Ben' })
    expect(ben.seen(11).position.state).toBe('resting')
    expect(ben.refused('recordPalette', { number: 1, name: 'Not mine', shelf: 'position', colour: 'brass' })).toContain(
      'Nothing in hand',
    )
  })

  it('takes links for the fixtures a palette serves, and refuses when it serves none', () => {
    const desk = new Desk()
    desk.aim('11, 12', 'Bow')
    desk.record(1, 'Bow')
    desk.do('clearHand', { families: ['position'], fixtures: null })
    expect(desk.recall('11-13', 1)).toBe('recall Bow for 2 fixtures')
    expect(desk.held(13, 'position')).toBeUndefined()
    expect(desk.refused('recallPalette', { palette: desk.choose.palette(1), fixtures: desk.fixtures('41') })).toBe(
      'Bow holds nothing for these fixtures.',
    )
  })

  it('lies over the cues and gives them back when it is cleared', () => {
    const desk = new Desk()
    desk.aim('11', 'Mark')
    desk.cue(1)
    desk.aim('11', 'Bow')
    expect(desk.seen(11).position.point?.y).toBeCloseTo(4.5, 9)
    desk.do('clearHand', { families: ['position'], fixtures: null })
    expect(desk.seen(11).position.point?.y).toBe(2)
  })
})

describe('groups', () => {
  it('keep their order, and their number stands once', () => {
    const desk = new Desk()
    desk.do('recordGroup', { number: 1, name: 'Outside in', fixtures: desk.fixtures('11, 14, 12, 13') })
    const members = [...desk.show.all.groupMember.values()].sort((a, b) => a.order - b.order).map((m) => m.fixture)
    expect(members).toEqual(desk.fixtures('11, 14, 12, 13'))
    expect(desk.refused('recordGroup', { number: 1, name: 'Again', fixtures: desk.fixtures('11') })).toContain(
      'Outside in',
    )
  })
})
