import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALL_DARK } from '../../tests/support/richShow'
import { rounds, Tally } from '../../tests/support/rounds'
import { Desk, PLAIN_TIMES } from '../../tests/support/smallShow'
import { moveTime } from '../kinematics/motorTime'
import { rigOf } from '../show/rig'
import { cuePicture } from './comparedCue'
import { DARK } from './darkness'
import { darkMovesOf, type DarkMove } from './darkMoves'
import { followerOf } from './going'
import { stagePicture, type StageFixture } from './onStage'
import { stagePictureAt } from './stageAt'
import { listsInOrder, type ListInOrder } from './tracking'
import { endsOfMoves } from './tracks'
import { withoutDarkMoves } from './recordedBack'

const tally = new Tally('Moves in the dark')
const MARGIN = 0.2

interface SomeCue {
  readonly level: number | null
  readonly place: 'Bow' | 'Mark' | null
  readonly zoom: number | null
  readonly follow: 'wait' | 'after' | 'with'
  readonly isQuiet: boolean
  readonly delay: number
  readonly seconds: number
}

const cue: fc.Arbitrary<SomeCue> = fc.record({
  level: fc.constantFrom(null, 0, 0, 0.7),
  place: fc.constantFrom(null, 'Bow', 'Mark'),
  zoom: fc.constantFrom(null, null, 10, 38),
  follow: fc.constantFrom('wait', 'after', 'after', 'with'),
  isQuiet: fc.integer({ min: 0, max: 5 }).map((n) => n === 0),
  delay: fc.constantFrom(0, 0, 0.5, 3),
  seconds: fc.constantFrom(0, 0.3, 1, 4),
})
const cues = fc.array(cue, { minLength: 3, maxLength: 8 })

/** Fixture 11 does what the cues say; 41 keeps them from being empty. */
function deskWith(all: readonly SomeCue[]): Desk {
  const desk = new Desk()
  desk.do('setTake', { family: 'intensity', take: true })
  all.forEach(({ level, place, zoom, follow, isQuiet, delay, seconds }, i) => {
    desk.level('41', 'intensity', 0.01 * (i + 1))
    if (level !== null) desk.level('11', 'intensity', level)
    if (place) desk.aim('11', place)
    if (zoom !== null) desk.level('11', 'zoom', zoom)
    const times = { ...PLAIN_TIMES, rise: seconds, fall: seconds, delay, follow }
    desk.do('recordCue', { list: desk.choose.list(1), number: i + 1, name: '', ...times })
    if (isQuiet) desk.do('changeCues', { cues: [desk.choose.cue(1, i + 1)], quiet: true })
  })
  desk.go(null)
  return desk
}

const listOf = (desk: Desk): ListInOrder => {
  const [list] = listsInOrder(desk.show)
  if (!list) throw new Error('there is no list')
  return list
}
const movesOf = (desk: Desk): readonly DarkMove[] => {
  const rigged = rigOf(desk.show).get(desk.fixture(11))
  return rigged ? darkMovesOf(desk.show, listOf(desk), rigged) : []
}
const plan = (desk: Desk, when: 'early' | 'late' | 'planned' | null) =>
  desk.do('setDarkMoves', { ...ALL_DARK, list: desk.choose.list(1), when, live: [] })

/** The cues on a clock: each begins a second of its own after those before when somebody calls it. */
class Clock {
  readonly starts: number[] = []
  readonly runs: number[] = []

  constructor(readonly all: readonly SomeCue[]) {
    all.forEach(({ follow }, i) => {
      const [before, was] = [this.starts[i - 1], all[i - 1]]
      const isCalled = follow === 'wait' || before === undefined || !was
      const length = was ? was.delay + was.seconds : 0
      this.starts.push(isCalled ? 0 : follow === 'with' ? before : before + length)
      this.runs.push(isCalled ? (this.runs[i - 1] ?? -1) + 1 : (this.runs[i - 1] ?? 0))
    })
  }

  start(at: number): number {
    return this.starts[at] ?? 0
  }

  level(at: number): number {
    return this.all.slice(0, at + 1).findLast(({ level }) => level !== null)?.level ?? 0
  }

  /** Whether light is out from one instant of a run to another, with the margin, and nothing quiet begins or lasts. */
  allows(at: number, from: number, until: number, since: number, light: number): boolean {
    const isSameRun = (other: number) => other >= 0 && this.runs[other] === this.runs[at]
    const gone = this.all[since]
    const out = gone && isSameRun(since) ? this.start(since) + gone.delay + gone.seconds + MARGIN : 0
    const comes = isSameRun(light) ? this.start(light) + (this.all[light]?.delay ?? 0) - MARGIN : Infinity
    const isQuiet = this.all.some(({ isQuiet: quiet }, i) => {
      if (!quiet || !isSameRun(i) || i < at || i > light) return false
      return i === at || until > this.start(i) + 1e-6
    })
    return from >= out - 1e-6 && until <= comes + 1e-6 && !isQuiet
  }
}

/** Where a move could be made, place by place: the earliest instant of each at which it may. */
function slowly(clock: Clock, move: DarkMove, needsAt: (at: number) => number, isBusy: boolean) {
  const first = Math.max(0, move.since)
  return Array.from({ length: move.at - first + 1 }, (_, i) => first + i).filter((at) => {
    if (at === move.since && isBusy) return false
    const begins = clock.start(at)
    const instants = Array.from({ length: 600 }, (_, i) => begins + i * 0.02)
    const exact = [move.since, at].map((of) => {
      const { delay = 0, seconds = 0 } = clock.all[of] ?? {}
      return Math.max(begins, clock.start(of) + delay + seconds + MARGIN)
    })
    return [...exact, ...instants].some((from) => clock.allows(at, from, from + needsAt(at), move.since, move.at))
  })
}

describe('moves in the dark', () => {
  it('are made where and when the obvious way would have them', () => {
    fc.assert(
      fc.property(cues, fc.constantFrom('early' as const, 'late' as const), (all, when) => {
        const desk = deskWith(all)
        plan(desk, when)
        const clock = new Clock(all)
        const pictures = all.map((_, i) => cuePicture(withoutDarkMoves(desk.show), desk.choose.cue(1, i + 1)))
        const pose = (at: number) => pictures[at]?.get(desk.fixture(11))?.position.pose ?? { pan: 0, tilt: 0 }
        for (const move of movesOf(desk).filter(({ family }) => family === 'position')) {
          const { head } = pictures[0]?.get(desk.fixture(11))?.rigged.mount ?? {}
          const needsAt = (at: number) =>
            head ? moveTime(head, pose(Math.max(move.since, at - 1)), pose(move.at)) : Infinity
          const isBusy = move.since >= 0 && all[move.since]?.place != null
          const found = slowly(clock, move, needsAt, isBusy)
          const { place } = move
          if (place.kind === 'stays') {
            expect(found).toEqual([])
            const aloud = slowly(new Clock(all.map((one) => ({ ...one, isQuiet: false }))), move, needsAt, isBusy)
            if (place.why === 'quiet' || place.why === 'no time') expect(aloud.length > 0).toBe(place.why === 'quiet')
            tally.count(place.why)
            continue
          }
          expect(place.at).toBe(when === 'early' ? found[0] : found.at(-1))
          expect(move.needs).toBeCloseTo(needsAt(place.at), 9)
          const from = clock.start(place.at) + place.delay
          expect(clock.allows(place.at, from, from + move.needs, move.since, move.at)).toBe(true)
          const later = clock.allows(place.at, from + 0.05, from + 0.05 + move.needs, move.since, move.at)
          if (when === 'late' && clock.runs[move.at] === clock.runs[place.at]) expect(later).toBe(false)
          tally.count(when)
        }
      }),
      rounds(150),
    )
    for (const what of ['early', 'late', 'no time', 'quiet', 'no cue between'])
      expect(tally.of(what), what).toBeGreaterThan(0)
  })

  it('leave everything that is lit as it is, and move nothing that is', () => {
    fc.assert(
      fc.property(cues, fc.array(fc.nat({ max: 15 }), { maxLength: 4 }), (some, jumps) => {
        const all = some.map((one) => (one.follow === 'with' ? { ...one, follow: 'wait' as const } : one))
        const desk = deskWith(all)
        const plain = desk.copy()
        plan(desk, 'planned')
        const inTheDark = movesOf(desk).filter(({ family, place }) => family === 'position' && place.kind === 'goes')
        for (let at = 0; at < all.length; at++) {
          const isMeant = all[at]?.place != null && !inTheDark.some((move) => move.at === at)
          goOnTo(desk, at)
          goOnTo(plain, at)
          if (!isMeant) expectStillWhileLit(desk, all[at + 1]?.follow === 'after')
          if (all[at + 1]?.follow === 'after') continue
          settle(desk)
          settle(plain)
          expectSameLight(desk, plain)
        }
        for (const jump of jumps) {
          const to = { list: desk.choose.list(1), cue: desk.choose.cue(1, (jump % all.length) + 1) }
          for (const one of [desk, plain]) {
            one.do('goToCue', { ...to, seconds: jump % 2 === 0 ? null : 2 })
            settle(one)
          }
          expectSameLight(desk, plain)
          tally.count('jumps')
        }
      }),
      rounds(60),
    )
    expect(tally.of('jumps')).toBeGreaterThan(40)
    expect(tally.of('still')).toBeGreaterThan(40)
  })

  it('go at once where a jump finds a head dark, and in the time of the cue where it is lit', () => {
    const still = { zoom: null, follow: 'wait', isQuiet: false, delay: 0, seconds: 4 } as const
    const desk = deskWith([
      { ...still, level: 0.7, place: 'Bow' },
      { ...still, level: 0, place: null },
      { ...still, level: 0.7, place: 'Mark' },
    ])
    plan(desk, 'planned')
    const list = desk.choose.list(1)
    const poseAfter = (seconds: number) => seenAt(desk, desk.now + seconds * 1000).position.pose
    const poseIn = (n: number) => cuePicture(desk.show, desk.choose.cue(1, n)).get(desk.fixture(11))?.position.pose
    desk.do('goToCue', { list, cue: desk.choose.cue(1, 2), seconds: 0 })
    expect(poseAfter(0)).toEqual(poseIn(3))
    desk.do('goToCue', { list, cue: desk.choose.cue(1, 1), seconds: null })
    expect(poseAfter(2)).toEqual(poseIn(1))
    settle(desk)
    desk.do('goToCue', { list, cue: desk.choose.cue(1, 3), seconds: null })
    expect(poseAfter(2)).not.toEqual(poseIn(3))
    settle(desk)
    expect(poseAfter(0)).toEqual(poseIn(3))
    // Let go of, the one that is lit goes in the time of that, the one that is dark at once.
    const lit = desk.copy()
    lit.do('goToCue', { list, cue: null, seconds: 4 })
    expect(seenAt(lit, lit.now + 2000).position.pose).not.toEqual({ pan: 0, tilt: 0 })
    desk.do('goToCue', { list, cue: desk.choose.cue(1, 2), seconds: 0 })
    desk.do('goToCue', { list, cue: null, seconds: 4 })
    expect(poseAfter(2)).toMatchObject({ pan: 0, tilt: 0 })
  })

  it('take the stage when they are made, not when their cue comes', () => {
    const still = { zoom: null, follow: 'wait', isQuiet: false, delay: 0, seconds: 1 } as const
    const desk = deskWith([
      { ...still, level: 0, place: null },
      { ...still, level: 0, place: null },
      { ...still, level: 0.7, place: 'Mark' },
    ])
    desk.do('addCueList', { number: 2, name: 'Places', intensityRule: 'latest', take: ['position'] })
    desk.aim('11', 'Bow')
    desk.do('recordCue', { ...PLAIN_TIMES, list: desk.choose.list(2), number: 1, name: '' })
    plan(desk, 'planned')
    const mark = cuePicture(desk.show, desk.choose.cue(1, 3)).get(desk.fixture(11))?.position.pose
    for (let i = 0; i < 2; i++) {
      desk.do('goOn', { list: desk.choose.list(1) })
      settle(desk)
      expect(seenAt(desk, desk.now).position.pose).toEqual(mark)
    }
    desk.do('goToCue', { list: desk.choose.list(2), cue: desk.choose.cue(2, 1) })
    expect(seenAt(desk, desk.now).position.pose).not.toEqual(mark)
  })

  it('wait for the light however early the next cue is called', () => {
    const still = { zoom: null, follow: 'wait', isQuiet: false, delay: 0, seconds: 4 } as const
    const desk = deskWith([
      { ...still, level: 0.7, place: 'Bow' },
      { ...still, level: 0, place: null },
      { ...still, level: null, place: null },
      { ...still, level: 0.7, place: 'Mark' },
    ])
    plan(desk, 'late')
    expect(movesOf(desk).map(({ place }) => place)).toMatchObject([{ kind: 'goes', at: 2 }])
    const list = desk.choose.list(1)
    desk.do('goToCue', { list, cue: desk.choose.cue(1, 1), seconds: 0 })
    for (let i = 0; i < 2; i++) {
      desk.now += 1000
      desk.do('goOn', { list })
    }
    expectStillWhileLit(desk, false)
  })
})

function seenAt(desk: Desk, now: number): StageFixture {
  const settled = stagePicture(desk.show, desk.person)
  const seen = stagePictureAt(desk.show, desk.person, settled, now).get(desk.fixture(11))
  if (!seen) throw new Error('it hangs nowhere')
  return seen
}

/** Calls the next cue, or lets it come by itself. */
function goOnTo(desk: Desk, at: number): void {
  const list = listOf(desk)
  const follower = followerOf(desk.show, list)
  if (!follower) return void desk.do('goOn', { list: list.id })
  expect(follower.cue).toBe(list.cues[at]?.id)
  desk.now = follower.at
  desk.do('followOn', { list: list.id, after: list.list.onStage ?? follower.cue })
}

/** Lets all that moves arrive. */
function settle(desk: Desk): void {
  desk.now = Math.max(desk.now, ...endsOfMoves(desk.show, listOf(desk))) + 1
}

/** What is lit is where it is without moves in the dark. */
function expectSameLight(desk: Desk, plain: Desk): void {
  const [seen, usual] = [desk, plain].map((one) => seenAt(one, one.now))
  expect(seen?.intensity).toBe(usual?.intensity)
  if (!seen || !usual || usual.intensity <= DARK) return
  expect(seen.position.pose).toEqual(usual.position.pose)
  expect(seen.zoom).toEqual(usual.zoom)
}

/** From now until all has arrived, or the next cue comes by itself, the head does not turn while it has light. */
function expectStillWhileLit(desk: Desk, isFollowed: boolean): void {
  const end = isFollowed
    ? (followerOf(desk.show, listOf(desk))?.at ?? 0)
    : Math.max(...endsOfMoves(desk.show, listOf(desk)))
  let before = seenAt(desk, desk.now)
  for (let now = desk.now + 40; now <= end; now += 40) {
    const seen = seenAt(desk, now)
    const isLit = Math.min(before.intensity, seen.intensity) > DARK
    if (isLit) expect(seen.position.pose).toEqual(before.position.pose)
    if (!isLit && seen.position.pose.pan !== before.position.pose.pan) tally.count('still')
    before = seen
  }
}
