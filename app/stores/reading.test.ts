/** When panels read: with the light, just after it, or every now and then. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { computed, nextTick, ref } from 'vue'
import { useReading } from './reading'

const FRAME = 16
beforeEach(() => {
  vi.useFakeTimers()
  vi.stubGlobal('requestAnimationFrame', (work: FrameRequestCallback) => setTimeout(() => work(0), FRAME))
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

/** Something that changes, read at a pace. */
function read(pace: { isMoving: boolean; isLong: boolean }) {
  const source = ref(0)
  const reading = useReading(
    computed(() => source.value),
    () => pace,
  )
  const change = async (to: number) => {
    source.value = to
    await nextTick()
  }
  return { reading, change }
}

describe('what is read', () => {
  it('is there with the change while it is short', async () => {
    const { reading, change } = read({ isMoving: false, isLong: false })
    await change(1)
    expect(reading.value).toBe(1)
  })

  it('waits for the frame with the light to be painted where it is long, and is the newest then', async () => {
    const { reading, change } = read({ isMoving: false, isLong: true })
    await change(1)
    await change(2)
    expect(reading.value).toBe(0)
    await vi.advanceTimersByTimeAsync(FRAME + 1)
    expect(reading.value).toBe(2)
  })

  it('is read at first and every now and then while it moves, and ends at the last', async () => {
    const { reading, change } = read({ isMoving: true, isLong: false })
    const seen = new Set<number>()
    for (let to = 1; to <= 20; to++) {
      await change(to)
      seen.add(reading.value)
      await vi.advanceTimersByTimeAsync(FRAME)
    }
    await vi.advanceTimersByTimeAsync(200)
    expect(seen.has(1)).toBe(true)
    expect(seen.size).toBeLessThan(6)
    expect(reading.value).toBe(20)
  })
})
