/**
 * What the pointer does on the plan. With the select tool it picks and draws boxes and can take the
 * light by its handle; with the aim tool it sends the selection's light anywhere; with the move
 * tool it takes targets, set pieces and hangs, which are proposed before they are done.
 */
import { ref, type ComputedRef, type Ref } from 'vue'
import { add, vec3, type Vec3 } from '#core/geometry/vector'
import type { FixtureId, HangId, SetPieceId, TargetId } from '#core/show/ids'
import { placeId, showRecordOf } from '#core/show/show'
import { targetsOf } from '#core/show/targets'
import { useDesk, type AimDrag } from '../stores/desk'
import { useProposal } from '../stores/proposal'
import { useSelection } from '../stores/selection'
import { useShow } from '../stores/show'
import { aimDrag, boxDrag, moveDrag, type Box, type Drag } from './planDrags'
import type { PlanView, ScreenPoint } from './usePlanView'

export function usePlanPointer(
  svg: Ref<SVGSVGElement | null>,
  plan: PlanView,
  spots: ComputedRef<ReadonlyMap<FixtureId, Vec3>>,
) {
  const store = useShow()
  const desk = useDesk()
  const selection = useSelection()
  const proposal = useProposal()
  const box = ref<Box | null>(null)
  let drag: Drag | null = null

  function at(event: PointerEvent): ScreenPoint {
    const bounds = svg.value?.getBoundingClientRect()
    return { x: event.clientX - (bounds?.left ?? 0), y: event.clientY - (bounds?.top ?? 0) }
  }

  function begin(event: PointerEvent, next: () => Drag) {
    if (event.button !== 0 || drag) return
    event.stopPropagation()
    svg.value?.setPointerCapture(event.pointerId)
    drag = next()
  }

  const venue = () => (store.view ? showRecordOf(store.view).venue : '')
  const isAiming = () => desk.tool === 'aim' && selection.fixtures.length > 0

  function aiming(event: PointerEvent, from: AimDrag | null) {
    begin(event, () =>
      aimDrag({
        plan,
        start: at(event),
        from,
        targets: () => (store.view ? targetsOf(store.view).values() : []),
        show: (next) => (desk.aimDrag = next),
        drop: () => void desk.dropAim(),
      }),
    )
  }

  function moving(event: PointerEvent, propose: (by: Vec3, settled: boolean) => void) {
    begin(event, () => moveDrag({ plan, start: at(event), propose, putBack: proposal.putBack }))
  }

  function onBackground(event: PointerEvent) {
    if (isAiming()) return aiming(event, null)
    begin(event, () =>
      boxDrag({
        start: at(event),
        box,
        spots: () => new Map([...spots.value].map(([id, spot]) => [id, plan.toScreen(spot)])),
        select: (found) => (event.shiftKey ? selection.add(found) : selection.set(found)),
        click: () => {
          if (!event.shiftKey && desk.tool === 'select') selection.clear()
        },
      }),
    )
  }

  function onFixture(event: PointerEvent, id: FixtureId) {
    if (event.button !== 0 || desk.tool === 'move') return
    if (isAiming()) return onBackground(event)
    event.stopPropagation()
    if (event.shiftKey || event.ctrlKey || event.metaKey) selection.toggle(id)
    else selection.set([id])
  }

  function onTarget(event: PointerEvent, target: TargetId) {
    if (desk.tool !== 'move') {
      if (selection.fixtures.length > 0) aiming(event, null)
      return
    }
    const from = (store.view && targetsOf(store.view).get(target)?.position) ?? vec3(0, 0, 0)
    moving(event, (by, settled) => proposal.propose('moveTarget', { target, position: add(from, by) }, settled))
  }

  function onSetPiece(event: PointerEvent, setPiece: SetPieceId) {
    const place = store.view?.all.setPiecePlace.get(placeId(venue(), setPiece))
    if (!place) return
    const { position, yaw } = place
    moving(event, (by, settled) =>
      proposal.propose('moveSetPiece', { setPiece, position: add(position, by), yaw }, settled),
    )
  }

  function onHang(event: PointerEvent, hang: HangId) {
    const place = store.view?.all.hangPlace.get(placeId(venue(), hang))
    if (!place) return
    moving(event, (by, settled) => proposal.propose('moveHang', { hang, origin: add(place.origin, by) }, settled))
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

  return {
    box,
    onBackground,
    onFixture,
    onTarget,
    onHandle: aiming,
    onSetPiece,
    onHang,
    onMove: (event: PointerEvent) => drag?.move(at(event)),
    onUp,
    cancel,
  }
}
