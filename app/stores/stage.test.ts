import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { vec3 } from '#core/geometry/vector'
import { paintFrame, useFakeFrames } from '../../tests/support/fakeFrames'
import { openStores } from '../../tests/support/openStores'
import { Desk } from '../../tests/support/smallShow'
import { useClock } from './clock'
import { useStage } from './stage'
import { useSelection } from './selection'
import { useShow } from './show'

let desk: Desk
const panOf = (number: number) => useStage().seen(desk.fixture(number))?.position.pose.pan ?? NaN
const panInPanels = (number: number) => useStage().seenInPanels(desk.fixture(number))?.position.pose.pan ?? NaN
const turn = (degrees: number) =>
  useStage().tryOut(desk.fixtures('11, 12'), 'turnHeads', {
    fixtures: desk.fixtures('11, 12'),
    pan: { how: 'by', degrees },
    tilt: null,
  })

useFakeFrames()
beforeEach(() => {
  desk = new Desk()
  desk.aim('11-14', 'Bow')
  openStores(desk)
})

describe('a change of the hand that is tried out', () => {
  it('is seen at once, in no hand, and told a little later', async () => {
    const before = panOf(11)
    const [untouched] = [panOf(13)]
    useSelection().set(desk.fixtures('11, 12'))
    turn(10)
    await nextTick()
    expect(panInPanels(11)).toBe(before)
    await paintFrame()
    turn(20)
    await nextTick()
    expect(panOf(11)).toBeCloseTo(before + 20, 9)
    expect(panOf(13)).toBe(untouched)
    expect(panInPanels(11)).toBeCloseTo(before + 10, 9)
    await vi.advanceTimersByTimeAsync(200)
    expect(panInPanels(11)).toBeCloseTo(before + 20, 9)
    expect(useShow().view?.all.handValue).toBe(desk.show.all.handValue)
  })

  it('is put back by whoever tried it, and told with the next frame', async () => {
    const before = panOf(11)
    const mine = turn(10)
    const theirs = turn(30)
    await nextTick()
    useStage().endTrial(mine)
    expect(panOf(11)).toBeCloseTo(before + 30, 9)
    useStage().endTrial(theirs)
    await nextTick()
    await paintFrame()
    expect([panOf(11), panInPanels(11)]).toEqual([before, before])
  })

  it('lets go of an armed fan, as selecting others does', async () => {
    useStage().isFanArmed = true
    turn(10)
    expect(useStage().isFanArmed).toBe(false)
    useStage().isFanArmed = true
    useSelection().set(desk.fixtures('14'))
    await nextTick()
    expect(useStage().isFanArmed).toBe(false)
  })
})

describe('the light dragged over the stage', () => {
  it('takes the selection to the place, without others, until it is dropped', () => {
    useSelection().set(desk.fixtures('11'))
    const others = panOf(12)
    useStage().aimDrag = { target: desk.choose.target('Mark'), offset: vec3(1, 0, 0) }
    const point = useStage().seen(desk.fixture(11))?.position.point
    expect(point).toEqual({ x: 1, y: 2, z: 0 })
    expect(panOf(12)).toBe(others)
    useStage().aimDrag = null
    expect(useStage().seen(desk.fixture(11))?.position.point).not.toEqual(point)
  })
})

describe('the stage while something takes its time', () => {
  /** Fixture 11 comes up from nothing to full, from the first second to the fifth. */
  beforeEach(() => {
    desk.do('setTake', { family: 'intensity', take: true })
    desk.level('11', 'intensity', 1)
    desk.record(1, 'Full', 'intensity')
    desk.level('11', 'intensity', 0)
    desk.now = 1000
    desk.do('recallPalette', { palette: desk.choose.palette(1), fixtures: desk.fixtures('11'), seconds: 4 })
    useShow().confirmed = desk.show
  })

  it('stands between while the clock runs, and where it was sent afterwards', () => {
    useClock().now = 2000
    expect(useStage().standing.get(desk.fixture(11))?.intensity).toBeCloseTo(0.25, 9)
    useClock().now = 6000
    expect(useStage().standing.get(desk.fixture(11))?.intensity).toBe(1)
  })

  it('is told every now and then on its way, and with the next frame when it has arrived', async () => {
    const room = useStage()
    const intensity = () => room.seenInPanels(desk.fixture(11))?.intensity
    for (const now of [2000, 3000]) {
      useClock().now = now
      await nextTick()
      await paintFrame()
    }
    expect(intensity()).toBeLessThan(0.5)
    await vi.advanceTimersByTimeAsync(200)
    expect(intensity()).toBeCloseTo(0.5, 9)
    useClock().now = 5001
    await nextTick()
    await paintFrame()
    expect(intensity()).toBe(1)
  })
})
