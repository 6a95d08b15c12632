/** The check of moves, as a show changes under it. */
import { describe, expect, it } from 'vitest'
import { COMMAND_NAMES, RandomArguments, randomFrom } from '../../tests/support/randomCommands'
import { richDesk } from '../../tests/support/richShow'
import { seeds, Tally } from '../../tests/support/rounds'
import { cuePicture } from '../cues/comparedCue'
import { listsInOrder } from '../cues/tracking'
import type { FixtureId } from '../show/ids'
import { rigOf } from '../show/rig'
import { showRecordOf, type Show } from '../show/show'
import { faultsIn, faultyByCue, TravelCheck, type CheckedCourse } from './check'
import { travelFindings } from './findings'
import { levelElsewhere } from '../cues/darkness'
import { stepsOf } from './course'

const tally = new Tally('Checks of moves')
const START = richDesk()
/** Everything is swift there and much is kept clear. */
function hurried() {
  const desk = START.copy()
  const cues = [...desk.show.all.cue.keys()].map((_, i) => listsInOrder(desk.show).flatMap((list) => list.cues)[i]?.id)
  desk.do('changeCues', { cues: cues.flatMap((cue) => cue ?? []), move: 0.4 })
  const outline = [
    { x: -8, y: 1 },
    { x: 8, y: 1 },
    { x: 8, y: -6 },
    { x: -8, y: -6 },
  ]
  const { venue } = showRecordOf(desk.show)
  desk.do('changeVenue', { venue, keepClear: [{ name: 'Wide', outline, height: 1 }] })
  return desk
}

/** What a check knows of a show, and which fixtures it looked at for that. */
class Followed {
  readonly #check = new TravelCheck()
  readonly #courses = new Map<string, CheckedCourse>()

  look(show: Show): FixtureId[] {
    const fresh = [...this.#check.check(show)].flatMap(({ course }) => course ?? [])
    for (const course of fresh) this.#courses.set(`${course.list} ${course.fixture}`, course)
    return fresh.map(({ fixture }) => fixture)
  }

  of(show: Show): CheckedCourse[] {
    const keys = listsInOrder(show).flatMap(({ id }) => [...rigOf(show).keys()].map((fixture) => `${id} ${fixture}`))
    return keys.flatMap((key) => this.#courses.get(key) ?? [])
  }
}

const anew = (show: Show) => [...new TravelCheck().check(show)].flatMap(({ course }) => course ?? [])

describe('the check of a whole show', () => {
  it('finds after every change what one made anew finds', () => {
    for (const seed of seeds(3)) {
      const random = randomFrom(seed)
      const desk = hurried()
      const followed = new Followed()
      for (let i = 0; i < 40; i++) {
        const args = new RandomArguments(desk.show, [START.show], random)
        const name = args.pick(COMMAND_NAMES)
        if (!name || !desk.ask(name, args.forCommand(name))) continue
        followed.look(desk.show)
        expect(followed.of(desk.show)).toEqual(anew(desk.show))
        const [cue, faults] = args.pick([...faultyByCue(followed.of(desk.show))]) ?? []
        if (cue) expect(new Set(faultsIn(desk.show, cue))).toEqual(new Set(faults))
        tally.count('faults', [...faultyByCue(followed.of(desk.show)).values()].flat().length)
        tally.count(name)
      }
    }
    expect(tally.of('faults')).toBeGreaterThan(100)
  })

  it('looks anew only at what something changed for', () => {
    const desk = hurried()
    const followed = new Followed()
    expect(followed.look(desk.show).length).toBeGreaterThan(4)
    expect(followed.look(desk.show)).toEqual([])
    const [cue, [one] = []] = [...faultyByCue(followed.of(desk.show))][0] ?? []
    if (!cue || !one) throw new Error('nothing is wrong')
    const level = { attribute: 'intensity', number: 0.123, where: 'here only' } as const
    desk.do('setNumberInCues', { cues: [cue], fixtures: [one.fixture], ...level })
    expect(new Set(followed.look(desk.show))).toEqual(new Set([one.fixture]))
  })

  it('sees what cues look like, cue by cue', () => {
    const { show } = START
    for (const list of listsInOrder(show))
      for (const rigged of rigOf(show).values()) {
        if (levelElsewhere(show, list.id, rigged.id) !== null) continue
        for (const step of stepsOf(show, list, rigged)) {
          const before = list.cues[step.at - 1]
          const { position, intensity, zoom } = cuePicture(show, step.cue).get(rigged.id) ?? step.from
          expect([step.to.position, step.to.intensity, step.to.zoom]).toEqual([position, intensity, zoom])
          if (before) expect(step.from.position).toEqual(cuePicture(show, before.id).get(rigged.id)?.position)
          tally.count('steps')
        }
      }
    expect(tally.of('steps')).toBeGreaterThan(10)
  })

  it('tells it with the names people use', () => {
    const found = travelFindings(hurried().show)
    expect(found.tooFast[0]).toMatchObject({
      list: expect.any(String),
      cue: expect.any(Number),
      fixture: expect.any(String),
    })
    expect(found.sweeps[0]).toMatchObject({ zone: 'Wide', list: expect.any(String) })
  })
})
