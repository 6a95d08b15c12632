import { expect, it } from 'vitest'
import { handOf } from '../cues/onStage'
import { Desk } from '../../tests/support/smallShow'
import { suggestedPaletteName } from './suggestedName'

const held = (desk: Desk) =>
  [...handOf(desk.show, desk.person)].flatMap(([fixture, values]) =>
    [...values.values()].map((value) => ({ fixture, value })),
  )

it('calls a palette after the one target, else after the group, with a number where that is taken', () => {
  const desk = new Desk()
  expect(suggestedPaletteName(desk.show, 'focus', held(desk))).toBe('')
  desk.do('recordGroup', { number: 1, name: 'Front', fixtures: desk.fixtures('11, 12') })
  desk.level('11, 12', 'zoom', 20)
  expect(suggestedPaletteName(desk.show, 'beam', held(desk))).toBe('Front')
  desk.aim('11, 12', 'Bow')
  expect(suggestedPaletteName(desk.show, 'focus', held(desk))).toBe('Bow')
  desk.record(1, 'Bow', 'position')
  desk.aim('11, 12', 'Bow')
  expect(suggestedPaletteName(desk.show, 'position', held(desk))).toBe('Bow 2')
  expect(suggestedPaletteName(desk.show, 'focus', held(desk))).toBe('Bow')
  desk.aim('12', 'Mark')
  expect(suggestedPaletteName(desk.show, 'focus', held(desk))).toBe('Front')
  desk.aim('13', 'Mark')
  expect(suggestedPaletteName(desk.show, 'focus', held(desk))).toBe('')
})
