import { describe, expect, it } from 'vitest'
import { ALL_DARK } from '../../../tests/support/richShow'
import { Desk, PLAIN_TIMES } from '../../../tests/support/smallShow'
import { LEADING } from '../../attributes/catalogue'
import { darkMovesOf } from '../../cues/darkMoves'
import { playedBack } from '../../cues/playback'
import { listsInOrder, stateAt } from '../../cues/tracking'
import { TravelCheck } from '../../travel/check'
import { darkLines } from '../../travel/dark'
import { rigOf } from '../../show/rig'

/** Cue 1 lights 11 and 12 at the bow, 2 takes their light, 3 carries on, 4 lights them at the mark, wider. */
function desk(): Desk {
  const made = new Desk()
  made.do('setTake', { family: 'intensity', take: true })
  made.aim('11,12', 'Bow')
  made.level('11,12', 'zoom', 12)
  made.level('11,12', 'intensity', 1)
  made.cue(1)
  made.level('11,12', 'intensity', 0)
  made.cue(2)
  made.level('41', 'intensity', 0.2)
  made.cue(3)
  made.aim('11,12', 'Mark')
  made.level('11,12', 'zoom', 30)
  made.level('11,12', 'intensity', 1)
  made.cue(4)
  return made
}

/** "11,12 position beam: cue 2", a line each. */
function lines(made: Desk): string[] {
  const { show } = made
  const [list] = listsInOrder(show)
  const moves = list ? [...rigOf(show).values()].flatMap((rigged) => darkMovesOf(show, list, rigged)) : []
  return darkLines(moves).map(({ fixtures, families, goesIn, why }) => {
    const numbers = fixtures.map((id) => show.all.fixture.get(id)?.number)
    const where = goesIn ? `cue ${show.all.cue.get(goesIn.cue)?.number}` : why
    return `${numbers.join(',')} ${families.join(' ')}: ${where}`
  })
}

/** What fixture 11 does in a cue, as a check sees it. */
function stepOf(made: Desk, cue: string) {
  const courses = [...new TravelCheck().check(made.show)].flatMap(({ course }) => course ?? [])
  const course = courses.find(({ fixture }) => fixture === made.fixture(11))
  return course?.steps.find((step) => step.cue === cue)
}

const say = (made: Desk, rest: Partial<Parameters<typeof made.do<'setDarkMoves'>>[1]>) =>
  made.do('setDarkMoves', { ...ALL_DARK, list: made.choose.list(1), when: 'planned', live: [], ...rest })

describe('saying when things move in the dark', () => {
  it('goes by the narrowest that is said, and by the show where that is left to it', () => {
    const made = desk()
    expect(lines(made)).toEqual(['11,12 position beam: nothing said'])
    say(made, {})
    expect(lines(made)).toEqual(['11,12 position beam: cue 2'])
    made.do('changeShow', { darkWhen: 'late' })
    expect(lines(made)).toEqual(['11,12 position beam: cue 3'])
    say(made, { when: 'early', live: ['beam'] })
    expect(lines(made)).toEqual(['11,12 position: cue 2', '11,12 beam: on purpose'])
    const four = { cues: [made.choose.cue(1, 4)] }
    say(made, { ...four, fixtures: made.fixtures('11'), when: 'in cue', inCue: made.choose.cue(1, 3) })
    expect(lines(made)).toEqual(['11 position beam: cue 3', '12 position: cue 2', '12 beam: on purpose'])
    say(made, { ...four, fixtures: made.fixtures('11'), when: null })
    say(made, { ...four, when: 'live' })
    expect(lines(made)).toEqual(['11,12 position beam: on purpose'])
    made.do('stripDarkMoves', { list: made.choose.list(1) })
    expect(made.show.all.darkRule.size).toBe(0)
  })

  it('follows what becomes of the cues it is about', () => {
    const made = desk()
    say(made, {})
    made.do('changeCues', { cues: [made.choose.cue(1, 2)], quiet: true })
    expect(lines(made)).toEqual(['11,12 position beam: cue 3'])
    made.do('changeCues', { cues: [made.choose.cue(1, 2)], name: 'Hush' })
    expect(lines(made)).toEqual(['11,12 position beam: cue 3'])
    say(made, { cues: [made.choose.cue(1, 4)], when: 'in cue', inCue: made.choose.cue(1, 3) })
    made.do('deleteCues', { cues: [made.choose.cue(1, 3)], later: 'change' })
    expect(lines(made)).toEqual(['11,12 position beam: quiet'])
    made.do('deleteCues', { cues: [made.choose.cue(1, 2)], later: 'change' })
    expect(lines(made)).toEqual([])
  })

  it('makes a cue of its own where there is no time, and refuses where no number is left', () => {
    const made = desk()
    say(made, {})
    made.do('deleteCues', { cues: [made.choose.cue(1, 3)], later: 'change' })
    made.do('changeCues', { cues: [made.choose.cue(1, 4)], follow: 'after' })
    expect(lines(made)).toEqual(['11,12 position beam: no time'])
    const four = made.choose.cue(1, 4)
    made.do('insertDarkCue', { cue: four, fixtures: null, follow: 'after', seconds: 5 })
    expect(lines(made)).toEqual(['11,12 position beam: cue 3'])
    made.do('moveCues', { cues: [made.choose.cue(1, 3)], list: made.choose.list(1), number: 3.999 })
    const asked = { cue: four, fixtures: null, follow: 'wait', seconds: 5 } as const
    expect(made.refused('insertDarkCue', asked)).toMatch(/no number between 3.999 and 4/)
  })

  it('goes out for a moment so that a move is not seen, and is as it was after', () => {
    const made = desk()
    made.do('changeCues', { cues: [made.choose.cue(1, 4)], rise: 2 })
    made.aim('11', 'Bow')
    made.cue(5)
    const five = made.choose.cue(1, 5)
    const stepIn = () => stepOf(made, five)
    expect(stepIn()).toMatchObject({ isSeen: true, levels: [1, 1] })
    made.do('insertDarkMoment', { cue: five, fixtures: made.fixtures('11'), out: 0.5 })
    expect(lines(made)).toContain('11 position: cue 4.5')
    const { rise } = made.show.all.cue.get(made.choose.cue(1, 4.5)) ?? { rise: 0 }
    expect(rise).toBeGreaterThan(0.9)
    expect(stepIn()).toMatchObject({ turns: false, levels: [0, 1] })
    expect(
      made.refused('insertDarkMoment', { cue: made.choose.cue(1, 1), fixtures: made.fixtures('11'), out: 0.5 }),
    ).toMatch(/first cue/)
  })

  it('never turns into what is recorded', () => {
    const made = desk()
    say(made, {})
    made.go(2)
    const eleven = made.fixture(11)
    const place = () => playedBack(made.show).get(eleven)?.get(LEADING.place)
    const placeIn = (number: number) => {
      const [list] = listsInOrder(made.show)
      const state = list && stateAt(made.show, list, made.choose.cue(1, number))
      return state?.get(`${eleven} ${LEADING.place}`)?.value
    }
    expect(place()).toEqual(placeIn(4))
    made.do('takeFromStage', { fixtures: made.fixtures('11'), families: ['position'], as: 'link' })
    expect(made.held(11, LEADING.place)).toEqual(placeIn(1))
    made.do('clearHand', { fixtures: null, families: ['position'] })
    made.do('recordCue', { ...PLAIN_TIMES, list: made.choose.list(1), number: 2.5, name: '', from: 'stage' })
    expect(placeIn(2.5)).toEqual(placeIn(1))
    expect(place()).toEqual(placeIn(4))
  })

  it('keeps how a list travels when its name is changed', () => {
    const made = desk()
    const list = made.choose.list(1)
    made.do('changeCueList', { list, travel: 'straight' })
    made.do('changeCueList', { list, name: 'Act one' })
    expect(made.show.all.cueList.get(list)?.travel).toBe('straight')
  })
})
