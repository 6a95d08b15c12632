import { paletteValueId } from '../show/compositeIds'
import { describe, expect, it } from 'vitest'
import { Draft } from '../show/draft'
import { asFixtureId, asPaletteId, fixtureTypeId, type FixtureTypeId } from '../show/ids'
import { rigOf } from '../show/rig'
import type { Show } from '../show/show'
import type { Value } from '../show/values'
import { Desk } from '../../tests/support/smallShow'
import { paletteValueFor, resolveValue } from './resolve'
import { cueCounts, servedBy } from './use'

type Whom = { own: number } | { kind: string } | 'any'
const desk = new Desk()
const typeId = (name: string): FixtureTypeId => {
  for (const [id, type] of desk.show.all.fixtureType) if (type.name === name) return fixtureTypeId.parse(id)
  throw new Error(`no type ${name}`)
}

/** A palette with values at several reaches. */
function withPalette(show: Show, name: string, values: [Whom, Value][]): Show {
  const id = asPaletteId(name)
  const number = show.all.palette.size + 1
  const draft = new Draft(show).put('palette', id, {
    number,
    name,
    colour: 'kelp',
    symbol: null,
    shelf: 'beam',
    take: ['beam'],
    heldBack: [],
    note: '',
    time: null,
  })
  for (const [whom, value] of values) {
    const fixture = typeof whom === 'object' && 'own' in whom ? (desk.fixtures(String(whom.own))[0] ?? null) : null
    const fixtureType = typeof whom === 'object' && 'kind' in whom ? typeId(whom.kind) : null
    const reach = fixture ? { own: fixture } : fixtureType ? { kind: fixtureType } : 'any'
    draft.put('paletteValue', paletteValueId(id, 'zoom', reach), {
      palette: id,
      fixture,
      fixtureType,
      attribute: 'zoom',
      value,
    })
  }
  return draft.result()
}
const zoom = (number: number): Value => ({ kind: 'number', number })
const rigged = (show: Show, number: number) => {
  const found = rigOf(show).get(desk.fixtures(String(number))[0] ?? asFixtureId('none'))
  if (!found) throw new Error(`no fixture ${number}`)
  return found
}

describe('the reach of a palette', () => {
  const show = withPalette(desk.show, 'wide', [
    ['any', zoom(30)],
    [{ kind: 'Tern 700' }, zoom(20)],
    [{ own: 12 }, zoom(10)],
  ])

  it.each([
    [12, 10],
    [11, 20],
    [41, 30],
  ])('serves fixture %i by the narrowest that names it', (number, expected) => {
    expect(paletteValueFor(show, 'wide', rigged(show, number), 'zoom')).toEqual(zoom(expected))
  })

  it('serves nobody an attribute they have not got', () => {
    expect(paletteValueFor(show, 'wide', rigged(show, 11), 'gobo')).toBeNull()
  })

  it('counts whom it serves: all for a wide reach, those it names for an own one', () => {
    const numbers = (palette: string) => servedBy(show, asPaletteId(palette)).map((r) => r.fixture.number)
    expect(numbers('wide')).toEqual([11, 12, 13, 14, 41])
    const own = withPalette(show, 'own', [
      [{ own: 14 }, zoom(8)],
      [{ own: 11 }, zoom(8)],
    ])
    expect(servedBy(own, asPaletteId('own')).map((r) => r.fixture.number)).toEqual([11, 14])
  })
})

describe('links', () => {
  const link = (palette: string): Value => ({ kind: 'link', palette: asPaletteId(palette) })
  const inner = withPalette(desk.show, 'inner', [[{ own: 11 }, zoom(9)]])
  const nested = withPalette(withPalette(inner, 'middle', [['any', link('inner')]]), 'outer', [['any', link('middle')]])

  it('are followed to the plain value, with the way they came', () => {
    expect(resolveValue(nested, rigged(nested, 11), 'zoom', link('outer'))).toEqual({
      value: zoom(9),
      through: ['outer', 'middle', 'inner'],
      broken: null,
    })
  })

  it('say which palette gives nothing to a fixture', () => {
    expect(resolveValue(nested, rigged(nested, 12), 'zoom', link('outer'))).toMatchObject({
      value: null,
      broken: 'inner',
    })
  })

  it('never run for ever', () => {
    const loop = withPalette(withPalette(desk.show, 'a', [['any', link('b')]]), 'b', [['any', link('a')]])
    expect(resolveValue(loop, rigged(loop, 11), 'zoom', link('a'))).toMatchObject({ value: null, broken: 'a' })
  })

  it('are counted by cue', () => {
    const at = new Desk()
    at.aim('11, 12', 'Bow')
    at.record(1, 'Bow')
    at.cue(1)
    at.recall('11', 1)
    at.cue(2)
    expect(cueCounts(at.show).get(at.choose.palette(1))).toBe(2)
  })
})
