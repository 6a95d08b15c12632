import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useClock } from './clock'

beforeEach(() => {
  vi.useFakeTimers({ now: 1_000_000 })
  setActivePinia(createPinia())
})
afterEach(() => {
  vi.useRealTimers()
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

  it('is looked at when something is to go on', () => {
    const clock = useClock()
    clock.set(5_000_000, 0)
    clock.runUntil(0)
    expect(clock.now).toBe(5_000_000)
  })
})
