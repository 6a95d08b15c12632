/** What the panels of the hand tell of the selection. */
import { beforeEach, describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { rangeOf } from '#core/show/attributeRange'
import { vec3 } from '#core/geometry/vector'
import { paintFrame, useFakeFrames } from '../../../tests/support/fakeFrames'
import { openStores } from '../../../tests/support/openStores'
import { Desk } from '../../../tests/support/smallShow'
import { useStage } from '../../stores/stage'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import { useFanParts } from './useFanParts'
import { useHand } from './useHand'
import { useHandAttributes } from './useHandAttributes'
import { useRecording } from './useRecording'
import { useSelectionSummary } from './useSelectionSummary'
import { useStageLayers } from '../stage/useStageLayers'

let desk: Desk
useFakeFrames()
beforeEach(() => {
  desk = new Desk()
  openStores(desk)
  useStage()
})

/** Opens the show as it is now, selects in it and lets the panels read it. */
async function look(entry: string) {
  useShow().confirmed = desk.show
  useSelection().set(desk.fixtures(entry))
  await nextTick()
  await paintFrame()
}

describe('the attributes of a selection', () => {
  const of = (name: string) => useHandAttributes().attributes.value.find(({ attribute }) => attribute === name)

  it('are those any of it has, with the least and most that is shown and the widest range', async () => {
    desk.level('11', 'intensity', 0.2)
    desk.level('12', 'intensity', 0.7)
    await look('11-13, 41')
    expect(of('intensity')).toMatchObject({ low: 0, high: 0.7, isHeld: true, range: { min: 0, max: 1 } })
    const ranges = [11, 41].map((number) => rangeOf(desk.seen(number).rigged.type, 'zoom'))
    expect(of('zoom')?.range.min).toBe(Math.min(...ranges.map(({ min }) => min)))
    expect(of('zoom')?.range.max).toBe(Math.max(...ranges.map(({ max }) => max)))
    await look('41')
    expect(of('edge')).toBeUndefined()
  })

  it('have a wheel to choose from where all turn the same one', async () => {
    await look('11, 12')
    expect(of('gobo')?.wheel?.slots.length).toBeGreaterThan(1)
  })

  it('stay the same object while nothing of them changes, so that their rows are left alone', async () => {
    await look('11-14')
    const { attributes } = useHandAttributes()
    const before = new Map(attributes.value.map((one) => [one.attribute, one]))
    desk.level('11', 'intensity', 0.4)
    await look('11-14')
    const changed = attributes.value
      .filter((one) => before.get(one.attribute) !== one)
      .map(({ attribute }) => attribute)
    expect(changed).toEqual(['intensity'])
  })

  it('are said to be held back one by one, not with their family', async () => {
    desk.do('setTake', { family: 'beam', take: true })
    desk.do('setTake', { attribute: 'edge', take: false })
    await look('11')
    expect([of('edge')?.isHeldBack, of('zoom')?.isHeldBack, of('intensity')?.isHeldBack]).toEqual([true, false, false])
  })
})

describe('the summary of a selection', () => {
  const aimed = async (entry: string) => {
    await look(entry)
    const { name, offset } = useSelectionSummary().aim.value
    return [name, offset].filter(Boolean).join(', ')
  }

  it('says where it is aimed, or that it is aimed in different ways', async () => {
    expect(await aimed('11')).toBe('Not aimed yet')
    desk.aim('11, 12', 'Bow')
    desk.aim('13', 'Mark', vec3(0, 0.4, 0))
    desk.do('turnHeads', { fixtures: desk.fixtures('14'), pan: { how: 'to', degrees: 10 }, tilt: null })
    expect(await aimed('11, 12')).toBe('Bow')
    expect(await aimed('13')).toBe('Mark, 0.40 m upstage of it')
    expect(await aimed('14')).toBe('Raw angles, no target')
    expect(await aimed('11, 13')).toBe('Different targets')
    expect(await aimed('11, 14')).toBe('Aimed in different ways')
    useSelection().clear()
    expect(useSelectionSummary().aim.value.name).toBe('Select fixtures to aim')
  })

  it('counts who is out of reach, and knows a pool that all ask for', async () => {
    desk.aim('11, 12', 'Mark', vec3(0, 0, 30))
    desk.do('setValue', { fixtures: desk.fixtures('11, 12'), attribute: 'zoom', value: { kind: 'pool', diameter: 2 } })
    await look('11-13')
    const { positionSummary, zoom } = useSelectionSummary()
    expect(positionSummary.value).toBe('2 of 3 out of reach')
    expect(zoom.value.pool).toBeNull()
    await look('11, 12')
    expect(zoom.value.pool).toBe(2)
  })
})

describe('what is in hand', () => {
  it('is said by family, and what recording takes of it by the switches', async () => {
    desk.aim('11, 12', 'Bow')
    desk.look('11', '#ff0000')
    desk.do('setTake', { family: 'colour', take: false })
    await look('11')
    expect(useHand().inWords.value).toBe('2 fixtures, position and colour')
    expect(useRecording().words.value).toBe('Stores position of 2 fixtures. Held back: colour.')
    expect(useRecording(() => ({ take: ['beam'], heldBack: [] })).isEmpty.value).toBe(true)
  })
})

describe('what a fan runs over', () => {
  it('is the selection, the subsets of its pattern, or each group, with the others a part of their own', async () => {
    desk.do('recordGroup', { number: 1, name: 'Outside', fixtures: desk.fixtures('11, 14') })
    await look('11-14')
    const { over, parts, run } = useFanParts(() => desk.show)
    const numbers = () => parts.value.map((part) => part.map((id) => desk.show.all.fixture.get(id)?.number))
    expect(numbers()).toEqual([[11, 12, 13, 14]])
    over.value = 'each group'
    expect(numbers()).toEqual([
      [11, 14],
      [12, 13],
    ])
    useSelection().keepPattern({ kind: 'every', nth: 2 })
    over.value = 'subsets'
    expect([numbers(), run.value]).toEqual([
      [
        [11, 13],
        [12, 14],
      ],
      'across',
    ])
  })
})

describe('the light that a drawing shows', () => {
  const layers = () => useStageLayers(() => desk.show)
  const numbers = (fixtures: readonly { rigged: { fixture: { number: number } } }[]) =>
    fixtures.map(({ rigged }) => rigged.fixture.number)

  it('is what is chosen and what else is lit; in the Rig room only what is chosen', async () => {
    desk.level('11, 12', 'intensity', 1)
    await look('11')
    expect([numbers(layers().chosen.value), numbers(layers().lit.value)]).toEqual([[11], [12]])
    useStage().room = 'rig'
    expect([numbers(layers().chosen.value), numbers(layers().lit.value)]).toEqual([[11], []])
  })

  it('is a palette looked at: places for all it serves, anything else only where there is light', async () => {
    desk.aim('11-13', 'Bow')
    desk.record(1, 'Bow')
    desk.do('clearHand', { families: ['position'], fixtures: null })
    desk.level('11-13', 'zoom', 14)
    desk.record(2, 'Tight', 'beam')
    desk.do('clearHand', { families: ['beam'], fixtures: null })
    desk.level('12', 'intensity', 1)
    await look('14')
    useSelection().clear()
    useStage().hoveredPalette = desk.choose.palette(1)
    expect(numbers(layers().ghost.value)).toEqual([11, 12, 13])
    useStage().hoveredPalette = desk.choose.palette(2)
    expect(numbers(layers().ghost.value)).toEqual([12])
    await look('13')
    expect(numbers(layers().ghost.value)).toEqual([13])
  })
})
