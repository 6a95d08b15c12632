/**
 * What the pointer does on the plan. With the select tool it picks and draws boxes and can take the
 * light by its handle; with the aim tool it sends the selection's light anywhere; with the move
 * tool it takes targets, set pieces and hangs, which are proposed before they are done.
 */
import { ref, type ComputedRef, type Ref } from 'vue'
import { add, vec3, type Vec3 } from '#core/geometry/vector'
import type { FixtureId, HangId, SetPieceId, TargetId } from '#core/show/ids'
import { placeId, showRecordOf } from '#core/show/show'
import { pointOn, targetsOf } from '#core/show/targets'
import { useDesk } from '../stores/desk'
import { useProposal } from '../stores/proposal'
import { useSelection } from '../stores/selection'
import { useShow } from '../stores/show'
import type { PlanView, ScreenPoint } from './usePlanView'

interface Drag {
  move(at: ScreenPoint): void
  drop(at: ScreenPoint): void
  cancel(): void
}

export interface Box {
  readonly from: ScreenPoint
  readonly to: ScreenPoint
}

/** Pixels within which the light snaps to a target. */
const SNAP = 13
/** Pixels a press may wander and still be a click. */
const CLICK = 4

export function usePlanPointer(
  svg: Ref<SVGSVGElement | null>,
  plan: PlanView,
  spots: ComputedRef<ReadonlyMap<FixtureId, Vec3>>,
) {
  const show = useShow()
  const desk = useDesk()
  const selection = useSelection()
  const proposal = useProposal()
  const box = ref<Box | null>(null)
  let drag: Drag | null = null

  function at(event: PointerEvent): ScreenPoint {
    const bounds = svg.value?.getBoundingClientRect()
    return { x: event.clientX - (bounds?.left ?? 0), y: event.clientY - (bounds?.top ?? 0) }
  }

  function begin(event: PointerEvent, next: Drag) {
    if (event.button !== 0 || drag) return
    event.stopPropagation()
    svg.value?.setPointerCapture(event.pointerId)
    drag = next
  }

  function onBackground(event: PointerEvent) {
    if (event.button !== 0) return
    if (desk.tool === 'aim' && selection.fixtures.length > 0) return begin(event, aiming(at(event), null))
    begin(event, boxing(at(event), event.shiftKey))
  }

  function onFixture(event: PointerEvent, id: FixtureId) {
    if (event.button !== 0 || desk.tool === 'move') return
    if (desk.tool === 'aim' && selection.fixtures.length > 0) return onBackground(event)
    event.stopPropagation()
    if (event.shiftKey || event.ctrlKey || event.metaKey) selection.toggle(id)
    else selection.set([id])
  }

  function onTarget(event: PointerEvent, id: TargetId) {
    if (desk.tool === 'move') return begin(event, movingTarget(at(event), id))
    if (selection.fixtures.length > 0) begin(event, aiming(at(event), null))
  }

  function onHandle(event: PointerEvent, from: { target: TargetId | null; offset: Vec3 }) {
    begin(event, aiming(at(event), from))
  }

  function nearestTarget(point: ScreenPoint): TargetId | null {
    if (!show.view) return null
    for (const placed of targetsOf(show.view).values()) {
      const mark = plan.toScreen(pointOn(placed, null))
      if (Math.hypot(mark.x - point.x, mark.y - point.y) <= SNAP) return placed.id
    }
    return null
  }

  /** Drags the light: snaps to targets, else keeps to the one it came from by an offset, else to the floor. */
  function aiming(start: ScreenPoint, from: { target: TargetId | null; offset: Vec3 } | null): Drag {
    const began = plan.toStage(start)
    const move = (point: ScreenPoint) => {
      const target = nearestTarget(point)
      const here = plan.toStage(point)
      if (target) desk.aimDrag = { target, offset: vec3(0, 0, 0) }
      else if (from) {
        const by = vec3(here.x - began.x, here.y - began.y, 0)
        desk.aimDrag = { target: from.target, offset: add(from.offset, by) }
      } else desk.aimDrag = { target: null, offset: vec3(here.x, here.y, 0) }
    }
    if (!from) move(start)
    return { move, drop: () => void desk.dropAim(), cancel: () => (desk.aimDrag = null) }
  }

  function boxing(start: ScreenPoint, isAdding: boolean): Drag {
    return {
      move: (point) => (box.value = { from: start, to: point }),
      drop: (point) => {
        box.value = null
        const isClick = Math.hypot(point.x - start.x, point.y - start.y) < CLICK
        if (isClick) return isAdding || desk.tool !== 'select' ? undefined : selection.clear()
        const found = fixturesIn(start, point)
        if (isAdding) selection.add(found)
        else selection.set(found)
      },
      cancel: () => (box.value = null),
    }
  }

  /** The fixtures in a box, in the order the pointer was drawn over them. */
  function fixturesIn(from: ScreenPoint, to: ScreenPoint): FixtureId[] {
    const isWide = Math.abs(to.x - from.x) >= Math.abs(to.y - from.y)
    const along = (p: ScreenPoint) => (isWide ? (p.x - from.x) * Math.sign(to.x - from.x) : (p.y - from.y) * Math.sign(to.y - from.y))
    const across = (p: ScreenPoint) => (isWide ? (p.y - from.y) * Math.sign(to.y - from.y) : (p.x - from.x) * Math.sign(to.x - from.x))
    return [...spots.value]
      .map(([id, spot]) => ({ id, point: plan.toScreen(spot) }))
      .filter(
        ({ point }) =>
          point.x >= Math.min(from.x, to.x) &&
          point.x <= Math.max(from.x, to.x) &&
          point.y >= Math.min(from.y, to.y) &&
          point.y <= Math.max(from.y, to.y),
      )
      .sort((a, b) => along(a.point) - along(b.point) || across(a.point) - across(b.point))
      .map(({ id }) => id)
  }

  /** A drag that proposes a change by how far the pointer has gone on the stage. */
  function proposing(start: ScreenPoint, propose: (by: Vec3, settled: boolean) => void): Drag {
    const began = plan.toStage(start)
    const by = (point: ScreenPoint) => {
      const here = plan.toStage(point)
      return vec3(here.x - began.x, here.y - began.y, 0)
    }
    return {
      move: (point) => propose(by(point), false),
      drop: (point) => {
        if (Math.hypot(point.x - start.x, point.y - start.y) < CLICK) proposal.putBack()
        else propose(by(point), true)
      },
      cancel: () => proposal.putBack(),
    }
  }

  function movingTarget(start: ScreenPoint, target: TargetId): Drag {
    const placed = show.view && targetsOf(show.view).get(target)
    const from = placed?.position ?? vec3(0, 0, 0)
    return proposing(start, (by, settled) =>
      proposal.propose('moveTarget', { target, position: add(from, by) }, settled),
    )
  }

  function onSetPiece(event: PointerEvent, setPiece: SetPieceId) {
    const view = show.view
    const place = view?.all.setPiecePlace.get(placeId(showRecordOf(view).venue, setPiece))
    if (!place) return
    const { position, yaw } = place
    begin(
      event,
      proposing(at(event), (by, settled) =>
        proposal.propose('moveSetPiece', { setPiece, position: add(position, by), yaw }, settled),
      ),
    )
  }

  function onHang(event: PointerEvent, hang: HangId) {
    const view = show.view
    const place = view?.all.hangPlace.get(placeId(showRecordOf(view).venue, hang))
    if (!place) return
    begin(
      event,
      proposing(at(event), (by, settled) =>
        proposal.propose('moveHang', { hang, origin: add(place.origin, by) }, settled),
      ),
    )
  }

  function onMove(event: PointerEvent) {
    drag?.move(at(event))
  }

  function onUp(event: PointerEvent) {
    const ended = drag
    drag = null
    ended?.drop(at(event))
  }

  function cancel(): boolean {
    const ended = drag
    drag = null
    ended?.cancel()
    return ended !== null
  }

  return { box, onBackground, onFixture, onTarget, onHandle, onSetPiece, onHang, onMove, onUp, cancel }
}
