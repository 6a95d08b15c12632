import { describe, expect, it } from 'vitest'
import { vec3 } from '../geometry/vector'
import { Desk } from '../../tests/support/smallShow'
import { effectsOf, NO_EFFECTS } from './effects'
import { metresInWords, offsetInWords } from '../geometry/lengthInWords'
import { effectsInWords } from './words'

/** Cues 1 to 4: the mark by palette, a level, the bow by hand, raw angles. */
function programmed(): Desk {
  const desk = new Desk()
  desk.do('setTake', { family: 'intensity', take: true })
  desk.aim('11, 12', 'Mark')
  desk.record(1, 'On the mark')
  desk.cue(1)
  desk.level('11, 12', 'intensity', 1)
  desk.cue(2)
  desk.aim('12', 'Bow')
  desk.cue(3)
  desk.do('turnHeads', {
    fixtures: desk.fixtures('11'),
    pan: { how: 'to', degrees: 10 },
    tilt: { how: 'to', degrees: 30 },
  })
  desk.cue(4)
  return desk
}
function after(desk: Desk, change: (desk: Desk) => void) {
  const before = desk.show
  change(desk)
  return effectsOf(before, desk.show)
}
const moveMark = (to: ReturnType<typeof vec3>) => (desk: Desk) =>
  desk.do('moveTarget', { target: desk.choose.target('Mark'), position: to })
const numbers = (desk: Desk, how: 'set' | 'carried', effects: ReturnType<typeof effectsOf>) =>
  effects.cues.filter((cue) => cue.how === how).map((cue) => desk.show.all.cue.get(cue.cue)?.number)

describe('the effects of a change', () => {
  it('of a moved target: its palettes by how far, the cues that set it and those that carry it', () => {
    const desk = programmed()
    const effects = after(desk, moveMark(vec3(0.6, 2.8, 0)))
    expect(effects.palettes).toHaveLength(1)
    expect(effects.palettes[0]?.shiftMetres).toBeCloseTo(1, 9)
    expect(effects.palettes[0]?.fixtures.map((f) => f.losesReach)).toEqual([false, false])
    expect(numbers(desk, 'set', effects)).toEqual([1])
    expect(numbers(desk, 'carried', effects)).toEqual([2, 3])
    expect(effectsInWords(effects)).toBe('1 palette, 3 cues follow')
  })

  it('of a moved target: aims made by hand follow as well, without a palette', () => {
    const desk = programmed()
    const effects = after(desk, (d) =>
      d.do('moveTarget', { target: d.choose.target('Bow'), position: vec3(-2, 5, 0.8) }),
    )
    expect(effects.palettes).toEqual([])
    expect(numbers(desk, 'set', effects)).toEqual([3])
  })

  it('of a target that goes out of reach: who loses it', () => {
    const desk = programmed()
    const effects = after(desk, moveMark(vec3(0, 0, 30)))
    expect(effects.losingReach).toEqual(desk.fixtures('11, 12'))
    expect(effectsInWords(effects)).toContain('2 fixtures fall out of reach')
  })

  it('of a lower trim: aims stay on their place, raw angles stay behind and are named', () => {
    const desk = programmed()
    const effects = after(desk, (d) => d.do('moveHang', { hang: d.choose.hang('Bar'), origin: vec3(0, 0, 6) }))
    expect(effects.palettes[0]?.shiftMetres).toBeLessThan(1e-9)
    expect(effects.staysBehind).toMatchObject([
      { fixture: desk.fixtures('11')[0], cue: desk.choose.cue(1, 4), palette: null },
    ])
    expect(effects.staysBehind[0]?.shiftMetres).toBeGreaterThan(0.3)
    expect(effectsInWords(effects)).toContain('1 value stays behind')
  })

  it('of a palette that is given and taken fixtures: who comes in and who is taken out', () => {
    const desk = programmed()
    const palette = desk.choose.palette(1)
    const ids = desk.fixtures('12, 14')
    const effects = after(desk, (d) => {
      d.do('removeFromPalette', { palette, fixtures: desk.fixtures('12'), attributes: null })
      d.aim('14', 'Mark')
      d.do('storeInPalette', { palette, how: 'merge', reach: 'own' })
    })
    expect(effects.members).toEqual([{ palette, joining: [ids[1]], leaving: [ids[0]] }])
    expect(effectsInWords(effects)).toContain('1 fixture comes in; 1 fixture is taken out')
  })

  it('of anything else: nothing', () => {
    const desk = programmed()
    const effects = after(desk, (d) => d.level('13', 'intensity', 0.3))
    expect(effects).toEqual(NO_EFFECTS)
    expect(effectsInWords(effects)).toBe('nothing aimed changes')
  })
})

describe('distances in words', () => {
  it('name directions as the stage does, and leave out what is nothing', () => {
    expect(offsetInWords(vec3(-0.3, 1.2, 0))).toBe('1.20 m upstage, 0.30 m to stage right')
    expect(offsetInWords(vec3(0, 0, -0.85))).toBe('0.85 m down')
    expect(offsetInWords(vec3(0.001, 0, 0))).toBe('')
    expect(metresInWords(0.004)).toBe('4 mm')
  })

  it('of a set piece that raw angles light: they stay behind, by how far their light falls elsewhere', () => {
    const desk = new Desk()
    desk.do('turnHeads', {
      fixtures: desk.fixtures('12'),
      pan: { how: 'to', degrees: 10 },
      tilt: { how: 'to', degrees: 30 },
    })
    expect(desk.seen(12).position.point?.z).toBeCloseTo(0.65, 9)
    desk.cue(1)
    const moved = after(desk, (d) =>
      d.do('moveSetPiece', { setPiece: d.choose.setPiece('Dory'), position: vec3(5, 8, 0), yaw: 0 }),
    )
    expect(desk.seen(12).position.point?.z).toBe(0)
    expect(moved.staysBehind).toHaveLength(1)
    expect(moved.staysBehind[0]?.shiftMetres).toBeGreaterThan(0.65)
    expect(moved.cues).toEqual([])
  })

  it('of light that lands nowhere: no distance, never nought', () => {
    const desk = new Desk()
    desk.aim('12', 'Mark')
    desk.record(1, 'Up')
    desk.do('turnHeads', { fixtures: desk.fixtures('12'), pan: null, tilt: { how: 'to', degrees: 100 } })
    const palette = desk.choose.palette(1)
    const effects = after(desk, (d) => d.do('storeInPalette', { palette, how: 'merge', reach: 'own' }))
    expect(effects.palettes.map(({ shiftMetres }) => shiftMetres)).toEqual([null])
  })
})
