/** Choosing cells of the carry sheet: by dragging a box over them, or with the arrow keys. */
import { ref } from 'vue'
import type { CueInOrder } from '#core/cues/tracking'
import { useCuesRoom } from '../../stores/cuesRoom'
import type { SheetColumn } from './useSheetColumns'

/** A row and a column of what is shown. */
export interface SheetSpot {
  readonly row: number
  readonly column: number
}

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
}

/** What of a key press matters here. */
type Key = Pick<
  KeyboardEvent,
  'key' | 'shiftKey' | 'ctrlKey' | 'metaKey' | 'altKey' | 'preventDefault' | 'stopPropagation'
>

export function useSheetChoice(
  rows: () => readonly CueInOrder[],
  columns: () => readonly SheetColumn[],
  under: (event: MouseEvent) => SheetSpot | null,
  reveal: (row: number) => void,
) {
  const room = useCuesRoom()
  /** Where choosing began, and where it has come to. */
  const anchor = ref<SheetSpot | null>(null)
  const cursor = ref<SheetSpot | null>(null)
  const isChoosing = ref(false)

  function chooseTo(end: SheetSpot) {
    const begin = anchor.value ?? end
    cursor.value = end
    const between = (a: number, b: number) => [Math.min(a, b), Math.max(a, b) + 1] as const
    room.choose({
      cues: rows()
        .slice(...between(begin.row, end.row))
        .map(({ id }) => id),
      fixtures: columns()
        .slice(...between(begin.column, end.column))
        .map(({ id }) => id),
    })
  }

  function press(event: PointerEvent) {
    const at = under(event)
    if (!at || event.button !== 0) return
    if (!event.shiftKey) anchor.value = at
    isChoosing.value = true
    chooseTo(at)
  }

  function drag(event: PointerEvent) {
    const at = isChoosing.value ? under(event) : null
    if (at && (at.row !== cursor.value?.row || at.column !== cursor.value.column)) chooseTo(at)
  }

  function end() {
    isChoosing.value = false
  }

  function step([down, across]: readonly [number, number], isExtending: boolean) {
    const here = { row: rows().findIndex(({ id }) => id === room.cue?.id), column: -1 }
    const at = (room.cells ? cursor.value : null) ?? here
    const limit = (n: number, count: number) => Math.min(count - 1, Math.max(0, n))
    const next = { row: limit(at.row + down, rows().length), column: limit(at.column + across, columns().length) }
    if (!isExtending) anchor.value = next
    chooseTo(next)
    reveal(next.row)
  }

  /** Up and down step through cues until cells are chosen. */
  function keyed(event: Key) {
    const by = ARROWS[event.key]
    if (!by || (!room.cells && by[1] === 0) || event.ctrlKey || event.metaKey || event.altKey) return
    event.preventDefault()
    event.stopPropagation()
    step(by, event.shiftKey)
  }

  return { cursor, press, drag, end, keyed }
}
