/** Finding by name and number. */
import { describe, expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { find } from './find'
import { namedThings } from './namedThings'

function withPalettes(): Desk {
  const desk = new Desk()
  desk.aim('11, 12', 'Bow')
  desk.record(11, 'Dory bow')
  desk.record(2, 'Bow light', 'focus')
  desk.do('recordGroup', { number: 1, name: 'Outside', fixtures: desk.fixtures('11, 14') })
  desk.cue(12, 'Elbows on the rail')
  return desk
}
const found = (text: string, desk = withPalettes()) =>
  find(namedThings(desk.show), text).map(({ number, name, about }) => [number, name, about].filter(Boolean).join(' '))

describe('a few letters', () => {
  it('find what is called just so first, then beginnings, then words within, then middles', () => {
    expect(found('bow')).toEqual([
      'Bow target',
      '2 Bow light palette, focus',
      '11 Dory bow palette, position',
      '12 Elbows on the rail cue',
    ])
  })

  it('find numbers, of everything that has one', () => {
    expect(found('11')).toEqual(['11 Dory bow palette, position', '11 Tern 700 fixture, Tern 700'])
    expect(found('fixture 11')).toEqual(['11 Tern 700 fixture, Tern 700'])
    expect(found('gr 1')[0]).toBe('1 Outside group, 2 fixtures')
    expect(found('cue 12')).toEqual(['12 Elbows on the rail cue'])
  })

  it('need every word, in any order, whatever their case', () => {
    expect(found('BOW palette')).toEqual(['2 Bow light palette, focus', '11 Dory bow palette, position'])
    expect(found('palette  dory')).toEqual(['11 Dory bow palette, position'])
    expect(found('bow anchor')).toEqual([])
    expect(found('  ')).toEqual([])
  })

  it('find groups, hangs and set pieces with what is in them', () => {
    expect(found('outs')).toEqual(['1 Outside group, 2 fixtures'])
    expect(found('bar')[0]).toBe('Bar hang, 4 fixtures')
    expect(found('dory set')).toEqual(['Dory set piece'])
  })

  it('say of a cue which list it is in, where there are several', () => {
    const desk = withPalettes()
    desk.do('addCueList', { number: 2, name: 'Colours', intensityRule: 'highest' })
    expect(found('elbows', desk)).toEqual(['12 Elbows on the rail cue, Main'])
  })
})

describe('the named things of a show', () => {
  it('stay the same list while only the hand changes', () => {
    const desk = withPalettes()
    const before = namedThings(desk.show)
    desk.aim('13', 'Mark')
    expect(namedThings(desk.show)).toBe(before)
  })
})
