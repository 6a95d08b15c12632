/** Draws an outline on the plan: a press adds a corner, one on the first corner ends it. */
import { fineMetres } from '#core/geometry/fineMetres'
import { nearestPoint, type PlanPoint } from '#core/venue/outline'
import { useOutlineDrawing } from '../../stores/outlineDrawing'
import { useShow } from '../../stores/show'
import type { PlanView, ScreenPoint } from './usePlanView'
import { GRID } from './useSnapping'
import { useUnderlayEnds } from './useUnderlayEnds'

/** Pixels within which a corner of what lies under the plan catches, or the first corner. */
const REACH = 9

export function useOutlinePointer(plan: PlanView) {
  const store = useShow()
  const drawing = useOutlineDrawing()
  const ends = useUnderlayEnds(() => store.view)

  /** On the corner of a line nearby, else on the grid; with Alt anywhere, with Shift straight on from the corner before. */
  function cornerAt(at: ScreenPoint, { altKey, shiftKey }: PointerEvent): PlanPoint {
    const { x, y } = plan.toStage(at)
    const reach = REACH / plan.scale.value
    const near = altKey ? null : nearestPoint([...drawing.corners.slice(0, 1), ...ends.value], { x, y })
    if (near && Math.hypot(near.x - x, near.y - y) <= reach) return near
    const grid = (value: number) => (altKey ? round(value, 0.001) : round(value, GRID))
    const before = drawing.corners.at(-1)
    if (!before || !shiftKey) return { x: grid(x), y: grid(y) }
    return Math.abs(x - before.x) > Math.abs(y - before.y) ? { x: grid(x), y: before.y } : { x: before.x, y: grid(y) }
  }

  function press(at: ScreenPoint, event: PointerEvent) {
    if (event.button !== 0) return
    const corner = cornerAt(at, event)
    const isThere = (other?: PlanPoint) => other?.x === corner.x && other.y === corner.y
    if (isThere(drawing.corners[0])) drawing.finish()
    else if (!isThere(drawing.corners.at(-1))) drawing.add(corner)
  }

  function hover(at: ScreenPoint, event: PointerEvent) {
    drawing.next = cornerAt(at, event)
  }

  return { press, hover }
}

const round = (value: number, step: number) => fineMetres(Math.round(value / step) * step)
