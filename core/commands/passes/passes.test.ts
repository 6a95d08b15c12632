import { beforeEach, describe, expect, it } from 'vitest'
import { COMMAND_NAMES, RandomArguments, randomFrom } from '../../../tests/support/randomCommands'
import { richDesk, venueNamed } from '../../../tests/support/richShow'
import { Desk } from '../../../tests/support/smallShow'
import type { CommandName } from '../registry'
import { harbourHall } from '#demo/stage'
import { FAMILIES } from '../../attributes/families'
import { audienceView } from '../../cues/audienceView'
import { stagePicture } from '../../cues/onStage'
import { stagePictureAt } from '../../cues/stageAt'
import { vec3 } from '../../geometry/vector'
import { checkedWith } from '../../palettes/placed'
import { openCueNotes } from '../../refocus/cueNotes'
import { nextToCheck, passInPlay, passOf, passProgress, poseBy, type PassState } from '../../refocus/pass'
import { passOrder } from '../../refocus/passOrder'
import type { Show } from '../../show/show'

let desk: Desk
beforeEach(() => {
  desk = new Desk()
  desk.do('setTake', { family: 'intensity', take: true })
  desk.aim('11,12', 'Bow')
  desk.record(1, 'Bow')
  clear()
  desk.aim('12,13', 'Mark')
  desk.record(2, 'Mark')
  clear()
  desk.aim('41', 'Shore')
  desk.record(3, 'Shore')
  clear()
  desk.recall('12,13', 2)
  desk.level('12-14', 'intensity', 0.7)
  desk.cue(1)
  desk.recall('11,12', 1)
  desk.level('11', 'intensity', 0.7)
  desk.cue(2)
  desk.do('beginPass', { order: 'by cue', level: 0.8, others: 'out', corrections: 'for here' })
})

const clear = () => desk.do('clearHand', { families: [...FAMILIES], fixtures: null })
const palette = (number: number) => desk.choose.palette(number)
const lines = () => passOf(desk.show)?.lines ?? []
const numberOf = (id: string | null) => desk.show.all.palette.get(id ?? '')?.number ?? null
const order = () => lines().map((line) => numberOf(line.palette))
const stateOf = (number: number): PassState | undefined =>
  lines().find((line) => line.palette === palette(number))?.state
const check = (number: number | null, only: number | null = null) =>
  desk.do('checkPalette', {
    palette: number === null ? null : palette(number),
    only: only === null ? null : desk.fixture(only),
  })
const levels = (show: Show = desk.show) =>
  [11, 12, 13, 14].map((number) => stagePicture(show, desk.person).get(desk.fixture(number))?.seen)
const confirm = (number: number) => desk.do('confirmInPass', { palette: palette(number), fixtures: null })
const touch = (number: number) =>
  desk.do('touchUp', { palette: palette(1), fixtures: desk.fixtures(String(number)), by: { metres: vec3(0.2, 0, 0) } })

describe('the order of a pass', () => {
  it('is that of the first cues, what no cue uses apart; or by hand', () => {
    expect(order()).toEqual([2, 1, 3])
    expect(lines().map(({ cues }) => cues > 0)).toEqual([true, true, false])
    desk.do('orderPass', { palettes: [palette(1), palette(2)] })
    expect(order()).toEqual([1, 2, 3])
    expect(desk.refused('beginPass', { order: 'by cue', level: 1, others: 'out', corrections: 'for here' })).toMatch(
      /begun already/,
    )
  })

  it('goes on to the next that is left, round the end, past what somebody else has taken', () => {
    const next = (after: number) => numberOf(nextToCheck(lines(), palette(after), desk.person))
    expect([next(2), next(3)]).toEqual([1, 2])
    confirm(2)
    expect(next(3)).toBe(1)
    const ben = new Desk(desk.show, 'ben')
    ben.do('joinShow', { name: 'Ben' })
    ben.do('checkPalette', { palette: palette(1), only: null })
    desk.show = ben.show
    expect(next(2)).toBe(3)
  })
})

describe('the state of a palette in a pass', () => {
  it('follows from what was found right, what is touched up, and what is said', () => {
    expect(stateOf(1)).toBe('to do')
    desk.do('confirmInPass', { palette: palette(1), fixtures: desk.fixtures('11') })
    expect(stateOf(1)).toBe('to do')
    confirm(1)
    expect(stateOf(1)).toBe('right as solved')
    touch(12)
    expect(stateOf(1)).toBe('needs another look')
    confirm(1)
    expect(stateOf(1)).toBe('touched up')
    desk.do('markInPass', { palette: palette(1), mark: 'another look' })
    expect(stateOf(1)).toBe('needs another look')
    confirm(1)
    expect(stateOf(1)).toBe('touched up')
    desk.do('markInPass', { palette: palette(2), mark: 'cannot be done' })
    expect(stateOf(2)).toBe('cannot be done here')
    desk.do('markInPass', { palette: palette(2), mark: null })
    expect(stateOf(2)).toBe('to do')
  })

  it('tells when heads are turned since, whatever turned them', () => {
    confirm(1)
    confirm(2)
    desk.do('moveSetPiece', { setPiece: desk.choose.setPiece('Dory'), position: vec3(-2, 3.4, 0), yaw: 90 })
    expect([stateOf(1), stateOf(2)]).toEqual(['needs another look', 'right as solved'])
    desk.do('moveHang', { hang: desk.choose.hang('Bar'), origin: vec3(0, 0, 6.8) })
    expect(stateOf(2)).toBe('needs another look')
  })

  it('is of the venue in play, and gone with the pass', () => {
    confirm(1)
    const home = desk.show
    desk.do('addVenue', { ...harbourHall, name: 'Other', from: venueNamed(desk.show, 'Harbour Hall') })
    desk.do('switchVenue', { venue: venueNamed(desk.show, 'Other') })
    expect(passOf(desk.show)).toBeNull()
    expect(desk.refused('confirmInPass', { palette: palette(1), fixtures: null })).toMatch(/No pass has been begun/)
    desk.show = home
    desk.do('endPass', {})
    expect([desk.show.all.pass.size, desk.show.all.passCheck.size]).toEqual([0, 0])
  })
})

describe('what is checked', () => {
  it('is brought up as the palette has it, over cues and hand, with all else out', () => {
    desk.go(1)
    desk.now += 5000
    desk.level('14', 'intensity', 1)
    const before = levels()
    check(1)
    expect(levels()).toEqual([0.8, 0.8, 0, 0])
    check(1, 12)
    expect(levels()).toEqual([0, 0.8, 0, 0])
    desk.do('changePass', { others: 'as they are' })
    expect(levels()).toEqual([0, 0.8, 0.7, 1])
    const where = stagePicture(desk.show, desk.person).get(desk.fixture(12))?.positionValue
    expect(where).toMatchObject({ kind: 'aim', target: desk.choose.target('Bow') })
    check(null)
    expect(levels()).toEqual(before)
  })

  it('stands while cues run, and goes out as it is seen', () => {
    desk.go(1)
    desk.now += 5000
    check(1, 11)
    desk.do('goOn', { list: desk.choose.list(1) })
    const now = desk.now + 500
    const picture = stagePictureAt(desk.show, desk.person, stagePicture(desk.show, desk.person), now)
    expect([11, 12, 13].map((number) => picture.get(desk.fixture(number))?.seen)).toEqual([0.8, 0, 0])
    const held = audienceView(desk.show).held(desk.fixture(11), 'intensity')
    expect(held?.value).toEqual({ kind: 'number', number: 0.8 })
  })

  it('is nothing that can be recorded', () => {
    check(1)
    expect(desk.show.all.handValue.size).toBe(0)
    expect(
      desk.refused('recordPalette', { number: 9, name: 'Nine', shelf: 'position', colour: 'brass', reach: 'own' }),
    ).toMatch(/hand/)
  })

  it('is taken by one, until they let go or it is taken from them', () => {
    check(1)
    const ben = new Desk(desk.show, 'ben')
    ben.do('joinShow', { name: 'Ben' })
    expect(ben.refused('checkPalette', { palette: palette(1), only: null })).toMatch(/Anna is checking Bow/)
    ben.do('checkPalette', { palette: palette(2), only: null })
    expect(levels(ben.show)).toEqual([0.8, 0.8, 0.8, 0])
    expect(passOf(ben.show)?.lines.map(({ takenBy }) => takenBy)).toEqual([ben.person, desk.person, null])
    ben.do('releasePalette', { palette: palette(1) })
    ben.do('checkPalette', { palette: palette(1), only: null })
    expect(passOf(ben.show)?.lines.map(({ takenBy }) => takenBy)).toEqual([null, ben.person, null])
  })
})

describe('a correction for good', () => {
  it('moves what the palette itself stores, and leaves what is touched up here on top', () => {
    touch(12)
    const before = stageOf12()
    desk.do('correctPalette', { palette: palette(1), fixtures: desk.fixtures('12'), by: { metres: vec3(0, 0.3, 0) } })
    const after = stageOf12()
    expect([(after?.y ?? 0) - (before?.y ?? 0), desk.show.all.touchUp.size]).toEqual([expect.closeTo(0.3, 9), 1])
    desk.do('addVenue', { ...harbourHall, name: 'Other', from: venueNamed(desk.show, 'Harbour Hall') })
    desk.do('clearTouchUps', {
      touchUps: [...desk.show.all.touchUp.values()].map(({ venue, palette: of, fixture }) => ({
        venue,
        palette: of,
        fixture,
      })),
    })
    expect((stageOf12()?.x ?? 0) - (after?.x ?? 0)).toBeCloseTo(-0.2, 9)
  })

  const stageOf12 = () => {
    const up = desk.copy()
    up.do('checkPalette', { palette: palette(1), only: null })
    return stagePicture(up.show, up.person).get(up.fixture(12))?.position.point
  }
})

describe('the progress of a pass', () => {
  it('counts what cues use, and tells the time left by the pace, without the breaks', () => {
    const minute = 60_000
    const line = (at: number | null, cues = 1) => {
      const [first] = lines()
      if (!first) throw new Error('no line')
      return { ...first, cues, doneAt: at, state: at === null ? ('to do' as const) : ('right as solved' as const) }
    }
    const all = [line(0), line(2 * minute), line(4 * minute), line(64 * minute), line(null), line(null), line(null, 0)]
    expect(passProgress(all)).toEqual({ done: 4, all: 6, minutesLeft: 4 })
    expect(passProgress(all.slice(0, 2)).minutesLeft).toBeNull()
  })
})

describe('notes on cues', () => {
  it('come back with the palettes seen in the cue, until they are settled', () => {
    desk.do('noteCue', { cue: desk.choose.cue(1, 2), text: 'Too low' })
    desk.do('noteCue', { cue: desk.choose.cue(1, 1), text: 'Too high' })
    const open = openCueNotes(desk.show)
    expect(open.map(({ cue, note, palettes }) => [cue, note.text, palettes.map(numberOf)])).toEqual([
      [1, 'Too high', [2]],
      [2, 'Too low', [1, 2]],
    ])
    desk.do('settleCueNotes', { notes: open.slice(0, 1).map(({ id }) => id), isDone: true })
    expect(openCueNotes(desk.show).map(({ cue }) => cue)).toEqual([2])
  })
})

describe('a pass while a show changes under it', () => {
  /** Worked out anew, from what was found right and how heads would be turned now. */
  function anew(show: Show): string[] {
    const found = passInPlay(show)
    if (!found) return []
    return passOrder(show, found.pass.order).map(({ palette: id }) => {
      const fixtures = checkedWith(show, id).map((rigged) => {
        const checks = [...show.all.passCheck.values()]
        const check = checks.find((one) => one.pass === found.id && one.palette === id && one.fixture === rigged.id)
        const pose = poseBy(show, id, rigged)
        const isNear = check && Math.max(Math.abs(check.pan - pose.pan), Math.abs(check.tilt - pose.tilt)) <= 0.25
        return `${rigged.id} ${check ? (isNear ? 'right' : 'turned since') : 'to do'}`
      })
      const step = [...show.all.passStep.values()].find((one) => one.pass === found.id && one.palette === id)
      const by = [...show.all.person].find(([, { checking }]) => checking === id)?.[0] ?? null
      return JSON.stringify([id, step?.note ?? '', step?.mark ?? null, by, fixtures])
    })
  }

  it('tells after every change what one worked out anew tells', () => {
    let told = 0
    for (const seed of [1, 2, 3]) {
      const random = randomFrom(seed)
      const rich = richDesk()
      for (let i = 0; i < 60; i += 1) {
        const args = new RandomArguments(rich.show, [rich.show], random)
        const name = args.pick(i % 2 ? COMMAND_NAMES : PASSING)
        if (!name || !rich.ask(name, args.forCommand(name))) continue
        const wanted = anew(rich.show)
        const lines = passOf(rich.show)?.lines ?? []
        const marks = (id: string) =>
          [...rich.show.all.passStep.values()].find((one) => one.palette === id)?.mark ?? null
        expect(
          lines.map(({ palette: id, note, takenBy, fixtures }) =>
            JSON.stringify([id, note, marks(id), takenBy, fixtures.map(({ fixture, state }) => `${fixture} ${state}`)]),
          ),
        ).toEqual(wanted)
        told += wanted.length
      }
    }
    expect(told).toBeGreaterThan(200)
  })
})

const PASSING: readonly CommandName[] = [
  'confirmInPass',
  'touchUp',
  'checkPalette',
  'noteInPass',
  'moveHang',
  'clearTouchUps',
]
