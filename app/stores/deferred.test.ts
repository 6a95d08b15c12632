/** When panels read: with the light, just after it, or every now and then. */
import { describe, expect, it, vi } from 'vitest'
import { computed, nextTick, ref } from 'vue'
import { paintFrame, useFakeFrames } from '../../tests/support/fakeFrames'
import { useDeferred, type Pace } from './deferred'

useFakeFrames()

/** Something that changes, read at a pace. */
function read(pace: Pace) {
  const source = ref(0)
  const reading = useDeferred(
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
  it('is there at once where it is something else', async () => {
    const { reading, change } = read('at once')
    await change(1)
    expect(reading.value).toBe(1)
  })

  it('waits for the frame with the light to be painted, and is the newest then', async () => {
    const { reading, change } = read('after the light')
    await change(1)
    await change(2)
    expect(reading.value).toBe(0)
    await paintFrame()
    expect(reading.value).toBe(2)
  })

  it('is read at first and every now and then while it moves, and ends at the last', async () => {
    const { reading, change } = read('now and then')
    const seen = new Set<number>()
    for (let to = 1; to <= 20; to++) {
      await change(to)
      await paintFrame()
      seen.add(reading.value)
    }
    await vi.advanceTimersByTimeAsync(200)
    expect(seen.has(1)).toBe(true)
    expect(seen.size).toBeLessThan(6)
    expect(reading.value).toBe(20)
  })
})
