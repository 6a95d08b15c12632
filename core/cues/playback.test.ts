import fc from 'fast-check'
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

/** The obvious way: each list keeps the number it left from, and when it set out. */
class SlowList {
  at = -1
  from = 0
  to: number | null = null
  source = -1
  began = 0
  lasts = 0
  since = 0
  stopped: number | null = null
  constructor(readonly levels: readonly (number | null)[]) {}

  level(now: number): number | null {
    const at = Math.min(now, this.stopped ?? Infinity)
    const t = this.lasts === 0 ? 1 : Math.min(1, Math.max(0, (at - this.began) / this.lasts))
    if (this.to === null && t >= 1) return null
    return this.from + ((this.to ?? 0) - this.from) * t
  }

  go(to: number, now: number, seconds: number | null) {
    if (this.stopped !== null) {
      this.began += now - this.stopped
      this.stopped = null
    }
    const here = this.level(now) ?? 0
    const source = this.levels.slice(0, to + 1).findLastIndex((level) => level !== null)
    const next = this.levels[source] ?? null
    if (to < this.at || source !== this.source) this.since = now
    if (next !== this.to) {
      this.lasts = 1000 * (seconds ?? (next !== null && this.to !== null && next < this.to ? FALL : RISE))
      this.from = here
      this.to = next
      this.began = now
    }
    this.source = source
    this.at = to
  }
}

const RISE = 2
const FALL = 5
const levels = fc.array(fc.option(fc.integer({ min: 1, max: 10 }).map((n) => n / 10)), { minLength: 4, maxLength: 4 })
const move = fc.record({
  list: fc.integer({ min: 0, max: 1 }),
  what: fc.constantFrom('on', 'on', 'back', 'pause'),
  wait: fc.integer({ min: 1, max: 4000 }),
})

describe('what the lists put on stage', () => {
  it('is at every moment what a list that remembers its numbers would give', () => {
    fc.assert(
      fc.property(
        fc.tuple(levels, levels),
        fc.constantFrom('highest' as const, 'latest' as const),
        fc.array(move, { minLength: 1, maxLength: 12 }),
        (all, rule, moves) => {
          const desk = new Desk()
          desk.do('addCueList', { number: 2, name: 'Second', intensityRule: rule })
          desk.do('changeCueList', { list: desk.choose.list(1), intensityRule: rule })
          all.forEach((ofList, i) => record(desk, i + 1, ofList, { rise: RISE, fall: FALL }))
          const slow = all.map((ofList) => new SlowList(ofList))
          let now = 10_000
          for (const { list, what, wait } of moves) {
            now += wait
            desk.now = now
            const name = what === 'on' ? 'goOn' : what === 'back' ? 'goBack' : 'pauseList'
            const of = slow[list]
            const id = desk.choose.list(list + 1)
            const wasPaused = desk.show.all.cueList.get(id)?.pausedAt !== null
            const outcome = desk.attempt(name, { list: id })
            if (!outcome.ok || !of) continue
            desk.do(name, { list: id })
            if (what === 'on' && wasPaused) {
              of.began += now - (of.stopped ?? now)
              of.stopped = null
            } else if (what === 'on') of.go(of.at + 1, now, null)
            else if (what === 'back') of.go(of.at - 1, now, FALL)
            else of.stopped ??= now
            for (const later of [0, 700, 2600, 9000]) {
              const lists = slow.map((one) => ({ since: one.since, level: one.level(now + later) }))
              const given = lists.filter(({ level }) => level !== null)
              const highest = Math.max(0, ...given.map(({ level }) => level ?? 0))
              const [latest] = given.sort((a, b) => b.since - a.since)
              if (rule === 'highest') expect(levelAt(desk, now + later)).toBeCloseTo(highest, 9)
              else if (given.length < 2) expect(levelAt(desk, now + later)).toBeCloseTo(latest?.level ?? 0, 9)
            }
          }
        },
      ),
      { numRuns: 60 },
    )
  })

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
