/**
 * What the pointer does on a drawing of the stage. With the select tool it picks and draws boxes
 * and can take the light by its handle, its pool by the rim, and targets and set pieces; with the aim tool it sends the selection's light anywhere;
 * with the move tool it takes things; with the lens tool it says where light is wanted.
 */
import { ref, shallowRef, type ComputedRef, type Ref } from 'vue'
import type { Vec3 } from '#core/geometry/vector'
import type { FixtureId, HangId, SetPieceId, TargetId } from '#core/show/ids'
import { targetsOf } from '#core/show/targets'
import { useChosen } from '../../stores/chosen'
import { useStage, type AimDrag } from '../../stores/stage'
import { useProposal } from '../../stores/proposal'
import { useSelection } from '../../stores/selection'
import { aimDrag, boxDrag, lassoDrag, moveDrag, type SelectionBox } from './planDrags'
import { usePlacePointer } from './usePlacePointer'
import { usePlanDrag } from './usePlanDrag'
import { usePoolRim } from './usePoolRim'
import type { PlanView, ScreenPoint } from './usePlanView'
import { useThingMoves } from './useThingMoves'

export function usePlanPointer(
  sheet: Ref<HTMLElement | null>,
  plan: PlanView,
  spots: ComputedRef<ReadonlyMap<FixtureId, Vec3>>,
) {
  const stage = useStage()
  const chosen = useChosen()
  const selection = useSelection()
  const proposal = useProposal()
  const dragging = usePlanDrag(sheet)
  const things = useThingMoves(plan, dragging)
  const places = usePlacePointer(plan, dragging)
  const box = ref<SelectionBox | null>(null)
  const lasso = shallowRef<readonly ScreenPoint[]>([])

  const isAiming = () => stage.tool === 'aim' && selection.fixtures.length > 0

  function aiming(event: PointerEvent, from: AimDrag | null) {
    dragging.begin(event, () =>
      aimDrag({
        plan,
        start: dragging.at(event),
        from,
        targets: () => (proposal.drawn ? targetsOf(proposal.drawn).values() : []),
        show: (drag) => (stage.aimDrag = drag),
        drop: () => void stage.dropAim(),
      }),
    )
  }

  /** The handle of the light: all lights go where it goes, or each goes as far. */
  function onHandle(event: PointerEvent, from: AimDrag) {
    if (stage.dragging === 'together') return aiming(event, from)
    const fixtures = [...selection.fixtures]
    dragging.begin(event, () =>
      moveDrag({
        plan,
        start: dragging.at(event),
        propose: (by, settled) => {
          stage.tryOut(fixtures, 'nudgeAim', { fixtures, by })
          if (settled) void stage.commitTrial()
        },
        putBack: stage.endTrial,
      }),
    )
  }

  /** Shift adds, Ctrl takes out. */
  function selectFound(event: PointerEvent, found: FixtureId[]) {
    if (event.shiftKey || selection.isAdding) selection.add(found)
    else if (event.ctrlKey || event.metaKey) selection.set(selection.whole.filter((id) => !found.includes(id)))
    else selection.set(found)
  }

  function onBackground(event: PointerEvent) {
    if (isAiming()) return aiming(event, null)
    if (places.isMeant()) return places.onPress(event)
    const start = dragging.at(event)
    const context = {
      start,
      spots: () => new Map([...spots.value].map(([id, spot]) => [id, plan.toScreen(spot)])),
      select: (found: FixtureId[]) => selectFound(event, found),
      click: () => {
        if (selection.adds(event) || stage.tool === 'aim') return
        selection.clear()
        chosen.clear()
      },
    }
    dragging.begin(event, () =>
      stage.tool === 'lasso' ? lassoDrag({ ...context, lasso }) : boxDrag({ ...context, box }),
    )
  }

  /** Whether a press on a thing is for the stage behind it. */
  function passesThrough(event: PointerEvent): boolean {
    return event.button !== 0 || isAiming() || places.isMeant()
  }

  function onFixture(event: PointerEvent, ids: readonly FixtureId[]) {
    const [id] = ids
    if (id === undefined || event.button !== 0) return
    if (passesThrough(event)) return onBackground(event)
    event.stopPropagation()
    if (stage.tool === 'move') return things.onFixture(event, id)
    if (selection.adds(event)) selection.toggle(ids)
    else selection.set(ids)
  }

  function onTarget(event: PointerEvent, target: TargetId) {
    if (event.button !== 0 || places.isMeant()) return
    if (stage.room !== 'rig' && stage.tool !== 'move' && selection.fixtures.length > 0) return aiming(event, null)
    if (stage.tool !== 'lasso') things.onTarget(event, target)
  }

  function onSetPiece(event: PointerEvent, setPiece: SetPieceId) {
    // With Shift or Ctrl, or to lasso, what is drawn over it selects.
    const selects = stage.tool === 'lasso' || (stage.tool === 'select' && selection.adds(event))
    if (!passesThrough(event) && !(selects && stage.room !== 'rig')) things.onSetPiece(event, setPiece)
  }

  function onHang(event: PointerEvent, hang: HangId) {
    if (!passesThrough(event)) things.onHang(event, hang)
  }

  function onMove(event: PointerEvent) {
    places.onMove(event)
    dragging.onMove(event)
  }

  function cancel(): boolean {
    things.release()
    return dragging.cancel()
  }

  return {
    box,
    lasso,
    onBackground,
    onFixture,
    onTarget,
    onHandle,
    onRim: usePoolRim(dragging),
    onSetPiece,
    onHang,
    onMove,
    onUp: dragging.onUp,
    cancel,
  }
}
