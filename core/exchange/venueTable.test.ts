import { expect, it } from 'vitest'
import { richDesk, venueNamed } from '../../tests/support/richShow'
import { venueSheet, venuesInOrder } from '../refocus/venueSheet'
import { readVenueTable, venueTable } from './venueTable'

it('comes back as it went out, and takes what was changed in it', () => {
  const desk = richDesk()
  const table = venueTable(desk.show)
  expect(table).toHaveLength(venueSheet(desk.show).length + 1)
  expect(readVenueTable(desk.show, table)).toEqual({ kind: 'read', cells: [], problems: [] })
  const column = 4 + venuesInOrder(desk.show).findIndex(({ venue }) => venue.name === 'Quarry')
  const line = (name: string, what: string) => table.findIndex((cells) => cells[1] === name && cells[2] === what)
  const change = (name: string, what: string, text: string) => ((table[line(name, what)] ?? [])[column] = text)
  change('Bar', 'trim', '5,8')
  change('12', 'on', 'absent')
  change('Stage', 'outline', '-6 0 / 6 0 / 6,5 7 / -6 7')
  change('Front rows', 'outline', '-4 -8 / 4 -8 / 0 -3')
  change('Dory', 'yaw', 'sideways')
  table.push(['hang', 'Nowhere', 'trim', 'm', '1', '1'])
  const read = readVenueTable(desk.show, table)
  if (read.kind !== 'read') throw new Error(read.message)
  expect(read.problems.map(({ line: at, message }) => [at, message])).toEqual([
    [line('Dory', 'yaw') + 1, '“sideways” is not a number'],
    [table.length, 'there is no hang “Nowhere” with “trim”'],
  ])
  desk.do('setInVenues', { cells: [...read.cells] })
  const after = venueTable(desk.show)
  expect([after[line('Bar', 'trim')]?.[column], after[line('12', 'on')]?.[column]]).toEqual(['5.80', 'absent'])
  expect([after[line('Stage', 'outline')]?.[column], after[line('Front rows', 'outline')]?.[column]]).toEqual([
    "'-6 0 / 6 0 / 6.5 7 / -6 7",
    "'-4 -8 / 4 -8 / 0 -3",
  ])
  expect(desk.show.all.fixturePlace.has(`${venueNamed(desk.show, 'Quarry')}.${desk.fixture(12)}`)).toBe(false)
})

it('says what a table of venues has where one is something else', () => {
  const desk = richDesk()
  expect(
    readVenueTable(desk.show, [
      ['hang', 'x'],
      ['Bar', '1'],
    ]),
  ).toMatchObject({ kind: 'unknown' })
  expect(readVenueTable(desk.show, [])).toMatchObject({ kind: 'unknown' })
})
