/** Time that runs only when a test says so, with a browser's frames in it. */
import { afterEach, beforeEach, vi } from 'vitest'

/** Milliseconds. */
const FRAME = 16

/** For all tests of a file. */
export function useFakeFrames() {
  beforeEach(() => {
    vi.useFakeTimers()
    vi.stubGlobal('requestAnimationFrame', (work: FrameRequestCallback) => setTimeout(() => work(0), FRAME))
  })
  afterEach(() => {
    vi.useRealTimers()
    vi.unstubAllGlobals()
  })
}

/** Lets a frame be painted, and what waited for it be done. */
export const paintFrame = () => vi.advanceTimersByTimeAsync(FRAME + 1)
