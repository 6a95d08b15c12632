import { beforeEach, describe, expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { palettesInUse } from './palettesInUse'

let desk: Desk
const palette = (number: number) => desk.choose.palette(number)
const inUse = (of = desk) => palettesInUse(of.show, of.person)
const only = (...numbers: number[]) => new Set(numbers.map(palette))

/** Palette 1 is in the cue on stage, for 11 and 12; 2 in no cue; nothing is in hand. */
beforeEach(() => {
  desk = new Desk()
  desk.aim('11, 12', 'Mark')
  desk.record(2, 'Mark')
  desk.aim('11, 12', 'Bow')
  desk.record(1, 'Bow')
  desk.recall('11, 12', 1)
  desk.cue(1)
})

describe('palettes in use', () => {
  it('are on stage by the cues, but where a hand lies over all of it', () => {
    expect(inUse()).toEqual({ inHand: new Set(), onStage: only(1) })
    desk.recall('11', 2)
    expect(inUse()).toEqual({ inHand: only(2), onStage: only(1, 2) })
    desk.recall('12', 2)
    expect(inUse()).toEqual({ inHand: only(2), onStage: only(2) })
  })

  it('are in hand alone for whom works blind', () => {
    desk.recall('11, 12', 2)
    desk.do('setBlind', { blind: true })
    expect(inUse()).toEqual({ inHand: only(2), onStage: only(1) })
  })

  it('are on stage where fixtures rest at them', () => {
    desk.do('setPaletteRole', { role: 'rest', palette: palette(2) })
    expect(inUse().onStage).toEqual(only(1))
    desk.go(null)
    expect(inUse().onStage).toEqual(only(2))
  })
})
