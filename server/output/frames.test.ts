/** What goes out of a show, frame by frame, on a clock that runs only when told. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Universes } from '#core/output/channelLevels'
import { channelLevels } from '#core/output/channelLevels'
import type { ChangeSet } from '#core/show/changes'
import { Desk, PLAIN_TIMES } from '../../tests/support/smallShow'
import { Frames } from './frames'

let desk: Desk
let sent: Universes[]
let faults: unknown[]
let open: Frames[]

const begin = () => {
  const frames = new Frames(desk.show, () => Date.now(), {
    changed: (universes) => sent.push(universes),
    failed: (error) => faults.push(error),
  })
  open.push(frames)
  return frames
}

/** Does a command and tells what it changed. */
function changesOf(work: () => unknown): ChangeSet {
  const attempt = vi.spyOn(desk, 'attempt')
  work()
  const [outcome] = attempt.mock.results.map(({ value }) => value)
  attempt.mockRestore()
  if (!outcome?.ok) throw new Error('it was refused')
  return outcome.changes
}

/** Goes to a cue in its own time, which begins now. */
const goingTo = (number: number) => {
  desk.now = Date.now()
  const cue = desk.choose.cue(1, number)
  return changesOf(() => desk.do('goToCue', { list: desk.choose.list(1), cue, seconds: null }))
}

/** All levels as they stand after everything that was sent. */
const received = () => new Map(sent.flatMap((changed) => [...changed]))
const levelsNow = () => channelLevels(desk.show, Date.now())

/** A list with 11 at full in cue 1 and dark in cue 2, each over four seconds. */
beforeEach(() => {
  vi.useFakeTimers({ now: 1_000_000 })
  ;[sent, faults, open] = [[], [], []]
  desk = new Desk()
  desk.now = Date.now()
  desk.do('changeFixtures', { changes: [{ fixture: desk.fixture(11), universe: 1, address: 1 }] })
  desk.do('setTake', { family: 'intensity', take: true })
  for (const [number, level] of [
    [1, 1],
    [2, 0],
  ] as const) {
    desk.level('11', 'intensity', level)
    desk.do('recordCue', { list: desk.choose.list(1), number, name: '', ...PLAIN_TIMES, rise: 4, fall: 4 })
  }
})
afterEach(() => {
  for (const frames of open) frames.close()
  vi.useRealTimers()
})

describe('the output of a show', () => {
  it('tells every universe at once, and then nothing while nothing changes', () => {
    begin()
    expect(received()).toEqual(levelsNow())
    vi.advanceTimersByTime(10_000)
    expect(sent).toHaveLength(1)
    expect([...received().keys()]).toEqual([1])
    expect(vi.getTimerCount()).toBe(0)
  })

  it('goes 40 times a second while a cue rises, ends where it arrives, and then rests', () => {
    const frames = begin()
    frames.apply(goingTo(1))
    const before = sent.length
    vi.advanceTimersByTime(1000)
    expect(sent.length - before).toBeGreaterThan(30)
    expect(sent.length - before).toBeLessThanOrEqual(41)
    expect(received()).toEqual(levelsNow())
    vi.advanceTimersByTime(5000)
    expect(received()).toEqual(levelsNow())
    expect(vi.getTimerCount()).toBe(0)
    const settled = sent.length
    vi.advanceTimersByTime(5000)
    expect(sent).toHaveLength(settled)
  })

  it('takes a change in while it runs, from where it was then', () => {
    const frames = begin()
    frames.apply(goingTo(1))
    vi.advanceTimersByTime(2000)
    const half = received().get(1)?.slice()
    frames.apply(goingTo(2))
    expect(received().get(1)).toEqual(half)
    expect(received()).toEqual(levelsNow())
    vi.advanceTimersByTime(10_000)
    expect(received()).toEqual(levelsNow())
    expect(vi.getTimerCount()).toBe(0)
  })

  it('tells of a change that cannot be worked out, rests, and goes on with the next', () => {
    const frames = begin()
    frames.apply([{ register: 'nonsense', before: null, after: 1 }])
    expect(faults).toHaveLength(1)
    expect(vi.getTimerCount()).toBe(0)
    frames.apply(goingTo(1))
    vi.advanceTimersByTime(6000)
    expect(faults).toHaveLength(1)
    expect(received()).toEqual(levelsNow())
  })

  it('says nothing more once it is closed', () => {
    const frames = begin()
    frames.apply(goingTo(1))
    vi.advanceTimersByTime(500)
    frames.close()
    const last = sent.length
    vi.advanceTimersByTime(5000)
    expect(sent).toHaveLength(last)
  })
})
