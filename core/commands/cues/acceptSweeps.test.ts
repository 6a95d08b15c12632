import { beforeEach, describe, expect, it } from 'vitest'
import { richDesk } from '../../../tests/support/richShow'
import type { Desk } from '../../../tests/support/smallShow'
import { openSweeps, acceptedSweeps } from '../../travel/accepted'
import { showRecordOf } from '../../show/show'

let desk: Desk
const step = () => ({
  cue: desk.choose.cue(1, 2),
  fixture: desk.fixture(41),
  sweeps: [{ zone: 'Front rows', fromSeconds: 0, untilSeconds: 1, level: 1 }],
})
const accept = (reason: string) => {
  const { cue, fixture } = step()
  return desk.do('acceptSweeps', { sweeps: [{ cue, fixture, zone: 'Front rows' }], reason })
}
const reasons = () => acceptedSweeps(desk.show, step()).map(({ reason }) => reason)

beforeEach(() => {
  desk = richDesk()
})

describe('a sweep that is accepted', () => {
  it('is told apart with its reason, which can be said anew, until it is judged again', () => {
    expect([openSweeps(desk.show, step()).length, reasons()]).toEqual([1, []])
    expect(accept('Nobody sits there')).toBe('accept 1 sweep: Nobody sits there')
    accept('The rows are empty')
    expect([openSweeps(desk.show, step()).length, reasons()]).toEqual([0, ['The rows are empty']])
    const [known] = acceptedSweeps(desk.show, step())
    if (known) desk.do('judgeSweepsAgain', { sweeps: [known.id] })
    expect([openSweeps(desk.show, step()).length, reasons()]).toEqual([1, []])
  })

  it('is so in one venue only, and goes with its cue', () => {
    accept('Nobody sits there')
    const here = showRecordOf(desk.show).venue
    const there = [...desk.show.all.venue.keys()].find((id) => id !== here)
    expect([...desk.show.all.acceptedSweep.values()].every(({ venue }) => venue === here)).toBe(true)
    expect(there).toBeDefined()
    const before = desk.show.all.acceptedSweep.size
    desk.do('deleteCues', { cues: [step().cue], later: 'change' })
    expect(desk.show.all.acceptedSweep.size).toBe(before - 1)
  })

  it('needs a reason, and a zone that is there', () => {
    const { cue, fixture } = step()
    expect(desk.refused('acceptSweeps', { sweeps: [{ cue, fixture, zone: 'Pit' }], reason: 'Empty' })).toBe(
      'There is no keep-clear zone called Pit in this venue.',
    )
    expect(desk.refused('acceptSweeps', { sweeps: [{ cue, fixture, zone: 'Front rows' }], reason: ' ' })).toContain(
      'say why',
    )
  })
})
