import { describe, expect, it } from 'vitest'
import { Desk, PLAIN_TIMES } from '../../../tests/support/smallShow'
import { timelineOf, placeOfCue, stateAt, valuesByCue } from '../../cues/tracking'
import { effectsOf } from '../../refocus/effects'
import { FAMILIES } from '../../attributes/families'
import type { CueId } from '../../show/ids'

/** Cues 1 to 5 that set the intensity of 11 (where given) and of 12 in every one. */
function withCues(levels: readonly (number | null)[] = [0.1, null, 0.3, null, null]): Desk {
  const desk = new Desk()
  desk.do('setTake', { family: 'intensity', take: true })
  levels.forEach((level, i) => {
    if (level !== null) desk.level('11', 'intensity', level)
    desk.level('12', 'intensity', (i + 1) / 10)
    desk.cue(i + 1)
  })
  return desk
}

const cueOf = (desk: Desk, number: number): CueId => desk.choose.cue(1, number)

/** The level of fixture 11 in every cue, as it is carried; null where nothing is. */
function levels(desk: Desk, fixture = 11): (number | null)[] {
  const place = placeOfCue(desk.show, cueOf(desk, 1))
  if (!place) throw new Error('cue 1 is gone')
  return place.list.cues.map(({ id }) => {
    const held = stateAt(desk.show, place.list, id).get(`${desk.fixture(fixture)} intensity`)
    return held?.value.kind === 'number' ? held.value.number : null
  })
}

/** Numbers of the cues that set fixture 11 themselves. */
const setIn = (desk: Desk) =>
  (timelineOf(desk.show, desk.choose.list(1)).get(`${desk.fixture(11)} intensity`) ?? []).map(
    ({ stored }) => desk.show.all.cue.get(stored.cue)?.number,
  )

function cells(desk: Desk, numbers: readonly number[]) {
  return { cues: numbers.map((n) => cueOf(desk, n)), fixtures: desk.fixtures('11'), families: ['intensity' as const] }
}

const set = (desk: Desk, cue: number, number: number, where: 'here and on' | 'here only' | 'where it comes from') =>
  desk.do('setNumberInCues', {
    cues: [cueOf(desk, cue)],
    fixtures: desk.fixtures('11'),
    attribute: 'intensity',
    number,
    where,
  })

describe('a value set in a cue', () => {
  it('carries on, stays there alone, or goes where the present one comes from', () => {
    const desk = withCues()
    expect(levels(desk)).toEqual([0.1, 0.1, 0.3, 0.3, 0.3])
    set(desk, 4, 0.9, 'here and on')
    expect(levels(desk)).toEqual([0.1, 0.1, 0.3, 0.9, 0.9])
    set(desk, 2, 0.5, 'here only')
    expect(levels(desk)).toEqual([0.1, 0.5, 0.3, 0.9, 0.9])
    set(desk, 4, 0.6, 'here only')
    expect(levels(desk)).toEqual([0.1, 0.5, 0.3, 0.6, 0.9])
    set(desk, 5, 0.7, 'where it comes from')
    expect(setIn(desk)).toEqual([1, 2, 3, 4, 5])
    const traced = withCues()
    set(traced, 5, 0.7, 'where it comes from')
    expect([levels(traced), setIn(traced)]).toEqual([
      [0.1, 0.1, 0.7, 0.7, 0.7],
      [1, 3],
    ])
  })

  it('that was never there before goes back to rest in the next cue, when it is for one cue only', () => {
    const desk = withCues([null, null, null])
    set(desk, 2, 0.5, 'here only')
    expect(levels(desk)).toEqual([null, 0.5, null])
    const zoom = { cues: [cueOf(desk, 2)], fixtures: desk.fixtures('11'), attribute: 'zoom' as const, number: 12 }
    desk.do('setNumberInCues', { ...zoom, where: 'here only' })
    desk.go(2)
    expect(desk.seen(11).zoom.angle).toBe(12)
    desk.go(3)
    expect([desk.seen(11).zoom.angle, desk.seen(11).intensity]).toEqual([27, 0])
  })

  it('is let go of, back to rest or to what a lower list has, here and on or here only', () => {
    const desk = withCues([0.4, null, null, null])
    desk.do('addCueList', { number: 2, name: 'Under', intensityRule: 'latest' })
    desk.do('changeCueList', { list: desk.choose.list(2), priority: 2 })
    desk.level('11', 'intensity', 0.2)
    desk.do('recordCue', { list: desk.choose.list(2), number: 1, name: '', ...PLAIN_TIMES })
    const seen = (number: number) => {
      desk.go(number)
      return desk.seen(11).intensity
    }
    desk.do('setRestInCues', { ...cells(desk, [2]), where: 'here only' })
    expect([1, 2, 3, 4].map(seen)).toEqual([0.4, 0.2, 0.4, 0.4])
    desk.do('setRestInCues', { ...cells(desk, [3]), where: 'here and on' })
    expect([1, 2, 3, 4].map(seen)).toEqual([0.4, 0.2, 0.2, 0.2])
    expect(desk.refused('setRestInCues', { ...cells(desk, [4]), where: 'here and on' })).toContain('rests already')
    desk.do('goToCue', { list: desk.choose.list(2), cue: null })
    expect(seen(3)).toBe(0)
  })

  it('is taken out, which is not to set it to zero', () => {
    const desk = withCues()
    expect(desk.do('takeOutOfCues', cells(desk, [3]))).toBe('take out 1 value (cue 3)')
    expect(levels(desk)).toEqual([0.1, 0.1, 0.1, 0.1, 0.1])
    expect(desk.refused('takeOutOfCues', cells(desk, [3]))).toContain('is carried')
  })

  it('is refused beyond what the type can do, by name', () => {
    const desk = withCues()
    const { cues, fixtures } = cells(desk, [1])
    const input = { cues, fixtures, attribute: 'zoom', number: 99, where: 'here only' } as const
    expect(desk.refused('setNumberInCues', input)).toContain('Tern 700 takes zoom from')
  })
})

describe('blocking', () => {
  it('ends earlier changes before it, and unblocking lets them through again', () => {
    const desk = withCues()
    desk.do('blockInCues', cells(desk, [2, 4]))
    set(desk, 1, 0.8, 'here and on')
    expect(levels(desk)).toEqual([0.8, 0.1, 0.3, 0.3, 0.3])
    expect(desk.refused('blockInCues', cells(desk, [3]))).toContain('Nothing is carried')
    // What differs by now stays, as a plain value; what repeats goes.
    desk.do('unblockInCues', cells(desk, [2, 4]))
    expect([levels(desk), setIn(desk)]).toEqual([
      [0.8, 0.1, 0.3, 0.3, 0.3],
      [1, 2, 3],
    ])
  })

  it('is not cleaned up, while plain repeats are', () => {
    const desk = withCues([0.1, 0.1, 0.3, null, null])
    desk.do('blockInCues', cells(desk, [4]))
    set(desk, 5, 0.3, 'here and on')
    const before = levels(desk)
    desk.do('cleanUpCues', cells(desk, [1, 2, 3, 4, 5]))
    expect([levels(desk), setIn(desk)]).toEqual([before, [1, 3, 4]])
    expect(desk.refused('cleanUpCues', cells(desk, [1, 2, 3, 4, 5]))).toContain('Nothing here')
  })
})

describe('cues moved, copied and taken out', () => {
  it('carry by their new place, and it is said which cues look different', () => {
    const desk = withCues()
    const before = desk.show
    expect(desk.do('moveCues', { cues: [cueOf(desk, 3)], list: desk.choose.list(1), number: 1.5 })).toBe(
      'move cue 3 to 1.5',
    )
    expect(levels(desk)).toEqual([0.1, 0.3, 0.3, 0.3, 0.3])
    const looks = effectsOf(before, desk.show).looks.map(({ cue }) => desk.show.all.cue.get(cue)?.number)
    expect(looks).toEqual([2])
    expect(desk.refused('moveCues', { cues: [cueOf(desk, 1)], list: desk.choose.list(1), number: 2 })).toContain(
      'Cue 2',
    )
  })

  it('tell what they no longer carry when they go to another list', () => {
    const desk = withCues()
    desk.do('addCueList', { number: 2, name: 'Second', intensityRule: 'highest' })
    const before = desk.show
    const label = desk.do('moveCues', { cues: [cueOf(desk, 2)], list: desk.choose.list(2), number: 8 })
    expect(label).toBe('move cue 2 to 8 of Second; 1 value of fixture 11 is no longer carried')
    const looks = effectsOf(before, desk.show).looks.find(({ cue }) => cue === desk.choose.cue(2, 8))
    expect(looks?.fixtures).toEqual(desk.fixtures('11'))
  })

  it('are inserted empty between others: nothing looks different until something is set in them', () => {
    const desk = withCues()
    const before = desk.show
    const empty = { list: desk.choose.list(1), name: 'Breath', ...PLAIN_TIMES }
    desk.do('insertCue', { ...empty, number: 2.5 })
    expect(levels(desk)).toEqual([0.1, 0.1, 0.1, 0.3, 0.3, 0.3])
    expect(effectsOf(before, desk.show).looks).toEqual([])
    set(desk, 2.5, 0.8, 'here only')
    expect(levels(desk)).toEqual([0.1, 0.1, 0.8, 0.3, 0.3, 0.3])
    expect(desk.refused('insertCue', { ...empty, number: 3 })).toContain('3')
  })

  it('copy what they set or all they show, with their times', () => {
    const desk = withCues()
    const cues = [cueOf(desk, 2)]
    desk.do('setCueTimes', { cues, fixtures: null, family: 'position', seconds: 9, delay: null })
    desk.do('copyCues', { cues, list: desk.choose.list(1), number: 4.5, what: 'what it sets' })
    desk.do('copyCues', { cues, list: desk.choose.list(1), number: 4.7, what: 'all it shows' })
    expect(levels(desk)).toEqual([0.1, 0.1, 0.3, 0.3, 0.3, 0.1, 0.1])
    expect([...desk.show.all.cueTime.values()].map(({ seconds }) => seconds)).toEqual([9, 9, 9])
  })

  it('go, and later cues change or stay as they look', () => {
    const changing = withCues()
    changing.do('deleteCues', { cues: [cueOf(changing, 3)], later: 'change' })
    expect(levels(changing)).toEqual([0.1, 0.1, 0.1, 0.1])
    const staying = withCues()
    staying.do('deleteCues', { cues: [cueOf(staying, 2), cueOf(staying, 3)], later: 'stay as they look' })
    expect([levels(staying), setIn(staying)]).toEqual([
      [0.1, 0.3, 0.3],
      [1, 4],
    ])
  })

  it('go from under a list that stands in them: it falls back to the one before', () => {
    const desk = withCues()
    desk.go(3)
    desk.do('deleteCues', { cues: [cueOf(desk, 3), cueOf(desk, 2)], later: 'change' })
    expect([...desk.show.all.cueList.values()][0]?.onStage).toBe(cueOf(desk, 1))
  })

  it('copy single cells into others', () => {
    const desk = withCues()
    const { cues, ...whom } = cells(desk, [1])
    const [from = cueOf(desk, 1)] = cues
    desk.do('copyInCues', { ...whom, from, to: [cueOf(desk, 4), cueOf(desk, 5)], what: 'all it shows' })
    expect(levels(desk)).toEqual([0.1, 0.1, 0.3, 0.1, 0.1])
    expect(levels(desk, 12)).toEqual([0.1, 0.2, 0.3, 0.4, 0.5])
  })
})

describe('recording into a cue that is there', () => {
  it('merges, replaces, or takes out, within the mask of its list', () => {
    const desk = withCues()
    const store = (how: 'merge' | 'replace' | 'remove') =>
      desk.do('storeInCue', { cue: cueOf(desk, 3), from: 'hand', how })
    desk.level('11', 'intensity', 0.9)
    store('merge')
    expect([levels(desk), levels(desk, 12)[2]]).toEqual([[0.1, 0.1, 0.9, 0.9, 0.9], 0.3])
    desk.level('12', 'intensity', 0.7)
    store('remove')
    expect(levels(desk, 12)).toEqual([0.1, 0.2, 0.2, 0.4, 0.5])
    desk.level('12', 'intensity', 0.6)
    store('replace')
    expect([levels(desk), levels(desk, 12)[2]]).toEqual([[0.1, 0.1, 0.1, 0.1, 0.1], 0.6])
    desk.do('changeCueList', { list: desk.choose.list(1), take: ['position'] })
    desk.level('12', 'intensity', 0.5)
    expect(desk.refused('storeInCue', { cue: cueOf(desk, 3), from: 'hand', how: 'merge' })).toContain('into Main')
  })

  it('leaves what is held back as it was, and later cues where it counts for one cue only', () => {
    const desk = withCues()
    desk.level('11', 'zoom', 20)
    desk.do('storeInCue', { cue: cueOf(desk, 3), from: 'hand', how: 'merge' })
    desk.do('setTake', { attribute: 'zoom', take: false })
    desk.level('12', 'intensity', 0.9)
    desk.do('storeInCue', { cue: cueOf(desk, 3), from: 'hand', how: 'replace', where: 'here only' })
    expect([levels(desk), levels(desk, 12)]).toEqual([
      [0.1, 0.1, 0.1, 0.3, 0.3],
      [0.1, 0.2, 0.9, 0.4, 0.5],
    ])
    desk.go(3)
    expect(desk.seen(11).zoom.angle).toBe(20)
  })

  it('takes what is on stage, links as links, and holds for one cue only where that is asked for', () => {
    const desk = new Desk()
    desk.aim('11, 12', 'Bow')
    desk.record(1, 'Bow')
    desk.cue(1)
    desk.aim('11', 'Mark')
    desk.cue(2)
    const whole = { list: desk.choose.list(1), name: '', ...PLAIN_TIMES }
    desk.do('recordCue', { ...whole, number: 3, from: 'stage' })
    const stored = valuesByCue(desk.show).get(cueOf(desk, 3)) ?? []
    expect(stored.find(({ fixture }) => fixture === desk.fixture(12))?.value.kind).toBe('link')
    expect(stored).toHaveLength(2)
    desk.aim('12', 'Shore')
    desk.do('recordCue', { ...whole, number: 2.5, where: 'here only' })
    expect((valuesByCue(desk.show).get(cueOf(desk, 3)) ?? []).map(({ value }) => value.kind)).toContain('link')
  })
})

describe('find and replace', () => {
  it('puts one palette where another stood, where it holds something, and says what stays', () => {
    const desk = new Desk()
    desk.aim('11, 12', 'Bow')
    desk.record(1, 'Bow')
    desk.cue(1)
    desk.aim('11', 'Mark')
    desk.record(2, 'Mark')
    desk.do('clearHand', { families: [...FAMILIES], fixtures: null })
    const input = { from: desk.choose.palette(1), to: desk.choose.palette(2), cues: null, fixtures: null }
    expect(desk.do('replacePaletteInCues', input)).toBe(
      'put Mark where Bow stood (1 value); 1 stay, for which Mark holds nothing',
    )
    expect(desk.seen(11).position.point?.y).toBeCloseTo(2, 9)
    expect(desk.refused('replacePaletteInCues', { ...input, fixtures: desk.fixtures('11') })).toContain(
      'does not stand',
    )
  })

  it('puts a fixture in another’s place in cues, palettes and groups, its aims solved anew', () => {
    const desk = new Desk()
    desk.do('recordGroup', {
      number: 1,
      name: 'Two',
      fixtures: desk.fixtures('11, 13'),
      colour: 'brass',
      pattern: null,
    })
    desk.aim('11', 'Mark')
    desk.record(1, 'Mark')
    desk.cue(1)
    desk.do('replaceFixture', { from: desk.fixture(11), to: desk.fixture(14) })
    expect(desk.seen(14).position.point?.y).toBeCloseTo(2, 9)
    expect(desk.seen(14).position.state).toBe('reached')
    expect(desk.seen(11).position.state).toBe('resting')
    expect(desk.fixtures('group 1').map((id) => desk.show.all.fixture.get(id)?.number)).toEqual([14, 13])
  })
})

describe('cells linked to a palette', () => {
  it('hold all it serves, here and on or here only, and refuse one that serves nobody there', () => {
    const desk = withCues()
    desk.aim('11', 'Bow')
    desk.record(1, 'Bow')
    desk.do('clearHand', { families: ['position'], fixtures: null })
    const into = (numbers: readonly number[], entry: string) => ({
      cues: numbers.map((number) => cueOf(desk, number)),
      fixtures: desk.fixtures(entry),
      palette: desk.choose.palette(1),
    })
    const linked = () =>
      (timelineOf(desk.show, desk.choose.list(1)).get(`${desk.fixture(11)} position`) ?? []).map(({ at }) => at + 1)
    desk.do('setPaletteInCues', { ...into([2], '11'), where: 'here and on' })
    expect(linked()).toEqual([2])
    desk.do('setPaletteInCues', { ...into([4, 5], '11'), where: 'here and on' })
    expect(linked()).toEqual([2, 4, 5])
    const [stored] = (valuesByCue(desk.show).get(cueOf(desk, 2)) ?? []).filter(
      ({ attribute }) => attribute === 'position',
    )
    expect(stored?.value).toEqual({ kind: 'link', palette: desk.choose.palette(1) })
  })

  it('are refused where the palette holds nothing for their fixtures', () => {
    const desk = withCues()
    desk.do('turnHeads', { fixtures: desk.fixtures('11'), pan: { how: 'to', degrees: 5 }, tilt: null })
    desk.record(1, 'Turned')
    const refused = desk.refused('setPaletteInCues', {
      cues: [cueOf(desk, 1)],
      fixtures: desk.fixtures('41'),
      palette: desk.choose.palette(1),
      where: 'here and on',
    })
    expect(refused).toBe('Turned holds nothing for these fixtures.')
  })
})

describe('a list taken out', () => {
  it('goes with its cues and what runs of it, and the last one stays', () => {
    const desk = withCues()
    desk.do('addCueList', { number: 2, name: 'Side', intensityRule: 'latest' })
    desk.level('13', 'intensity', 0.7)
    desk.do('recordCue', { list: desk.choose.list(2), number: 1, name: 'Side', ...PLAIN_TIMES })
    expect(desk.seen(13).intensity).toBe(0.7)
    expect(desk.do('deleteCueList', { list: desk.choose.list(2) })).toBe('take out the list Side (1 cue)')
    expect(desk.seen(13).intensity).toBe(0)
    expect([...desk.show.all.cueRun.values()].every(({ list }) => list === desk.choose.list(1))).toBe(true)
    expect(desk.refused('deleteCueList', { list: desk.choose.list(1) })).toContain('the last one')
  })
})
