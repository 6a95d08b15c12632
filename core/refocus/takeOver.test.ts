import { describe, expect, it } from 'vitest'
import { buildSaltLantern } from '#demo/saltLantern'
import { RandomArguments, randomFrom } from '../../tests/support/randomCommands'
import { richDesk, venueNamed } from '../../tests/support/richShow'
import { Desk } from '../../tests/support/smallShow'
import { FAMILIES } from '../attributes/families'
import { HOME } from '../kinematics/head'
import { palettesInOrder, resolveValue } from '../palettes/resolve'
import { solvePosition } from '../palettes/solve'
import type { PaletteId } from '../show/ids'
import { rigOf, typedFixtures } from '../show/rig'
import type { Show } from '../show/show'
import { stageOf } from '../venue/stage'
import { inVenue } from './difference'
import { takeOver, type TakeOverMask } from './takeOver'

/** Everything every palette gives every fixture, by palette, fixture and attribute. */
function everythingIn(show: Show): Map<string, string> {
  const found = new Map<string, string>()
  for (const { id } of palettesInOrder(show))
    for (const served of typedFixtures(show).values())
      for (const attribute of served.type.has) {
        const { value } = resolveValue(show, served, attribute, { kind: 'link', palette: id })
        if (value) found.set(`${id} ${served.id} ${attribute}`, JSON.stringify(value))
      }
  return found
}
/** A later state of the same show, after whatever a person may have done to it. */
function later(desk: Desk, seed: number): Show {
  const random = randomFrom(seed)
  const other = desk.copy()
  for (const name of ['recordPalette', 'updatePalettes', 'touchUp', 'aimAtTarget', 'setValue', 'moveTarget'] as const)
    for (let i = 0; i < 6; i += 1) {
      const args = new RandomArguments(other.show, [desk.show], random)
      other.ask(name, args.forCommand(name))
    }
  return other.show
}
const ALL: Pick<TakeOverMask, 'fixtures' | 'byHand' | 'heldBack'> = { fixtures: null, byHand: new Map(), heldBack: [] }
const palettesOf = (show: Show) => palettesInOrder(show).map(({ id }) => id)

describe('taking over', () => {
  it('changes nothing outside the mask, and inside it all that it says', () => {
    const random = randomFrom(5)
    let taken = 0
    for (let seed = 1; seed <= 24; seed += 1) {
      const desk = richDesk()
      const source = later(desk, seed)
      const some = <T>(all: readonly T[]) => all.filter(() => random() < 0.6)
      const mask: TakeOverMask = {
        ...ALL,
        palettes: some(palettesOf(source)),
        fixtures: some([...typedFixtures(source).keys()]),
        take: some(FAMILIES),
        as: random() < 0.5 ? 'place' : 'angles',
        match: 'number',
      }
      const { lines } = takeOver(desk.show, source, mask)
      if (lines.length === 0) continue
      const before = everythingIn(desk.show)
      const values = lines.map(({ palette, fixture, attribute, after }) => ({
        palette,
        fixture,
        attribute,
        value: after,
      }))
      const linking = new Set(values.map(({ palette }) => palette))
      desk.do('takeOverValues', { values, where: random() < 0.5 ? 'for good' : 'for here' })
      const named = new Set(values.map(({ palette, fixture, attribute }) => `${palette} ${fixture} ${attribute}`))
      const isBy = (key: string) =>
        [...desk.show.all.paletteValue.values()].some(
          ({ palette, value }) => key.startsWith(`${palette} `) && value.kind === 'link' && linking.has(value.palette),
        )
      const after = everythingIn(desk.show)
      for (const key of new Set([...before.keys(), ...after.keys()]))
        if (!named.has(key) && !isBy(key)) expect([key, after.get(key)]).toEqual([key, before.get(key)])
      taken += lines.length
      const again = takeOver(desk.show, source, { ...mask, as: 'place' })
      if (mask.as === 'place') expect(again.lines.filter(({ attribute }) => attribute !== 'position')).toEqual([])
    }
    expect(taken).toBeGreaterThan(40)
  })

  it('brings the light of another venue here: as place where it was touched up there, as angles as its heads stood', () => {
    const show = buildSaltLantern('over')
    const quarry = inVenue(show, venueNamed(show, 'Quarry Playhouse'))
    const desk = new Desk(show, 'demo')
    const palette = desk.choose.palette(3)
    const mask = { ...ALL, palettes: [palette], take: [...FAMILIES], match: 'number' } as const
    const places = takeOver(show, quarry, { ...mask, as: 'place' })
    expect(places.lines.map(({ fixture }) => show.all.fixture.get(fixture)?.number)).toEqual([31, 34, 38])
    const take = (lines: typeof places.lines, where: 'for good' | 'for here') =>
      desk.do('takeOverValues', {
        values: lines.map(({ fixture, attribute, after }) => ({ palette, fixture, attribute, value: after })),
        where,
      })
    take(places.lines, 'for here')
    expect(takeOver(desk.show, quarry, { ...mask, as: 'place' })).toMatchObject({ lines: [], alike: 16 })
    const poses = (of: Show, id: PaletteId) =>
      desk.fixtures('31-38').map((fixture) => {
        const rigged = rigOf(of).get(fixture)
        if (!rigged) throw new Error('it does not hang there')
        const { value } = resolveValue(of, rigged, 'position', { kind: 'link', palette: id })
        const { pan, tilt } = solvePosition(rigged.mount, stageOf(of), value, HOME).pose
        return [expect.closeTo(pan, 6), expect.closeTo(tilt, 6)]
      })
    const wanted = poses(quarry, palette)
    const angles = takeOver(desk.show, quarry, { ...mask, as: 'angles' })
    take(
      angles.lines.filter(({ attribute }) => attribute === 'position'),
      'for good',
    )
    const numbers = desk.fixtures('31-38').map((fixture) => {
      const rigged = rigOf(desk.show).get(fixture)
      const value = rigged && resolveValue(desk.show, rigged, 'position', { kind: 'link', palette }).value
      const { pan, tilt } = rigged && value ? solvePosition(rigged.mount, stageOf(desk.show), value, HOME).pose : HOME
      return [pan, tilt]
    })
    expect(numbers).toEqual(wanted)
  })

  it('knows palettes and fixtures by number, name or hand, and says which it does not', () => {
    const desk = richDesk()
    const source = richDesk()
    source.do('changePalette', { palette: source.choose.palette(1), number: 77 })
    source.aim('11', 'Mark')
    source.do('updatePalettes', { palettes: null })
    const from = source.choose.palette(77)
    const mask = { ...ALL, palettes: [from], take: [...FAMILIES], as: 'place' } as const
    expect(takeOver(desk.show, source.show, { ...mask, match: 'number' }).unknownPalettes).toEqual([from])
    const byName = takeOver(desk.show, source.show, { ...mask, match: 'name' })
    expect(byName.unknownPalettes).toEqual([])
    expect(byName.lines.map(({ palette }) => palette)).toContain(desk.choose.palette(1))
    const byHand = new Map([[from, desk.choose.palette(2)]])
    const hand = takeOver(desk.show, source.show, { ...mask, match: 'number', byHand })
    expect(new Set(hand.lines.map(({ palette }) => palette))).toEqual(new Set([desk.choose.palette(2)]))
  })
})
