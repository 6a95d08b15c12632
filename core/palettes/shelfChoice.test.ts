import { expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { fittingShelf, nextNumberOn } from './shelfChoice'

it('puts places with their beam on the focus shelf, places alone on theirs, and else goes by the first family', () => {
  expect(fittingShelf(['intensity', 'position', 'beam'])).toBe('focus')
  expect(fittingShelf(['position', 'colour'])).toBe('position')
  expect(fittingShelf(['colour', 'gobo'])).toBe('colour')
  expect(fittingShelf(['shutters'])).toBe('shutters')
  expect(fittingShelf([])).toBe('focus')
})

it('numbers on from the last of a shelf, over what other shelves have', () => {
  const desk = new Desk()
  expect(nextNumberOn(desk.show, 'position')).toBe(1)
  desk.aim('11', 'Bow')
  desk.record(7, 'Bow')
  desk.record(8, 'Other', 'focus')
  expect(nextNumberOn(desk.show, 'position')).toBe(9)
  expect(nextNumberOn(desk.show, 'colour')).toBe(1)
})
