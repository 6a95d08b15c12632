import { beforeEach, describe, expect, it } from 'vitest'
import { vec3 } from '../geometry/vector'
import { Desk } from '../../tests/support/smallShow'
import type { StageFixture } from './onStage'
import { comparedCue, comparedLink, cuePicture } from './comparedCue'
import { valuesByCue } from './tracking'

let desk: Desk
const cue = (number: number) => desk.choose.cue(1, number)
const numbers = (fixtures: readonly StageFixture[]) => fixtures.map(({ rigged }) => rigged.fixture.number)

/** 11 and 12 lit on the mark through palette 1, 13 lit on the bow, in cue 1; cue 2 only sets 13 anew. */
beforeEach(() => {
  desk = new Desk()
  desk.do('setTake', { family: 'intensity', take: true })
  desk.aim('11, 12', 'Mark')
  desk.record(1, 'Mark')
  desk.recall('11, 12', 1)
  desk.aim('13', 'Bow')
  desk.level('11-13', 'intensity', 0.8)
  desk.cue(1)
  desk.aim('13', 'Shore')
  desk.cue(2)
})

describe('a cue on both sides of a change', () => {
  it('shows who changes before and after, among the others that are lit', () => {
    const before = desk.show
    desk.do('moveTarget', { target: desk.choose.target('Mark'), position: vec3(2, 2, 0) })
    const { before: was, after: is, around, title } = comparedCue(before, desk.show, cue(1))
    expect([numbers(was), numbers(is), numbers(around)]).toEqual([[11, 12], [11, 12], [13]])
    expect(was[0]?.position.point).toEqual({ x: 0, y: 2, z: 0 })
    expect(is[0]?.position.point).toEqual({ x: 2, y: 2, z: 0 })
    expect(title).toContain('Cue 1')
  })

  it('takes in what is carried there from earlier cues', () => {
    const before = desk.show
    desk.do('moveTarget', { target: desk.choose.target('Mark'), position: vec3(2, 2, 0) })
    expect(numbers(comparedCue(before, desk.show, cue(2)).after)).toEqual([11, 12])
  })

  it('that is gone afterwards is seen as it was; one that never was is empty', () => {
    const before = desk.show
    const gone = cue(2)
    desk.do('deleteCues', { cues: [gone], later: 'change' })
    const { before: was, after: is } = comparedCue(before, desk.show, gone)
    expect([was, is]).toEqual([[], []])
    expect([cuePicture(before, gone).size > 0, cuePicture(desk.show, gone).size]).toEqual([true, 0])
  })
})

describe('a loose value as it is and as it would be linked', () => {
  const loose = (number: number) => {
    const fixture = desk.fixture(number)
    const stored = (valuesByCue(desk.show).get(cue(1)) ?? []).filter(
      (value) => value.fixture === fixture && value.attribute === 'position',
    )
    return { cue: cue(1), fixture, stored }
  }

  it('takes only what would be linked from the palette, and the rest as the cue has it', () => {
    const { before, after, title } =
      comparedLink(desk.show, loose(13), desk.choose.palette(1)) ?? expect.fail('nothing')
    expect([before[0]?.intensity, after[0]?.intensity]).toEqual([0.8, 0.8])
    expect(before[0]?.position.point).not.toEqual({ x: 0, y: 2, z: 0 })
    expect(title).toContain('Mark')
    // A palette that does not serve it gives nothing.
    expect(after[0]?.rigged.fixture.number).toBe(13)
  })

  it('is nothing for a fixture that hangs nowhere here, and for a cue that is gone', () => {
    const value = loose(13)
    const palette = desk.choose.palette(1)
    desk.do('deleteCues', { cues: [cue(1)], later: 'change' })
    expect(comparedLink(desk.show, value, palette)).toBeNull()
  })
})
