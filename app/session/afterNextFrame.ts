/** Does something once the next frame is painted: what is seen first need not wait for it. */
export function afterNextFrame(work: () => void): void {
  requestAnimationFrame(() => setTimeout(work))
}
