import { describe, expect, it } from 'vitest'
import { Desk, PLAIN_TIMES } from '../../tests/support/smallShow'
import type { CommandInput } from '../commands/registry'
import { followerOf } from './going'
import { movesUntil } from './arrivals'
import { litBy } from './playback'
import { playing } from './tracks'
import { stagePictureAt } from './stageAt'
import { listsInOrder } from './tracking'
import { stagePicture } from './onStage'

type Timing = Partial<CommandInput<'changeCues'>>

/** Cues of a list by what each sets of fixture 11's intensity; null sets nothing of it. */
function record(desk: Desk, list: number, levels: readonly (number | null)[], timing: Timing = {}) {
  desk.do('setTake', { family: 'intensity', take: true })
  levels.forEach((level, i) => {
    // Fixture 41 keeps a cue from being empty.
    desk.level('41', 'intensity', 0.01 * (i + 1))
    if (level !== null) desk.level('11', 'intensity', level)
    desk.do('recordCue', { list: desk.choose.list(list), number: i + 1, name: '', ...PLAIN_TIMES, ...timing })
  })
  desk.do('goToCue', { list: desk.choose.list(list), cue: null })
}

function levelAt(desk: Desk, now: number): number {
  const tracks = playing(desk.show).get(`${desk.fixture(11)} intensity`) ?? []
  return litBy(desk.show, tracks, now)?.level ?? 0
}

const seenAt = (desk: Desk, number: number, now: number) => {
  const seen = stagePictureAt(desk.show, desk.person, stagePicture(desk.show, desk.person), now)
  const fixture = seen.get(desk.fixture(number))
  if (!fixture) throw new Error(`fixture ${number} is not on stage`)
  return fixture
}

const goOn = (desk: Desk, at: number, list = 1) => {
  desk.now = at
  desk.do('goOn', { list: desk.choose.list(list) })
}

describe('what the lists put on stage', () => {
  it('takes the list of the higher priority, then the one that took the value last, each by its master', () => {
    const desk = new Desk()
    desk.do('changeCueList', { list: desk.choose.list(1), intensityRule: 'latest' })
    desk.do('addCueList', { number: 2, name: 'Second', intensityRule: 'latest' })
    record(desk, 1, [0.4, null, 0.6])
    record(desk, 2, [0.8])
    goOn(desk, 10_000)
    goOn(desk, 20_000, 2)
    expect(levelAt(desk, 30_000)).toBe(0.8)
    // Its second cue leaves fixture 11 alone: the other list keeps it.
    goOn(desk, 30_000)
    expect(levelAt(desk, 40_000)).toBe(0.8)
    goOn(desk, 40_000)
    expect(levelAt(desk, 50_000)).toBe(0.6)
    desk.do('changeCueList', { list: desk.choose.list(2), priority: 6 })
    expect(levelAt(desk, 50_000)).toBe(0.8)
    desk.do('setMaster', { list: desk.choose.list(2), level: 0.5 })
    expect(levelAt(desk, 50_000)).toBe(0.4)
    expect(desk.seen(11).intensity).toBe(0.4)
    desk.do('changeCueList', { list: desk.choose.list(2), take: ['position'] })
    expect(levelAt(desk, 50_000)).toBe(0.6)
  })

  it('moves heads in the time for moving, straight over the stage where that is asked for', () => {
    const desk = new Desk()
    desk.aim('11', 'Mark')
    desk.cue(1)
    desk.aim('11', 'Bow')
    desk.cue(2)
    desk.do('changeCues', { cues: [desk.choose.cue(1, 2)], move: 4, travel: 'straight' })
    desk.go(1)
    goOn(desk, 10_000)
    const [from, to] = [seenAt(desk, 11, 10_000).position.point, seenAt(desk, 11, 14_000).position.point]
    const half = seenAt(desk, 11, 12_000).position.point
    expect(half?.x).toBeCloseTo(((from?.x ?? 0) + (to?.x ?? 0)) / 2, 6)
    expect(half?.y).toBeCloseTo(((from?.y ?? 0) + (to?.y ?? 0)) / 2, 6)
    expect(movesUntil(desk.show)).toBe(14_000)
    // What the hand holds, cues do not move.
    desk.aim('11', 'Shore')
    expect(seenAt(desk, 11, 12_000)).toEqual(desk.seen(11))
  })

  it('waits and takes as long as its fixtures and families ask for', () => {
    const desk = new Desk()
    record(desk, 1, [0.2, 0.8], { rise: 2, delay: 1 })
    const cues = [desk.choose.cue(1, 2)]
    goOn(desk, 0)
    goOn(desk, 10_000)
    expect([10_999, 12_000, 13_000].map((now) => levelAt(desk, now))).toEqual([0.2, 0.5, 0.8])
    const times = { cues, fixtures: desk.fixtures('11'), family: null }
    desk.do('setCueTimes', { ...times, seconds: 10, delay: 0 })
    expect(levelAt(desk, 15_000)).toBeCloseTo(0.5, 9)
    desk.do('setCueTimes', { cues, fixtures: desk.fixtures('11'), family: 'intensity', seconds: 4, delay: null })
    expect(levelAt(desk, 12_000)).toBeCloseTo(0.5, 9)
    expect(movesUntil(desk.show)).toBe(20_000)
    desk.do('setCueTimes', { ...times, seconds: null, delay: null })
    expect(levelAt(desk, 13_000)).toBeCloseTo(0.5, 9)
    expect(desk.refused('setCueTimes', { cues, fixtures: null, family: null, seconds: 1, delay: null })).toContain(
      'Choose',
    )
  })

  it('is what it was, mid-fade, when the show is read anew: nothing of it lives outside the show', () => {
    const desk = new Desk()
    record(desk, 1, [0, 1], { rise: 4 })
    goOn(desk, 0)
    goOn(desk, 10_000)
    const again = new Desk({ id: desk.show.id, all: structuredClone(desk.show.all) })
    expect(levelAt(again, 11_000)).toBe(levelAt(desk, 11_000))
    expect(levelAt(again, 11_000)).toBeCloseTo(0.25, 9)
  })

  it('fades out to what lies under it when a list leaves, and is gone after', () => {
    const desk = new Desk()
    desk.do('addCueList', { number: 2, name: 'Second', intensityRule: 'highest' })
    record(desk, 1, [0.2])
    record(desk, 2, [1])
    goOn(desk, 1000)
    goOn(desk, 2000, 2)
    desk.now = 10_000
    desk.do('goToCue', { list: desk.choose.list(2), cue: null, seconds: 4 })
    expect([10_000, 12_000, 14_000].map((now) => levelAt(desk, now))).toEqual([1, 0.5, 0.2])
  })
})

describe('a cue started while others still come in', () => {
  it('leaves what has arrived where it is, though an older cue still fades', () => {
    const desk = new Desk()
    desk.do('setTake', { family: 'colour', take: true })
    desk.level('11', 'zoom', 10)
    desk.cue(1)
    desk.look('11', '#ff0000')
    desk.cue(2)
    desk.level('11', 'zoom', 40)
    desk.cue(3)
    desk.level('12', 'zoom', 20)
    desk.cue(4)
    desk.do('changeCues', { cues: [desk.choose.cue(1, 2)], move: 10 })
    desk.go(1)
    for (const at of [10_000, 11_000, 15_000]) goOn(desk, at)
    expect(seenAt(desk, 11, 15_000).zoom.angle).toBe(40)
    expect(seenAt(desk, 11, 15_000).colour).toMatchObject({ kind: 'colour' })
  })

  it('falls in the time for falling also from a link, and to nothing; a level that is below rises', () => {
    const desk = new Desk()
    record(desk, 1, [1], { rise: 2, fall: 8 })
    desk.level('11', 'intensity', 0.2)
    desk.do('recordPalette', { number: 1, name: 'Low', shelf: 'intensity', colour: 'brass' })
    desk.do('recordCue', { list: desk.choose.list(1), number: 2, name: '', ...PLAIN_TIMES, rise: 2, fall: 8 })
    desk.go(1)
    goOn(desk, 10_000)
    expect(levelAt(desk, 14_000)).toBeCloseTo(0.6, 9)
    desk.now = 20_000
    desk.do('goToCue', { list: desk.choose.list(1), cue: null, seconds: null })
    expect(levelAt(desk, 20_000)).toBe(0)
    desk.go(null)
    desk.now = 30_000
    desk.do('goToCue', { list: desk.choose.list(1), cue: desk.choose.cue(1, 1), seconds: null })
    // At 0.15 on its way up to 1, it has to rise to reach 0.2.
    goOn(desk, 30_300)
    expect(levelAt(desk, 31_300)).toBeCloseTo(0.175, 9)
  })

  it('brings in what nothing had set from where it rests, in its time', () => {
    const desk = new Desk()
    const rested = desk.seen(11)
    desk.aim('11', 'Bow')
    desk.level('11', 'zoom', 48)
    desk.cue(1)
    const [aimed] = [desk.seen(11)]
    desk.go(null)
    desk.do('changeCues', { cues: [desk.choose.cue(1, 1)], move: 4 })
    goOn(desk, 10_000)
    const half = seenAt(desk, 11, 12_000)
    expect(half.position.pose.tilt).toBeCloseTo((rested.position.pose.tilt + aimed.position.pose.tilt) / 2, 9)
    expect(half.zoom.angle).toBeCloseTo((rested.zoom.angle + 48) / 2, 9)
  })

  it('meets the lower list in the middle of its fade when a higher one leaves', () => {
    const desk = new Desk()
    desk.do('addCueList', { number: 2, name: 'Over', intensityRule: 'latest' })
    desk.do('changeCueList', { list: desk.choose.list(2), priority: 8 })
    const zoom = (list: number, number: number, angle: number) => {
      desk.level('11', 'zoom', angle)
      desk.do('recordCue', { list: desk.choose.list(list), number, name: '', ...PLAIN_TIMES, move: 10 })
    }
    zoom(1, 1, 10)
    zoom(1, 2, 30)
    zoom(2, 1, 40)
    desk.go(1)
    goOn(desk, 10_000)
    desk.do('goToCue', { list: desk.choose.list(2), cue: null })
    expect(seenAt(desk, 11, 15_000).zoom.angle).toBeCloseTo(20, 9)
    desk.now = 12_000
    desk.do('goToCue', { list: desk.choose.list(2), cue: desk.choose.cue(2, 1), seconds: 0 })
    desk.do('goToCue', { list: desk.choose.list(2), cue: null, seconds: 2 })
    // Half way from 40 to where the lower one is by then.
    expect(seenAt(desk, 11, 13_000).zoom.angle).toBeCloseTo((40 + 16) / 2, 9)
    expect(seenAt(desk, 11, 15_000).zoom.angle).toBeCloseTo(20, 9)
  })
})

describe('going back', () => {
  it('goes to the cue before those that came together, and sets nothing off', () => {
    const desk = new Desk()
    record(desk, 1, [0.1, 0.2, 0.3, 0.4])
    const [, second, third, fourth] = [1, 2, 3, 4].map((number) => desk.choose.cue(1, number))
    if (!second || !third || !fourth) throw new Error('no cues')
    desk.do('changeCues', { cues: [third], follow: 'with' })
    desk.do('changeCues', { cues: [fourth], follow: 'after' })
    desk.do('changeCues', { cues: [second], rise: 30 })
    desk.go(1)
    goOn(desk, 10_000)
    const list = () => listsInOrder(desk.show)[0] ?? raise()
    expect(list().list.onStage).toBe(third)
    goOn(desk, 10_500)
    expect(list().list.onStage).toBe(fourth)
    desk.now = 11_000
    desk.do('goBack', { list: list().id })
    expect(list().list.onStage).toBe(third)
    expect(followerOf(desk.show, list())).toBeNull()
    desk.do('goBack', { list: list().id })
    expect(list().list.onStage).toBe(desk.choose.cue(1, 1))
    expect(desk.refused('goBack', { list: list().id })).toContain('first cue')
  })
})

describe('cues that follow', () => {
  it('start together with the one before, or come when it has arrived', () => {
    const desk = new Desk()
    record(desk, 1, [0.1, 0.2, 0.3, 0.4])
    const [, second, third] = [1, 2, 3, 4].map((number) => desk.choose.cue(1, number))
    if (!second || !third) throw new Error('no cues')
    desk.do('changeCues', { cues: [second], follow: 'with' })
    desk.do('changeCues', { cues: [third], follow: 'after' })
    goOn(desk, 10_000)
    const list = () => listsInOrder(desk.show)[0]
    expect(list()?.list.onStage).toBe(second)
    const due = followerOf(desk.show, list() ?? raise())
    expect(due).toEqual({ cue: third, at: 11_000 })
    expect(desk.refused('followOn', { list: desk.choose.list(1), after: second })).toContain('Nothing follows')
    desk.now = 11_040
    desk.do('followOn', { list: desk.choose.list(1), after: second })
    // It began when it was due, not when the clock came round to it.
    expect(levelAt(desk, 11_500)).toBeCloseTo(0.25, 9)
    expect(followerOf(desk.show, list() ?? raise())).toBeNull()
    desk.do('pauseList', { list: desk.choose.list(1) })
    desk.now = 20_000
    goOn(desk, 20_000)
    expect(list()?.list).toMatchObject({ onStage: third, pausedAt: null })
  })
})

function raise(): never {
  throw new Error('no list')
}
