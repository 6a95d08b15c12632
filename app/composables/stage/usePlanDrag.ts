/** The one drag under way on a drawing, from the press to the drop. */
import type { Ref } from 'vue'
import type { Drag } from './planDrags'
import type { ScreenPoint } from './usePlanView'

export function usePlanDrag(sheet: Ref<HTMLElement | null>) {
  let drag: Drag | null = null
  let isFree = false

  function at(event: PointerEvent): ScreenPoint {
    const bounds = sheet.value?.getBoundingClientRect()
    return { x: event.clientX - (bounds?.left ?? 0), y: event.clientY - (bounds?.top ?? 0) }
  }

  function begin(event: PointerEvent, next: () => Drag) {
    if (event.button !== 0 || drag) return
    event.stopPropagation()
    sheet.value?.setPointerCapture(event.pointerId)
    isFree = event.altKey
    drag = next()
  }

  function onMove(event: PointerEvent) {
    isFree = event.altKey
    drag?.move(at(event))
  }

  function onUp(event: PointerEvent) {
    const ended = drag
    drag = null
    ended?.drop(at(event))
  }

  /** Ends a drag without doing anything; tells whether there was one. */
  function cancel(): boolean {
    const ended = drag
    drag = null
    ended?.cancel()
    return ended !== null
  }

  /** Alt held: what is dragged catches on nothing. */
  return { at, begin, onMove, onUp, cancel, isFree: () => isFree }
}

export type PlanDrag = ReturnType<typeof usePlanDrag>
