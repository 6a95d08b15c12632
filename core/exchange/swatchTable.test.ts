import { describe, expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { coloursUsed, swatchesIn } from '../show/swatches'
import { readSwatchCells } from './swatchTable'

const table = (text: string) => readSwatchCells(text.split('\n').map((line) => line.split(';')))

describe('swatches from a table', () => {
  it('take their name and place, and how bright they are of the brightest of their colour', () => {
    const { swatches, faults } = table('Name;x;y;Y\nWhite;0,3127;0,329;50\nRed;0.64;0.33;21.26\n\n')
    expect(faults).toEqual([])
    expect(swatches).toMatchObject([
      { name: 'White', x: 0.3127, y: 0.329, level: expect.closeTo(0.5, 3) },
      { name: 'Red', level: expect.closeTo(1, 3) },
    ])
    expect(table('name;x;y\nWhite;0.31;0.33').swatches).toEqual([{ name: 'White', x: 0.31, y: 0.33, level: 1 }])
  })

  it('tell every row that cannot be used, and a table that is none', () => {
    const { swatches, faults } = table(
      'name;x;y;Y\n;0.3;0.3;1\nA;2;0.3;1\nB;0.3;;1\nC;0.6;0.5;1\nD;0.3;0.3;-1\nE;0.3;0.3;0.5',
    )
    expect(swatches.map(({ name }) => name)).toEqual(['E'])
    expect(faults.map((fault) => fault.slice(0, 13))).toEqual([
      'line 2: it ne',
      'line 3: x is ',
      'line 4: y is ',
      'line 5: y is ',
      'line 6: Y is ',
    ])
    expect(table('name;hue\nA;1').trouble).toContain('no column x, y')
    expect(table('name;x;y').trouble).toBe('It holds no swatch.')
  })

  it('are a list that the next of its name replaces, and can be taken out', () => {
    const desk = new Desk()
    const names = () =>
      swatchesIn(desk.show)
        .get('Glass')
        ?.map(({ swatch }) => swatch.name)
    const some = (...list: string[]) => list.map((name) => ({ name, x: 0.3, y: 0.3, level: 1 }))
    desk.do('importSwatches', { list: 'Glass', swatches: some('B', 'A') })
    expect(names()).toEqual(['B', 'A'])
    desk.do('importSwatches', { list: 'Glass', swatches: some('C') })
    expect(names()).toEqual(['C'])
    desk.do('removeSwatches', { list: 'Glass' })
    expect(names()).toBeUndefined()
    expect(desk.refused('removeSwatches', { list: 'Glass' })).toContain('no list of swatches')
    desk.do('setTake', { family: 'colour', take: true })
    desk.look('11', '#ffb347')
    desk.record(5, 'Amber', 'colour')
    expect(coloursUsed(desk.show).map(({ name }) => name)).toEqual(['Amber'])
  })
})
