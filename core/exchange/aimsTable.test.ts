import { describe, expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { aimsOfPalette, aimsOfPalettes, withoutFormula } from './aimsTable'

describe('the aims of a palette', () => {
  it('are listed by number with what each fixture does in this venue', () => {
    const desk = new Desk()
    desk.aim('13, 11', 'Bow')
    desk.do('setValue', {
      fixtures: desk.fixtures('11, 13'),
      attribute: 'zoom',
      value: { kind: 'pool', diameter: 1.5 },
    })
    desk.record(1, 'Bow', 'focus')
    const lines = aimsOfPalette(desk.show, desk.choose.palette(1))
    expect(lines.map((line) => [line.number, line.target, line.pool, line.state])).toEqual([
      [11, 'Bow', '1.500', 'reached'],
      [13, 'Bow', '1.500', 'reached'],
    ])
    expect(Number(lines[0]?.pan)).toBeCloseTo(desk.seen(11).position.pose.pan, 3)
    // 540° of pan in 65,535 steps from −270°.
    const part = (Number(lines[0]?.pan) + 270) / 540
    expect(Math.abs(Number(lines[0]?.pan16) - part * 65_535)).toBeLessThan(0.6)
    expect(Number(lines[0]?.panPercent)).toBeCloseTo(100 * part, 3)
    expect(lines[0]?.pan8).toBe(String(Math.round(part * 255)))
    expect(aimsOfPalettes(desk.show, [desk.choose.palette(1), desk.choose.palette(1)])).toEqual([...lines, ...lines])
  })
})

describe('text for a spreadsheet', () => {
  it.each([
    ['-2.5', '-2.5'],
    ['+3', '+3'],
    ['=1+1', "'=1+1"],
    ['-bow', "'-bow"],
    ['@cmd', "'@cmd"],
    ['Dory bow', 'Dory bow'],
    ['', ''],
  ])('%s becomes %s', (text, safe) => expect(withoutFormula(text)).toBe(safe))
})
