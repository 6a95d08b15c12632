import { beforeEach, describe, expect, it } from 'vitest'
import { FAMILIES } from '../attributes/families'
import { Desk } from '../../tests/support/smallShow'
import { paletteGhost } from './paletteGhost'

let desk: Desk
const ghost = (palette: number, isSeen = () => true) =>
  paletteGhost(desk.show, desk.person, desk.choose.palette(palette), desk.fixtures('11, 12'), isSeen)
const numbers = (fixtures: ReturnType<typeof ghost>) => fixtures.map(({ rigged }) => rigged.fixture.number)
const clear = () => desk.do('clearHand', { families: [...FAMILIES], fixtures: null })

/** 1 is a place for 11 and 12, 2 a zoom for 12; then nothing is in hand. */
beforeEach(() => {
  desk = new Desk()
  desk.aim('11, 12', 'Bow')
  desk.record(1, 'Bow')
  clear()
  desk.level('12', 'zoom', 14)
  desk.record(2, 'Tight', 'beam')
  clear()
})

describe('what a palette would do', () => {
  it('is just what recalling it does, with what it leaves alone as it stands', () => {
    desk.level('11, 12', 'zoom', 9)
    const before = ghost(1)
    desk.do('recallPalette', { palette: desk.choose.palette(1), fixtures: desk.fixtures('11, 12') })
    expect(before).toEqual([desk.seen(11), desk.seen(12)].map((seen) => ({ ...seen, palette: null })))
    expect(before[0]?.zoom.angle).toBe(9)
  })

  it('is nothing where it is recalled already', () => {
    expect(numbers(ghost(1))).toEqual([11, 12])
    desk.do('recallPalette', { palette: desk.choose.palette(1), fixtures: desk.fixtures('12') })
    expect(numbers(ghost(1))).toEqual([11])
    desk.aim('12', 'Mark')
    expect(numbers(ghost(1))).toEqual([11, 12])
  })

  it('is nothing for those it does not serve, nor in the dark where it gives no place', () => {
    expect(numbers(ghost(2))).toEqual([12])
    expect(numbers(ghost(2, () => false))).toEqual([])
    expect(numbers(ghost(1, () => false))).toEqual([11, 12])
  })
})
