import { describe, expect, it } from 'vitest'
import { Desk, PLAIN_TIMES } from '../../tests/support/smallShow'

/** Main holds 11 at 0.3 on the mark, the second list at 0.8 on the bow. */
function twoLists(rule: 'highest' | 'latest', second: number): Desk {
  const desk = new Desk()
  desk.do('setTake', { family: 'intensity', take: true })
  desk.do('addCueList', { number: 2, name: 'Second', intensityRule: rule })
  const record = (list: number, level: number, target: string) => {
    desk.level('11', 'intensity', level)
    desk.aim('11', target)
    desk.do('recordCue', {
      list: desk.choose.list(list),
      number: 1,
      name: '',
      ...PLAIN_TIMES,
    })
  }
  record(1, 0.3, 'Mark')
  record(2, second, 'Bow')
  return desk
}

describe('what is on stage', () => {
  it('takes the highest intensity over lists that ask for it, and the later list for the rest', () => {
    const higher = twoLists('highest', 0.8)
    expect(higher.seen(11).intensity).toBe(0.8)
    expect(higher.seen(11).position.point?.y).toBeCloseTo(4.5, 9)
    expect(twoLists('highest', 0.1).seen(11).intensity).toBe(0.3)
  })

  it('takes the later list’s intensity where it does not ask for the highest', () => {
    expect(twoLists('latest', 0.1).seen(11).intensity).toBe(0.1)
  })

  it('falls back as lists leave the stage, and rests without any', () => {
    const desk = twoLists('highest', 0.8)
    desk.do('goToCue', { list: desk.choose.list(2), cue: null })
    expect(desk.seen(11)).toMatchObject({ intensity: 0.3 })
    desk.go(null)
    expect(desk.seen(11)).toMatchObject({ intensity: 0, colour: { kind: 'parts', parts: {} } })
    expect(desk.seen(11).position.state).toBe('resting')
  })

  it('shows the palette a position comes from', () => {
    const desk = new Desk()
    desk.aim('11', 'Mark')
    expect(desk.seen(11).palette).toBeNull()
    desk.record(1, 'Mark')
    expect(desk.seen(11).palette).toBe(desk.choose.palette(1))
  })
})
