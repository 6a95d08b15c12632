/** The pointer in Space: a click picks a fixture, resting on one tells its number; drags are left to orbiting. */
import { ref, type Ref } from 'vue'
import { numberOfFixture } from '#core/show/cells'
import { withCells } from '#core/show/rig'
import type { FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useSelection } from '../../stores/selection'

/** Pixels a press may wander and still be a click. */
const CLICK = 4

interface Pointed {
  readonly number: string
  readonly x: number
  readonly y: number
}

export function useSpacePointer(
  canvas: Readonly<Ref<HTMLCanvasElement | null>>,
  show: () => Show,
  fixtureAt: (across: number, up: number) => FixtureId | null,
) {
  const selection = useSelection()
  const pointed = ref<Pointed | null>(null)
  let pressed = { x: 0, y: 0 }

  function under(event: PointerEvent): FixtureId | null {
    const bounds = canvas.value?.getBoundingClientRect()
    if (!bounds) return null
    const across = ((event.clientX - bounds.left) / bounds.width) * 2 - 1
    return fixtureAt(across, 1 - ((event.clientY - bounds.top) / bounds.height) * 2)
  }

  function onDown(event: PointerEvent) {
    pressed = { x: event.clientX, y: event.clientY }
  }

  function onUp(event: PointerEvent) {
    if (event.button !== 0 || Math.hypot(event.clientX - pressed.x, event.clientY - pressed.y) > CLICK) return
    const id = under(event)
    if (id === null) {
      if (!event.shiftKey) selection.clear()
    } else if (event.shiftKey || event.ctrlKey || event.metaKey) selection.toggle(withCells(show(), id))
    else selection.set(withCells(show(), id))
  }

  function onMove(event: PointerEvent) {
    const id = event.buttons === 0 ? under(event) : null
    const number = id && numberOfFixture(show(), id)
    const bounds = canvas.value?.getBoundingClientRect()
    pointed.value = number && bounds ? { number, x: event.clientX - bounds.left, y: event.clientY - bounds.top } : null
  }

  function onLeave() {
    pointed.value = null
  }

  return { pointed, onDown, onUp, onMove, onLeave }
}
