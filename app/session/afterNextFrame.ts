/** Does something once the next frame is painted: what is seen first need not wait for it. */
export function afterNextFrame(work: () => void): void {
  requestAnimationFrame(() => setTimeout(work))
}

/** Resolves once the next frame is painted; at once where none will be, because the page is hidden or left. */
export function framePainted(): Promise<void> {
  return new Promise((resolve) => {
    if (document.hidden) return resolve()
    const waiting = new AbortController()
    const end = () => {
      waiting.abort()
      resolve()
    }
    afterNextFrame(end)
    window.addEventListener('pagehide', end, { signal: waiting.signal })
    document.addEventListener('visibilitychange', end, { signal: waiting.signal })
  })
}
