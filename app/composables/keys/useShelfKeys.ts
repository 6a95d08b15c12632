/** Keys of the shelf: its neighbours, and its first nine palettes. */
import { useEventListener } from '@vueuse/core'
import { SHELVES } from '#core/attributes/families'
import type { PaletteId } from '#core/show/ids'
import { keyOf } from '../../keys/actions'
import { useShelfView } from '../../stores/shelfView'
import { isTyping } from './isTyping'
import { useActions } from './useActions'

/** `shown` are the palettes of the shelf in their order. */
export function useShelfKeys(shown: () => readonly PaletteId[]) {
  const shelves = useShelfView()
  function step(by: 1 | -1) {
    const at = SHELVES.indexOf(shelves.shelf) + by
    shelves.shelf = SHELVES[(at + SHELVES.length) % SHELVES.length] ?? shelves.shelf
  }
  useActions({ 'next shelf': () => step(1), 'previous shelf': () => step(-1) })
  useEventListener('keydown', (event) => {
    const [, digit] = /^Alt Shift ([1-9])$/.exec(keyOf(event)) ?? []
    const palette = digit === undefined ? undefined : shown()[Number(digit) - 1]
    if (!palette || isTyping(event)) return
    event.preventDefault()
    void shelves.recall(palette)
  })
}
