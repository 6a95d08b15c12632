import { expect, it } from 'vitest'
import { vec3 } from '../geometry/vector'
import { Desk } from '../../tests/support/smallShow'
import { comparedLines, paletteLines } from './paletteLines'

it('says what a palette holds, for any first, then by type, then by number', () => {
  const desk = new Desk()
  desk.aim('11, 12', 'Bow', vec3(0, 0.4, 0))
  desk.level('11, 12', 'zoom', 12)
  desk.do('recordPalette', { number: 1, name: 'Bow', shelf: 'focus', colour: 'brass', reach: 'usual' })
  desk.do('turnHeads', {
    fixtures: desk.fixtures('13'),
    pan: { how: 'to', degrees: 12 },
    tilt: { how: 'to', degrees: -30 },
  })
  desk.do('storeInPalette', { palette: desk.choose.palette(1), how: 'merge', reach: 'own' })
  const lines = paletteLines(desk.show, desk.choose.palette(1))
  expect(lines.map(({ whom, value }) => `${whom}: ${value}`)).toEqual([
    'any fixture: at Bow, 0.40 m upstage',
    'every Tern 700: 12.0°',
    '13: pan 12.0°, tilt -30.0°',
  ])
})

it('lays two shows side by side: what changes comes first, what goes and comes is told', () => {
  const desk = new Desk()
  desk.level('11-13', 'zoom', 12)
  desk.record(1, 'Tight', 'beam')
  const before = desk.show
  const palette = desk.choose.palette(1)
  desk.do('removeFromPalette', { palette, fixtures: desk.fixtures('12'), attributes: null })
  desk.do('clearHand', { families: ['beam'], fixtures: null })
  desk.level('13', 'zoom', 20)
  desk.level('14', 'zoom', 30)
  desk.do('storeInPalette', { palette, how: 'merge', reach: 'own' })
  const told = comparedLines(before, desk.show, palette).map((line) => [line.whom, line.before, line.after])
  expect(told.at(-1)).toEqual(['11', '12.0°', '12.0°'])
  expect(told).toContainEqual(['13', '12.0°', '20.0°'])
  expect(told).toContainEqual(['12', '12.0°', null])
  expect(told).toContainEqual(['14', null, '30.0°'])
})
