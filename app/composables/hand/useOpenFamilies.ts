/** Which families of the hand are open, in this browser. */
import { useLocalStorage } from '@vueuse/core'
import type { Family } from '#core/attributes/families'

export function useOpenFamilies() {
  const open = useLocalStorage<Family[]>('rhopander-open-families', ['position', 'intensity'])

  const isOpen = (family: Family) => open.value.includes(family)
  function toggle(family: Family) {
    open.value = isOpen(family) ? open.value.filter((known) => known !== family) : [...open.value, family]
  }

  return { isOpen, toggle }
}
