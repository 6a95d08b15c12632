/** Keys go back to the table they came from when what covered it is gone. */
import { nextTick, watch } from 'vue'

/**
 * Remembers the table within `container` that had the focus when it was covered, and focuses it once
 * it is not covered any more, unless something else was focused meanwhile.
 */
export function useFocusBack(container: () => HTMLElement | null, isCovered: () => boolean): void {
  let table: HTMLElement | null = null

  function remember() {
    const focused = document.activeElement
    const around = focused?.closest<HTMLElement>('[role="grid"]') ?? null
    table = container()?.contains(around) ? around : null
  }

  async function giveBack() {
    await nextTick()
    if (document.activeElement === document.body) table?.focus({ preventScroll: true })
    table = null
  }

  watch(isCovered, (covered) => (covered ? remember() : giveBack()))
}
