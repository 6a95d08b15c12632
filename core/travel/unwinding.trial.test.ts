import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { buildSaltLantern } from '#demo/saltLantern'
import { rounds, Tally } from '../../tests/support/rounds'
import { Desk, PLAIN_TIMES } from '../../tests/support/smallShow'
import { cuePicture } from '../cues/comparedCue'
import { listsInOrder } from '../cues/tracking'
import { poseInCue } from '../cues/ways'
import { vec3 } from '../geometry/vector'
import type { Mount } from '../kinematics/head'
import { moveTime } from '../kinematics/motorTime'
import { rigOf } from '../show/rig'
import type { Show } from '../show/show'
import { asItIs, cheapest, costOf, stopsOf, unwind, unwindAll, type Candidate, type Stop } from './unwinding'

const tally = new Tally('Ways round')

interface SomeCue {
  readonly target: 'Bow' | 'Mark' | null
  readonly aside: number
  readonly along: number
  readonly level: number | null
  readonly isTurned: boolean
  readonly isStraight: boolean
}
const cue: fc.Arbitrary<SomeCue> = fc.record({
  target: fc.constantFrom('Bow', 'Mark', 'Mark', null),
  aside: fc.integer({ min: -40, max: 40 }).map((n) => n / 10),
  along: fc.integer({ min: -30, max: 30 }).map((n) => n / 10),
  level: fc.constantFrom(null, 0, 0.8, 0.8),
  isTurned: fc.boolean(),
  isStraight: fc.integer({ min: 0, max: 3 }).map((n) => n === 0),
})
const cues = fc.array(cue, { minLength: 2, maxLength: 5 })

/** Fixture 12 is aimed by palettes of its own, some of which have it turned the other side. */
function deskWith(all: readonly SomeCue[]): Desk {
  const desk = new Desk()
  desk.do('setTake', { family: 'intensity', take: true })
  all.forEach(({ target, aside, along, level, isTurned, isStraight }, i) => {
    desk.level('41', 'intensity', 0.01 * (i + 1))
    if (target) {
      desk.aim('12', target, vec3(aside, along, 0))
      if (isTurned) desk.ask('turnOtherSide', { fixtures: desk.fixtures('12'), how: 'other' })
      desk.record(i + 1, `Place ${i + 1}`)
      desk.recall('12', i + 1)
    }
    if (level !== null) desk.level('12', 'intensity', level)
    const travel = isStraight ? ('straight' as const) : ('angle' as const)
    desk.do('recordCue', { list: desk.choose.list(1), number: i + 1, name: '', ...PLAIN_TIMES, travel })
  })
  return desk
}

function headOf(show: Show, number: number) {
  const rigged = [...rigOf(show).values()].find(({ fixture }) => fixture.number === number)
  const [list] = listsInOrder(show)
  if (!rigged || !list) throw new Error('it hangs nowhere')
  return { rigged, list }
}

/** Every choice there is, one after the other. */
function* every(stops: readonly Stop[], chosen: readonly Candidate[] = []): Generator<readonly Candidate[]> {
  const next = stops[chosen.length]
  if (!next) return yield chosen
  for (const candidate of next.candidates) yield* every(stops, [...chosen, candidate])
}

/** At each stop the candidate that is nearest by motor time. */
function greedy(stops: readonly Stop[], { head }: Mount): readonly Candidate[] {
  const chosen: Candidate[] = []
  for (const { candidates } of stops) {
    const before = chosen.at(-1) ?? { pan: 0, tilt: 0 }
    const [nearest] = [...candidates].sort((a, b) => moveTime(head, before, a) - moveTime(head, before, b))
    if (nearest) chosen.push(nearest)
  }
  return chosen
}

describe('unwinding', () => {
  it('costs no more than any other choice of ways, the nearest each time among them', () => {
    fc.assert(
      fc.property(cues, (all) => {
        const { show } = deskWith(all)
        const { rigged, list } = headOf(show, 12)
        const stops = stopsOf(show, list, rigged, false)
        const best = costOf(rigged.mount, stops, cheapest(rigged.mount, stops))
        let least = Infinity
        for (const chosen of every(stops)) {
          least = Math.min(least, costOf(rigged.mount, stops, chosen))
          tally.count('choices')
        }
        if (stops.length > 0) expect(best).toBeCloseTo(least, 9)
        expect(best).toBeLessThanOrEqual(costOf(rigged.mount, stops, greedy(stops, rigged.mount)) + 1e-9)
        if (costOf(rigged.mount, stops, greedy(stops, rigged.mount)) > best + 0.01)
          tally.count('better than the nearest')
      }),
      rounds(80),
    )
    expect(tally.of('better than the nearest')).toBeGreaterThan(0)
  })

  it('lights the same places, the way round it says, and has nothing more to say then', () => {
    fc.assert(
      fc.property(cues, (all) => {
        const desk = deskWith(all)
        const before = desk.show
        const { rigged, list } = headOf(before, 12)
        const found = unwind(before, list, rigged, false)
        if (!found) return
        tally.count('unwound')
        desk.do('setWays', { ways: [...found.ways], byHand: false })
        const stops = stopsOf(before, list, rigged, false)
        const chosen = cheapest(rigged.mount, stops)
        stops.forEach(({ cue: id }, i) => {
          const pose = poseInCue(desk.show, rigged.id, id)
          expect(pose.pan).toBeCloseTo(chosen[i]?.pan ?? NaN, 6)
          expect(pose.tilt).toBeCloseTo(chosen[i]?.tilt ?? NaN, 6)
          const [was, is] = [before, desk.show].map((show) => cuePicture(show, id).get(rigged.id)?.position.point)
          for (const axis of ['x', 'y', 'z'] as const) expect(is?.[axis]).toBeCloseTo(was?.[axis] ?? NaN, 6)
        })
        expect(unwind(desk.show, headOf(desk.show, 12).list, rigged, false)).toBeNull()
        for (const show of [before, desk.show, before])
          for (const { unwound } of unwindAll(show, list.id, null, false)) {
            const head = unwound && rigOf(show).get(unwound.fixture)
            if (head) expect(unwound).toEqual(unwind(show, headOf(show, 12).list, head, false))
          }
        const left = [...unwindAll(desk.show, list.id, [rigged.id], false)]
        expect(left).toEqual([{ done: 1, all: 1, unwound: null }])
        const asNow = asItIs(desk.show, headOf(desk.show, 12).list, rigged, stops)
        expect(costOf(rigged.mount, stops, asNow)).toBeCloseTo(costOf(rigged.mount, stops, chosen), 6)
      }),
      rounds(80),
    )
    expect(tally.of('unwound')).toBeGreaterThan(10)
  })

  it('keeps a way that was chosen by hand unless it is freed, and drops it where something else is set', () => {
    const at = { aside: 0, along: 0, level: 0.8, isStraight: false } as const
    const desk = deskWith([
      { ...at, target: 'Mark', isTurned: false },
      { ...at, target: 'Bow', isTurned: true },
      { ...at, target: 'Mark', isTurned: false },
    ])
    const head = () => headOf(desk.show, 12)
    const two = desk.choose.cue(1, 2)
    const one = { cue: two, fixture: desk.fixture(12) }
    const byItself = unwind(desk.show, head().list, head().rigged, false)
    const cuesOf = (found: typeof byItself) => (found?.ways ?? []).map(({ cue: id }) => id)
    expect(cuesOf(byItself)).toContain(two)
    const now = poseInCue(desk.show, desk.fixture(12), two)
    const { side } = cuePicture(desk.show, two).get(desk.fixture(12))?.position ?? {}
    desk.do('setWays', { ways: [{ ...one, way: { side: side ?? 'positive', pan: now.pan } }], byHand: true })
    expect(cuesOf(unwind(desk.show, head().list, head().rigged, false))).not.toContain(two)
    expect(cuesOf(unwind(desk.show, head().list, head().rigged, true))).toContain(two)
    const palette = desk.choose.palette(1)
    desk.do('setPaletteInCues', { cues: [two], fixtures: desk.fixtures('12'), palette, where: 'here only' })
    expect([...desk.show.all.cueValue.values()].some(({ value }) => value.kind === 'link' && value.way)).toBe(false)
  })

  it('turns the heads of the demonstration less than the nearest way each time does', () => {
    const show = buildSaltLantern('demo')
    const [list] = listsInOrder(show)
    const found = [...rigOf(show).values()].flatMap((rigged) => (list && unwind(show, list, rigged, false)) ?? [])
    const sum = (of: (one: (typeof found)[number]) => number) => found.reduce((all, one) => all + of(one), 0)
    expect(found.length).toBeGreaterThan(5)
    expect(sum(({ after }) => after.degrees)).toBeLessThan(0.8 * sum(({ before }) => before.degrees))
    const costs = [...rigOf(show).values()].map((rigged) => {
      const stops = list ? stopsOf(show, list, rigged, false) : []
      return [cheapest(rigged.mount, stops), greedy(stops, rigged.mount)].map((poses) =>
        costOf(rigged.mount, stops, poses),
      )
    })
    const total = (of: 0 | 1) => costs.reduce((all, each) => all + (each[of] ?? 0), 0)
    expect(total(0)).toBeLessThan(0.9 * total(1))
    expect(sum(({ after }) => after.bent)).toBeLessThan(sum(({ before }) => before.bent))
    expect(sum(({ after }) => after.longWays)).toBeLessThanOrEqual(sum(({ before }) => before.longWays))
  })
})
