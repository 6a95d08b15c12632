import { describe, expect, it } from 'vitest'
import { Desk } from '../../../tests/support/smallShow'

describe('setValue', () => {
  it('holds a pool at one size from every throw', () => {
    const desk = new Desk()
    desk.aim('11-14', 'Bow')
    desk.do('setValue', { fixtures: desk.fixtures('11-14'), attribute: 'zoom', value: { kind: 'pool', diameter: 1.8 } })
    const angles = [11, 12, 13, 14].map((number) => desk.seen(number).zoom)
    for (const zoom of angles) expect(zoom).toMatchObject({ fits: true, pool: 1.8 })
    expect(new Set(angles.map((zoom) => zoom.angle.toFixed(3))).size).toBeGreaterThan(2)
  })

  it('says when the zoom cannot make the pool, and what it makes instead', () => {
    const desk = new Desk()
    desk.aim('11', 'Bow')
    desk.do('setValue', { fixtures: desk.fixtures('11'), attribute: 'zoom', value: { kind: 'pool', diameter: 0.3 } })
    const { zoom } = desk.seen(11)
    expect(zoom).toMatchObject({ fits: false, angle: 6 })
    expect(zoom.pool).toBeGreaterThan(0.3)
  })

  it('leaves out fixtures that have not got it, and refuses when none has', () => {
    const desk = new Desk()
    expect(desk.level('11, 41', 'edge', 0.4)).toBe('edge for fixture 11')
    expect(
      desk.refused('setValue', {
        fixtures: desk.fixtures('41'),
        attribute: 'edge',
        value: { kind: 'number', number: 0.4 },
      }),
    ).toContain('has edge')
  })

  it('refuses what is beyond the range, and a pool for what is no zoom', () => {
    const desk = new Desk()
    const set = (attribute: 'zoom' | 'intensity', number: number) =>
      desk.refused('setValue', { fixtures: desk.fixtures('11'), attribute, value: { kind: 'number', number } })
    expect(set('zoom', 60)).toBe('Tern 700 takes zoom from 6 to 48, not 60.')
    expect(set('intensity', 1.2)).toContain('from 0 to 1')
    expect(
      desk.refused('setValue', {
        fixtures: desk.fixtures('11'),
        attribute: 'edge',
        value: { kind: 'pool', diameter: 1 },
      }),
    ).toContain('takes a number')
  })
})
