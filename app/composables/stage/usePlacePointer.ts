/** Presses that mean a place of the stage, whatever lies there: that of a lens, a line, a corner of an outline. */
import { entity, showRecordOf } from '#core/show/show'
import { pointOn, targetsOf } from '#core/show/targets'
import { floorAt } from '#core/venue/levels'
import { useStage } from '../../stores/stage'
import { useShow } from '../../stores/show'
import { lineDrag, nearestTarget } from './planDrags'
import { useOutlinePointer } from './useOutlinePointer'
import type { PlanDrag } from './usePlanDrag'
import type { PlanView } from './usePlanView'

export function usePlacePointer(plan: PlanView, dragging: PlanDrag) {
  const store = useShow()
  const stage = useStage()
  const outline = useOutlinePointer(plan)

  /** The place a lens is chosen for: a target pressed, else what lies there on the floor or a level. */
  function placeLens(event: PointerEvent) {
    if (event.button !== 0 || !store.view) return
    event.stopPropagation()
    const targets = targetsOf(store.view)
    const placed = targets.get(nearestTarget(plan, targets.values(), dragging.at(event)) ?? '')
    if (placed) return (stage.lensPlace = { target: placed.id, at: pointOn(placed, null) })
    const here = plan.toStage(dragging.at(event))
    const venue = entity(store.view, 'venue', showRecordOf(store.view).venue)
    stage.lensPlace = { target: null, at: { ...here, z: Math.max(here.z, floorAt(venue, here)) } }
  }

  function drawLine(event: PointerEvent) {
    dragging.begin(event, () =>
      lineDrag({
        plan,
        start: dragging.at(event),
        targets: () => (store.view ? targetsOf(store.view).values() : []),
        show: (line) => (stage.line = line),
        drop: () => (stage.tool = 'select'),
      }),
    )
  }

  const isMeant = () => stage.tool === 'lens' || stage.tool === 'line' || stage.tool === 'outline'

  function onPress(event: PointerEvent) {
    if (stage.tool === 'lens') placeLens(event)
    else if (stage.tool === 'line') drawLine(event)
    else outline.press(dragging.at(event), event)
  }

  function onMove(event: PointerEvent) {
    if (stage.tool === 'outline') outline.hover(dragging.at(event), event)
  }

  return { isMeant, onPress, onMove }
}
