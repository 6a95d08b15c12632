import { describe, expect, it } from 'vitest'
import { contentsOf } from '../../palettes/resolve'
import { Desk } from '../../../tests/support/smallShow'

function filled(): Desk {
  const desk = new Desk()
  desk.aim('11-14', 'Bow')
  desk.level('11-14', 'zoom', 12)
  desk.level('11-14', 'intensity', 1)
  desk.look('11-14', '#ff0000')
  return desk
}
const held = (desk: Desk, number: number) => {
  const contents = contentsOf(desk.show).get(desk.choose.palette(number))
  return [...(contents?.own.keys() ?? [])]
}

describe('recordPalette', () => {
  it('takes pan and tilt only on the position shelf, whatever else is in hand', () => {
    const desk = filled()
    for (const family of ['intensity', 'colour'] as const) desk.do('setTake', { family, take: true })
    expect(desk.record(1, 'Bow', 'position')).toBe('record Bow (position of 4 fixtures)')
    expect(held(desk, 1)).toEqual(['position'])
  })

  it('takes what keeps the pool tight on the focus shelf, and holds back what was there to see by', () => {
    const desk = filled()
    expect(desk.record(1, 'Bow', 'focus')).toBe('record Bow (position and beam of 4 fixtures)')
    expect(held(desk, 1)).toEqual(['position', 'zoom'])
    desk.do('setTake', { family: 'beam', take: false })
    desk.record(2, 'Place alone', 'focus')
    expect(held(desk, 2)).toEqual(['position'])
  })

  it('leaves links to itself in hand and what it did not take as it was', () => {
    const desk = filled()
    desk.record(1, 'Bow', 'focus')
    const palette = desk.choose.palette(1)
    expect(desk.held(11, 'position')).toEqual({ kind: 'link', palette })
    expect(desk.held(11, 'zoom')).toEqual({ kind: 'link', palette })
    expect(desk.held(11, 'intensity')).toEqual({ kind: 'number', number: 1 })
    expect(desk.seen(11).position.state).toBe('reached')
  })

  it('stores plain values from recalled palettes, and links on the combined shelf', () => {
    const desk = filled()
    desk.record(1, 'Bow', 'position')
    desk.record(2, 'Copy', 'position')
    desk.recall('11-14', 1)
    desk.record(3, 'Whole look', 'combined')
    const kinds = (number: number) =>
      [...(contentsOf(desk.show).get(desk.choose.palette(number))?.own.get('position')?.values() ?? [])].map(
        (stored) => stored.value.kind,
      )
    expect(kinds(2)).toEqual(['aim', 'aim', 'aim', 'aim'])
    expect(kinds(3)).toEqual(['link', 'link', 'link', 'link'])
  })

  it('refuses a number that is taken, and a shelf for which nothing is in hand', () => {
    const desk = filled()
    desk.record(1, 'Bow')
    const again = { number: 1, name: 'Twin', shelf: 'position', colour: 'kelp' } as const
    expect(desk.refused('recordPalette', again)).toBe('Number 1 is Bow. Choose another number.')
    expect(desk.refused('recordPalette', { ...again, number: 2, shelf: 'gobo' })).toContain(
      'it takes gobo. Check the take switches.',
    )
  })
})
