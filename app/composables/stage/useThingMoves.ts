/**
 * Things on the stage taken by the pointer: looked at when they are pressed, moved when they are
 * dragged: targets and set pieces with the select tool too. What leans on a move is shown before it is done.
 */
import { placeId } from '#core/show/compositeIds'
import { hangDirection } from '#core/geometry/frame'
import { dot, vec3, type Vec3 } from '#core/geometry/vector'
import { snap } from '#core/rig/snap'
import type { FixtureId, HangId, SetPieceId, TargetId } from '#core/show/ids'
import { rigOf } from '#core/show/rig'
import { showRecordOf } from '#core/show/show'
import { targetsOf } from '#core/show/targets'
import { useChosen, type ChosenThing } from '../../stores/chosen'
import { useStage } from '../../stores/stage'
import type { StageChange } from '../../stores/asking'
import { useProposal } from '../../stores/proposal'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import type { CommandInput } from '#core/commands/registry'
import { clickOrDrag, moveDrag } from './planDrags'
import type { PlanDrag } from './usePlanDrag'
import type { PlanView } from './usePlanView'
import { GRID, useSnapping } from './useSnapping'

export function useThingMoves(plan: PlanView, dragging: PlanDrag) {
  const store = useShow()
  const stage = useStage()
  const chosen = useChosen()
  const selection = useSelection()
  const proposal = useProposal()
  const snapping = useSnapping(() => plan.scale.value)

  const venue = () => (store.view ? showRecordOf(store.view).venue : '')

  /** With the select tool a press is a click until it wanders. */
  function moving(event: PointerEvent, move: (by: Vec3, settled: boolean) => void, click = () => {}) {
    const start = dragging.at(event)
    const drag = () =>
      moveDrag({
        plan,
        start,
        propose: (by, settled) => {
          move(by, settled)
          if (settled) snapping.release()
        },
        putBack: () => {
          snapping.release()
          proposal.cancel()
        },
      })
    dragging.begin(event, () => (stage.tool === 'move' ? drag() : clickOrDrag(start, click, drag)))
  }

  /** Shows a move while it is dragged; on the drop it is done, or proposed where something leans on it. */
  function change<N extends StageChange>(name: N, input: CommandInput<N>, settled: boolean) {
    if (settled) void proposal.offerOrSay(name, input)
    else proposal.propose(name, input, false)
  }

  function snapped(thing: string, from: Vec3, by: Vec3): Vec3 {
    return store.view ? snapping.snapped(store.view, thing, from, by, dragging.isFree()) : from
  }

  /** In the Rig room, looks at what is pressed. */
  function press(event: PointerEvent, thing: ChosenThing) {
    event.stopPropagation()
    if (stage.room === 'rig') chosen.choose(thing)
  }
  /** In Focus a click on a thing is one on the stage behind it: it lets go of the selection. */
  function clicked() {
    if (stage.room !== 'rig') selection.clear()
  }
  /** Whether the tool in hand moves targets and set pieces. */
  const moves = () => stage.tool === 'move' || stage.tool === 'select'

  function onTarget(event: PointerEvent, target: TargetId) {
    press(event, { kind: 'target', id: target })
    if (!moves()) return
    const from = (store.view && targetsOf(store.view).get(target)?.position) ?? vec3(0, 0, 0)
    moving(
      event,
      (by, settled) => change('moveTarget', { target, position: snapped(target, from, by) }, settled),
      clicked,
    )
  }

  function onSetPiece(event: PointerEvent, setPiece: SetPieceId) {
    const place = store.view?.all.setPiecePlace.get(placeId(venue(), setPiece))
    if (!place) return
    press(event, { kind: 'setPiece', id: setPiece })
    if (!moves()) return
    const { position, yaw } = place
    moving(
      event,
      (by, settled) => change('moveSetPiece', { setPiece, position: snapped(setPiece, position, by), yaw }, settled),
      clicked,
    )
  }

  function onHang(event: PointerEvent, hang: HangId) {
    const place = store.view?.all.hangPlace.get(placeId(venue(), hang))
    if (!place) return
    press(event, { kind: 'hang', id: hang })
    if (stage.tool !== 'move') return
    moving(event, (by, settled) => change('moveHang', { hang, origin: snapped(hang, place.origin, by) }, settled))
  }

  /** Slides a fixture, and the selection with it, along its hang. */
  function onFixture(event: PointerEvent, id: FixtureId) {
    const grabbed = store.view && rigOf(store.view).get(id)
    if (!grabbed) return
    if (!selection.order.has(id)) selection.set([id])
    const line = hangDirection(grabbed.hangPlace)
    const moved = selection.fixtures.flatMap((fixture) => (store.view && rigOf(store.view).get(fixture)) ?? [])
    moving(event, (by, settled) => {
      const to = grabbed.place.along + dot(by, line)
      const along = dragging.isFree() ? Math.round(to * 100) / 100 : snap(to, [0], GRID, GRID).value
      const shift = along - grabbed.place.along
      const changes = moved.map(({ id: fixture, place }) => ({ fixture, along: place.along + shift }))
      change('changeFixtures', { changes }, settled)
    })
  }

  return { onTarget, onSetPiece, onHang, onFixture, release: snapping.release }
}
