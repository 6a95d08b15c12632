import { describe, expect, it } from 'vitest'
import { valuesByCue } from '../../cues/tracking'
import { Desk, PLAIN_TIMES } from '../../../tests/support/smallShow'

describe('recordCue', () => {
  it('keeps links, goes on stage and lets go of what it took; the picture stays', () => {
    const desk = new Desk()
    desk.aim('11, 12', 'Bow')
    desk.record(1, 'Bow')
    desk.level('11, 12', 'intensity', 0.6)
    const before = desk.seen(11)
    expect(desk.cue(1, 'First')).toBe('record cue 1 (2 fixtures)')
    const cue = desk.choose.cue(1, 1)
    const stored = valuesByCue(desk.show).get(cue) ?? []
    expect(stored.map(({ value }) => value)).toEqual([
      { kind: 'link', palette: desk.choose.palette(1) },
      { kind: 'link', palette: desk.choose.palette(1) },
    ])
    expect(desk.held(11, 'position')).toBeUndefined()
    // Intensity is held back until it is switched on.
    expect(desk.held(11, 'intensity')).toEqual({ kind: 'number', number: 0.6 })
    expect(desk.seen(11)).toEqual(before)
  })

  it('follows its palette wherever the place goes', () => {
    const desk = new Desk()
    desk.aim('11', 'Mark')
    desk.record(1, 'Mark')
    desk.cue(1)
    desk.do('moveTarget', { target: desk.choose.target('Mark'), position: { x: 1, y: 4, z: 0 } })
    expect(desk.seen(11).position.point).toEqual({ x: 1, y: 4, z: 0 })
  })

  it('refuses a number that is taken and a hand with nothing to take', () => {
    const desk = new Desk()
    desk.aim('11', 'Mark')
    desk.cue(1, 'There')
    const input = {
      list: desk.choose.list(1),
      number: 1,
      name: '',
      ...PLAIN_TIMES,
    } as const
    expect(desk.refused('recordCue', input)).toBe('Cue 1 is There. Choose another number.')
    expect(desk.refused('recordCue', { ...input, number: 2 })).toContain('Nothing in hand is being taken')
    expect(desk.refused('recordCue', { ...input, number: 2.00005 })).toContain('at most three decimals')
  })
})

describe('goToCue', () => {
  it('shows what has been carried to a cue, whatever is on stage before', () => {
    const desk = new Desk()
    desk.do('setTake', { family: 'intensity', take: true })
    for (const [number, level] of [
      [1, 0.2],
      [2, 0.9],
    ] as const) {
      desk.level('11', 'intensity', level)
      desk.cue(number)
    }
    desk.aim('12', 'Bow')
    desk.cue(3)
    desk.go(1)
    expect(desk.seen(11).intensity).toBe(0.2)
    expect(desk.seen(12).position.state).toBe('resting')
    desk.go(3)
    expect(desk.seen(11).intensity).toBe(0.9)
    desk.go(null)
    expect(desk.seen(11).intensity).toBe(0)
  })

  it('refuses a cue of another list', () => {
    const desk = new Desk()
    desk.aim('11', 'Bow')
    desk.cue(1)
    desk.do('addCueList', { number: 2, name: 'Side', intensityRule: 'latest' })
    expect(desk.refused('goToCue', { list: desk.choose.list(2), cue: desk.choose.cue(1, 1) })).toContain('another list')
  })
})
