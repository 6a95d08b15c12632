import { beforeEach, describe, expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { paletteValueFor } from '../palettes/resolve'
import { danglingReferences } from '../show/references'
import { groupId, type GroupId } from '../show/ids'
import { rigOf } from '../show/rig'
import { effectsOf } from '../refocus/effects'

let desk: Desk
let bar: GroupId
const palette = () => desk.choose.palette(1)
const spread = (lay: 'in order' | 'parallel' | 'crossing' = 'in order', along = 'Shore') =>
  desk.do('spreadPalette', { palette: palette(), group: bar, target: desk.choose.target(along), lay })

/** Where along the line each fixture of the bar is aimed, 0 to 1; null where the palette holds nothing for it. */
function places(): (number | null)[] {
  return [11, 12, 13, 14].map((number) => {
    const rigged = rigOf(desk.show).get(desk.fixture(number))
    const stored = rigged && paletteValueFor(desk.show, palette(), rigged, 'position')
    return stored?.kind === 'aim' ? stored.at : null
  })
}
const expectPlaces = (expected: readonly (number | null)[]) =>
  places().forEach((at, i) => {
    const wanted = expected[i] ?? null
    if (at === null || wanted === null) expect(at).toBe(wanted)
    else expect(at).toBeCloseTo(wanted, 9)
  })

beforeEach(() => {
  desk = new Desk()
  desk.do('recordGroup', { number: 1, name: 'Bar', fixtures: desk.fixtures('11-13') })
  bar = groupId.parse([...desk.show.all.group.keys()][0])
  desk.aim('11-13', 'Mark')
  desk.record(1, 'Spread')
  desk.do('clearHand', { families: ['position'], fixtures: null })
})

describe('a palette spread by rule', () => {
  it('lays its group evenly along the line, in their order or crossing', () => {
    spread()
    expectPlaces([0, 0.5, 1, null])
    spread('crossing')
    expectPlaces([1, 0.5, 0, null])
  })

  it('makes room for who joins the group, and its cues follow', () => {
    spread()
    desk.recall('11-13', 1)
    desk.cue(1)
    const before = desk.show
    desk.do('changeGroup', { group: bar, fixtures: desk.fixtures('11-14') })
    expectPlaces([0, 1 / 3, 2 / 3, 1])
    expect(effectsOf(before, desk.show).cues).toHaveLength(1)
  })

  it('closes up when one leaves, whose cues keep their light, loose', () => {
    spread()
    desk.recall('11-13', 1)
    desk.cue(1)
    desk.go(1)
    const point = desk.seen(13).position.point
    desk.do('changeGroup', { group: bar, fixtures: desk.fixtures('11, 12') })
    expectPlaces([0, 1, null, null])
    expect(desk.seen(13).position.point).toEqual(point)
    expect(danglingReferences(desk.show)).toEqual([])
  })

  it('keeps its places and forgets the rule when it is set free', () => {
    spread()
    desk.do('freeSpread', { palette: palette() })
    desk.do('changeGroup', { group: bar, fixtures: desk.fixtures('11, 12') })
    expectPlaces([0, 0.5, 1, null])
  })

  it('needs a line or a ring', () => {
    expect(
      desk.refused('spreadPalette', {
        palette: palette(),
        group: bar,
        target: desk.choose.target('Bow'),
        lay: 'parallel',
      }),
    ).toBe('Bow is a point. Choose a line or a ring.')
  })
})
