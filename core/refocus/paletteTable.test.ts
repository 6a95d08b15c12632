import { expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { paletteTable, unfolded } from './paletteTable'

it('folds fixtures that hold the same into one row, and keeps apart who holds more, less or something else', () => {
  const desk = new Desk()
  desk.do('setTake', { family: 'intensity', take: true })
  desk.aim('11-14', 'Bow')
  desk.level('11-13', 'edge', 0.5)
  desk.level('14', 'edge', 0.4)
  desk.level('41', 'intensity', 1)
  desk.do('recordPalette', { number: 1, name: 'Bow', shelf: 'combined', colour: 'brass', reach: 'own' })
  const { attributes, rows } = paletteTable(desk.show, desk.choose.palette(1))
  expect(attributes).toEqual(['intensity', 'position', 'edge'])
  expect(rows.map(({ whom, cells }) => [whom, ...attributes.map((attribute) => cells.get(attribute) ?? '')])).toEqual([
    ['11-13', '', 'at Bow', '50 %'],
    ['14', '', 'at Bow', '40 %'],
    ['41', '100 %', '', ''],
  ])
  const [first] = rows
  expect(first && unfolded(desk.show, first).map(({ whom }) => whom)).toEqual(['11', '12', '13'])
})

it('says of types and of any fixture what they hold, before single fixtures', () => {
  const desk = new Desk()
  desk.aim('11-12', 'Bow')
  desk.level('11-12', 'edge', 0.5)
  desk.do('recordPalette', { number: 1, name: 'Bow', shelf: 'focus', colour: 'brass', reach: 'usual' })
  const { rows } = paletteTable(desk.show, desk.choose.palette(1))
  expect(rows.map(({ whom, fixtures }) => [whom, fixtures.length])).toEqual([
    ['any fixture', 0],
    ['every Tern 700', 0],
  ])
})
