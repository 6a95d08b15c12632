/** What a palette's card shows of it. */
import { beforeEach, describe, expect, it } from 'vitest'
import { vec3 } from '#core/geometry/vector'
import { wheelOf } from '#core/show/attributeRange'
import { useFakeFrames } from '../../../tests/support/fakeFrames'
import { openStores } from '../../../tests/support/openStores'
import { Desk } from '../../../tests/support/smallShow'
import { useShelfView } from '../../stores/shelfView'
import { useShow } from '../../stores/show'
import { usePaletteLight } from './usePaletteLight'

let desk: Desk
useFakeFrames()
beforeEach(() => {
  desk = new Desk()
  openStores(desk)
})

const cardOf = (number: number) =>
  usePaletteLight(
    () => desk.show,
    () => desk.choose.palette(number),
  )
function gobo(entry: string, slot: number) {
  desk.do('setValue', { fixtures: desk.fixtures(entry), attribute: 'gobo', value: { kind: 'number', number: slot } })
}

describe('the picture of a palette', () => {
  it('is the light of those it gives a place, drawn anew when the rig moves', () => {
    desk.aim('11-13', 'Bow')
    desk.record(1, 'Bow')
    const before = cardOf(1)
    expect(before.lights.value.map(({ rigged }) => rigged.fixture.number)).toEqual([11, 12, 13])
    expect([before.isPlaced.value, before.outOfReach.value]).toEqual([true, 0])
    const [first] = before.lights.value
    desk.do('moveHang', { hang: desk.choose.hang('Bar'), origin: vec3(0, -3, 7) })
    const after = cardOf(1).lights.value[0]
    expect(after?.position.point).toEqual(first?.position.point)
    expect(after?.position.pose).not.toEqual(first?.position.pose)
  })

  it('counts those that cannot get there', () => {
    desk.aim('11, 12', 'Bow')
    desk.record(1, 'Bow')
    desk.do('moveTarget', { target: desk.choose.target('Bow'), position: vec3(0, 0, 40) })
    expect(cardOf(1).outOfReach.value).toBe(2)
  })

  it('is its colour, its pattern or its values in words where it gives no place', () => {
    for (const family of ['colour', 'gobo', 'beam'] as const) desk.do('setTake', { family, take: true })
    desk.look('11', '#ff8040')
    desk.record(1, 'Amber', 'colour')
    expect(cardOf(1).swatch.value).toMatch(/^#f[ef]8[0-9a-f]4[0-9a-f]$/)
    expect(cardOf(1).isPlaced.value).toBe(false)
    gobo('11', 2)
    desk.record(2, 'Waves', 'gobo')
    const wheel = wheelOf(desk.seen(11).rigged.type, 'gobo')
    expect(cardOf(2).beam.value?.shape?.gobos).toMatchObject([{ pattern: wheel?.slots[2]?.pattern }])
    desk.level('11', 'zoom', 20)
    desk.level('11', 'edge', 0.25)
    desk.record(3, 'Soft', 'beam')
    expect(cardOf(3).words.value).toEqual(['zoom 20.0°', 'edge 25 %'])
  })
})

describe('palettes at a glance', () => {
  it('are in hand, or on stage by a cue; one opened in a panel brings its shelf to the front', () => {
    desk.aim('11', 'Bow')
    desk.record(1, 'Bow')
    desk.recall('11', 1)
    desk.cue(1)
    desk.go(1)
    desk.aim('12', 'Mark')
    desk.record(2, 'Mark', 'focus')
    desk.recall('12', 2)
    useShow().confirmed = desk.show
    const shelves = useShelfView()
    const numbers = (ids: ReadonlySet<string>) => [...ids].map((id) => desk.show.all.palette.get(id)?.number)
    expect(numbers(shelves.use.inHand)).toEqual([2])
    expect(numbers(shelves.use.onStage).sort()).toEqual([1, 2])
    shelves.look(desk.choose.palette(1))
    expect([shelves.shelf, shelves.looked]).toEqual(['position', desk.choose.palette(1)])
    desk.do('deletePalettes', { palettes: [desk.choose.palette(1)], links: { how: 'loose' } })
    useShow().confirmed = desk.show
    expect(shelves.looked).toBeNull()
  })
})
