import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Desk, PLAIN_TIMES } from '../../tests/support/smallShow'
import { rounds, Tally } from '../../tests/support/rounds'
import { amountAt } from '../hand/standing'
import type { CueId, CueListId } from '../show/ids'
import { handOver } from './stageAt'
import { followerOf } from './going'
import { movingFixtures, litBy, unmoved } from './playback'
import { playing } from './tracks'
import { listsInOrder } from './tracking'

const tally = new Tally('Runs of cues')
const [RISE, FALL, MOVE] = [2, 5, 3]
/** What a profile of the small show zooms to when nothing sets it. */
const ZOOM_AT_REST = 27

type Follow = 'wait' | 'with' | 'after'
interface SlowCue {
  readonly level: number | null
  readonly zoom: number | null
  readonly follow: Follow
}

/** A fade that remembers the number it left from: nothing is ever put away. */
interface Segment {
  readonly from: Segment | null
  readonly at: number
  readonly end: number | null
  readonly seconds: number | null
}

/** How often anything was started. */
let starts = 0

/** The obvious way: each list keeps all it ever did, on a clock of its own that stands while it is paused. */
class SlowList {
  at = -1
  stood = 0
  stopped: number | null = null
  last: { readonly seconds: number | null; readonly at: number } | null = null
  readonly since = { level: 0, zoom: 0 }
  readonly sources = { level: -1, zoom: -1 }
  readonly segments: Record<'level' | 'zoom', Segment | null> = { level: null, zoom: null }

  constructor(
    readonly cues: readonly SlowCue[],
    readonly rule: 'highest' | 'latest',
  ) {}

  clock(now: number): number {
    return Math.min(now, this.stopped ?? Infinity) - this.stood
  }

  resume(now: number): void {
    if (this.stopped !== null) this.stood += now - this.stopped
    this.stopped = null
  }

  start(to: number, now: number, seconds: number | null): void {
    this.resume(now)
    const withThem = to >= 0 && seconds === null
    this.#start(to, now, seconds)
    for (let next = to + 1; withThem && this.cues[next]?.follow === 'with'; next++) this.#start(next, now, null)
  }

  #start(to: number, now: number, seconds: number | null): void {
    const order = ++starts
    for (const what of ['level', 'zoom'] as const) {
      const source = this.cues.slice(0, to + 1).findLastIndex((cue) => cue[what] !== null)
      const end = this.cues[source]?.[what] ?? null
      if ((to <= this.at && source >= 0) || source !== this.sources[what]) this.since[what] = order
      this.sources[what] = source
      const standing = this.segments[what]
      if (seconds === 0) this.segments[what] = end === null ? null : { from: null, at: 0, end, seconds: 0 }
      else if (end !== (standing?.end ?? null))
        this.segments[what] = { from: standing, at: this.clock(now), end, seconds }
    }
    this.at = to
    this.last = { seconds, at: this.clock(now) }
  }

  /** The number at an instant over `under`; null for nothing. */
  number(what: 'level' | 'zoom', now: number, under: number): number | null {
    const value = (segment: Segment | null, at: number): number | null => {
      if (!segment) return null
      const begin = value(segment.from, segment.at)
      const isFalling = segment.end === null || (begin !== null && segment.end < begin)
      const seconds = segment.seconds ?? (what === 'zoom' ? MOVE : isFalling ? FALL : RISE)
      const t = seconds === 0 ? 1 : Math.min(1, Math.max(0, (at - segment.at) / (seconds * 1000)))
      if (t >= 1) return segment.end
      const start = begin ?? under
      return start + ((segment.end ?? under) - start) * t
    }
    return value(this.segments[what], this.clock(now))
  }

  due(): number | null {
    if (this.stopped !== null || this.at < 0 || this.cues[this.at + 1]?.follow !== 'after') return null
    if (!this.last || this.last.seconds !== null) return null
    return this.last.at + this.stood + FALL * 1000
  }
}

/** What lists put on stage together: the latest over the others, the highest among those that ask for it. */
function slowly(lists: readonly SlowList[], what: 'level' | 'zoom', now: number, rest: number): number {
  let seen: number | null = null
  for (const list of [...lists].sort((a, b) => a.since[what] - b.since[what])) {
    const isHighest: boolean = what === 'level' && list.rule === 'highest' && seen !== null
    const own = list.number(what, now, isHighest ? 0 : (seen ?? rest))
    if (own !== null) seen = isHighest ? Math.max(own, seen ?? 0) : own
  }
  return seen ?? rest
}

const tenth = fc.integer({ min: 1, max: 10 }).map((n) => n / 10)
const cue: fc.Arbitrary<SlowCue> = fc.record({
  level: fc.option(tenth),
  zoom: fc.option(fc.integer({ min: 8, max: 40 })),
  follow: fc.constantFrom<Follow>('wait', 'wait', 'wait', 'with', 'after'),
})
const list = fc.record({
  cues: fc.array(cue, { minLength: 3, maxLength: 5 }),
  rule: fc.constantFrom('highest' as const, 'latest' as const),
})
const act = fc.record({
  list: fc.integer({ min: 0, max: 1 }),
  what: fc.constantFrom('on', 'on', 'on', 'back', 'pause', 'to', 'jump', 'off', 'cut'),
  wait: fc.oneof(fc.constant(0), fc.integer({ min: 1, max: 6000 })),
  cue: fc.nat({ max: 4 }),
})

/** Records the cues of a list; fixture 41 keeps them from being empty. */
function record(desk: Desk, number: number, { cues, rule }: { cues: readonly SlowCue[]; rule: SlowList['rule'] }) {
  desk.do('changeCueList', { list: desk.choose.list(number), intensityRule: rule })
  cues.forEach(({ level, zoom, follow }, i) => {
    desk.level('41', 'intensity', 0.01 * (i + 1))
    if (level !== null) desk.level('11', 'intensity', level)
    if (zoom !== null) desk.level('11', 'zoom', zoom)
    const times = { ...PLAIN_TIMES, rise: RISE, fall: FALL, move: MOVE, follow }
    desk.do('recordCue', { list: desk.choose.list(number), number: i + 1, name: '', ...times })
  })
  desk.do('goToCue', { list: desk.choose.list(number), cue: null })
}

interface Stage {
  readonly desk: Desk
  readonly lists: readonly { readonly id: CueListId; readonly cues: readonly CueId[]; readonly slow: SlowList }[]
}

function begin(lists: readonly { cues: readonly SlowCue[]; rule: SlowList['rule'] }[]): Stage {
  const desk = new Desk()
  desk.do('setTake', { family: 'intensity', take: true })
  desk.do('addCueList', { number: 2, name: 'Second', intensityRule: 'highest' })
  lists.forEach((one, i) => record(desk, i + 1, one))
  return {
    desk,
    lists: lists.map(({ cues, rule }, i) => ({
      id: desk.choose.list(i + 1),
      cues: cues.map((_, at) => desk.choose.cue(i + 1, at + 1)),
      slow: new SlowList(cues, rule),
    })),
  }
}

/** Starts what is due by itself, as the clock would, in the order it is due. */
function follow({ desk, lists }: Stage, now: number): void {
  for (;;) {
    const due = lists.flatMap(({ id, cues, slow }) => {
      const ordered = listsInOrder(desk.show).find((one) => one.id === id)
      const follower = ordered ? followerOf(desk.show, ordered) : null
      expect(follower?.at ?? null).toEqual(slow.due())
      return follower && follower.at <= now ? [{ id, cues, slow, ...follower }] : []
    })
    const [first] = due.sort((a, b) => a.at - b.at)
    if (!first) return
    const after = first.cues[first.slow.at]
    if (!after) throw new Error('nothing to come after')
    desk.now = now
    desk.do('followOn', { list: first.id, after })
    first.slow.start(first.slow.at + 1, first.at, null)
    tally.count('followers')
  }
}

function perform({ desk, lists }: Stage, { list: which, what, cue: to }: { list: number; what: string; cue: number }) {
  const { now } = desk
  const one = lists[which]
  if (!one) return
  const { id, cues, slow } = one
  const first = slow.cues.slice(0, slow.at + 1).findLastIndex((c) => c.follow !== 'with')
  const target = cues[to]
  if (what === 'on') {
    if (slow.stopped !== null) slow.resume(now)
    else if (slow.at + 1 < cues.length) slow.start(slow.at + 1, now, null)
    desk.ask('goOn', { list: id })
  } else if (what === 'back' && Math.max(0, first) - 1 >= 0) {
    desk.do('goBack', { list: id })
    slow.start(Math.max(0, first) - 1, now, FALL)
  } else if (what === 'pause') {
    desk.do('pauseList', { list: id })
    slow.stopped ??= now
  } else if (what === 'to' && target) {
    desk.do('goToCue', { list: id, cue: target, seconds: null })
    slow.start(to, now, null)
  } else if (what === 'jump' && target) {
    desk.do('goToCue', { list: id, cue: target, seconds: 0 })
    slow.start(to, now, 0)
  } else if (what === 'off' || what === 'cut') {
    const seconds = what === 'off' ? 4 : 0
    desk.do('goToCue', { list: id, cue: null, seconds })
    slow.start(-1, now, seconds)
  }
  tally.count(what)
}

function seen({ desk }: Stage, now: number) {
  const fixture = desk.fixture(11)
  const tracks = playing(desk.show).get(`${fixture} intensity`) ?? []
  const moving = movingFixtures(desk.show).find(({ id }) => id === fixture)
  const end = handOver(desk.show, desk.person)
  const zoom = amountAt(desk.show, moving ?? unmoved(fixture), 'zoom', { ...end, seen: end.lookup }, now)
  return {
    level: litBy(desk.show, tracks, now)?.level ?? 0,
    zoom: zoom?.kind === 'number' ? zoom.number : ZOOM_AT_REST,
  }
}

describe('several runs of several lists at once, in any order', () => {
  it('are at every moment where lists that never put anything away would be', () => {
    fc.assert(
      fc.property(fc.tuple(list, list), fc.array(act, { minLength: 1, maxLength: 10 }), (all, acts) => {
        const stage = begin(all)
        stage.desk.now = 100_000
        for (const one of acts) {
          const now = stage.desk.now + one.wait
          follow(stage, now)
          stage.desk.now = now
          perform(stage, one)
          const slow = stage.lists.map((of) => of.slow)
          for (const later of [0, 700, 2600, 4100]) {
            const then = now + later
            const { level, zoom } = seen(stage, then)
            expect(level).toBeCloseTo(slowly(slow, 'level', then, 0), 9)
            expect(zoom).toBeCloseTo(slowly(slow, 'zoom', then, ZOOM_AT_REST), 9)
            tally.count('instants')
          }
        }
      }),
      rounds(120),
    )
  })
})
