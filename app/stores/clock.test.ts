import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { paintFrame, useFakeFrames } from '../../tests/support/fakeFrames'
import { useClock } from './clock'

/** A browser is told by its window when a module is read first. */
vi.hoisted(() => {
  const frame = (work: FrameRequestCallback) => globalThis.requestAnimationFrame(work)
  vi.stubGlobal('window', { requestAnimationFrame: frame, cancelAnimationFrame: () => undefined })
  vi.stubGlobal('document', { createElement: () => ({}) })
})
useFakeFrames()
beforeEach(() => {
  vi.setSystemTime(1_000_000)
  setActivePinia(createPinia())
})

describe('the server’s clock', () => {
  it('is guessed from an answer, half its way ago, and goes on with ours', () => {
    const clock = useClock()
    clock.set(5_000_000, 40)
    expect(clock.read()).toBe(5_000_020)
    vi.advanceTimersByTime(1000)
    expect(clock.read()).toBe(5_001_020)
  })

  it('is believed from the answer that took the shortest way, not from later slow ones', () => {
    const clock = useClock()
    clock.set(5_000_000, 40)
    clock.set(9_000_000, 900)
    expect(clock.read()).toBe(5_000_020)
    clock.set(5_000_007, 10)
    expect(clock.read()).toBe(5_000_012)
  })

  it('goes on frame by frame until what moves has arrived, and then stands', async () => {
    const clock = useClock()
    clock.set(5_000_000, 0)
    clock.runUntil(5_000_040)
    expect(clock.now).toBe(5_000_000)
    const seen: number[] = []
    for (let frame = 0; frame < 6; frame++) {
      await paintFrame()
      seen.push(clock.now)
    }
    const [first = 0, second = 0] = seen
    expect(first).toBeGreaterThan(5_000_000)
    expect(second).toBeGreaterThan(first)
    // The frame after the end is the last one looked at.
    expect(seen.at(-1)).toBeGreaterThan(5_000_040)
    expect(seen.at(-1)).toBeLessThan(5_000_080)
    expect(seen.at(-1)).toBe(seen.at(-2))
  })

  it('is looked at once, and no frame passes, where nothing is to go on', async () => {
    const clock = useClock()
    clock.set(5_000_000, 0)
    clock.runUntil(0)
    await paintFrame()
    expect(clock.now).toBe(5_000_000)
  })
})
