/** The drags of the plan: the light, a box, and proposals of moving something. */
import type { Ref } from 'vue'
import { add, subtract, vec3, type Vec3 } from '#core/geometry/vector'
import type { FixtureId, TargetId } from '#core/show/ids'
import { isInside } from '#core/venue/outline'
import { pointOn, type PlacedTarget } from '#core/show/targets'
import type { AimDrag, StageLine } from '../../stores/stage'
import type { PlanView, ScreenPoint } from './usePlanView'

/** The two ways between the stage and the screen: all that a drag needs of a plan. */
type Mapping = Pick<PlanView, 'toScreen' | 'toStage'>

export interface Drag {
  move(at: ScreenPoint): void
  drop(at: ScreenPoint): void
  cancel(): void
}

export interface SelectionBox {
  readonly from: ScreenPoint
  readonly to: ScreenPoint
}

/** Pixels within which the light snaps to a target. */
const SNAP = 13
/** Pixels a press may wander and still be a click. */
const CLICK = 4

function isClick(from: ScreenPoint, to: ScreenPoint): boolean {
  return Math.hypot(to.x - from.x, to.y - from.y) < CLICK
}

/** The target whose mark is under a point of the screen. */
export function nearestTarget(plan: Mapping, targets: Iterable<PlacedTarget>, point: ScreenPoint): TargetId | null {
  for (const placed of targets) {
    const mark = plan.toScreen(pointOn(placed, null))
    if (Math.hypot(mark.x - point.x, mark.y - point.y) <= SNAP) return placed.id
  }
  return null
}

/** A press that is a click until it wanders, and the drag from then on. */
export function clickOrDrag(start: ScreenPoint, click: () => void, drag: () => Drag): Drag {
  let begun: Drag | null = null
  return {
    move: (point) => {
      if (!begun && isClick(start, point)) return
      begun ??= drag()
      begun.move(point)
    },
    drop: (point) => (begun ? begun.drop(point) : click()),
    cancel: () => begun?.cancel(),
  }
}

interface AimDragContext {
  readonly plan: Mapping
  readonly start: ScreenPoint
  /** Where the light was taken by its handle; null for a press on the stage. */
  readonly from: AimDrag | null
  readonly targets: () => Iterable<PlacedTarget>
  readonly show: (drag: AimDrag | null) => void
  readonly drop: () => void
}

/** Drags the light: it snaps to targets, else keeps its own by an offset, else falls on the floor or, in a section, on the middle line. */
export function aimDrag({ plan, start, from, targets, show, drop }: AimDragContext): Drag {
  const began = plan.toStage(start)
  const move = (point: ScreenPoint) => {
    const target = nearestTarget(plan, targets(), point)
    const here = plan.toStage(point)
    if (target) return show({ target, offset: vec3(0, 0, 0) })
    if (!from) return show({ target: null, offset: here })
    show({ target: from.target, offset: add(from.offset, subtract(here, began)) })
  }
  if (!from) move(start)
  return { move, drop, cancel: () => show(null) }
}

interface BoxDragContext {
  readonly start: ScreenPoint
  readonly box: Ref<SelectionBox | null>
  readonly spots: () => ReadonlyMap<FixtureId, ScreenPoint>
  readonly select: (fixtures: FixtureId[]) => void
  readonly click: () => void
}

/** Draws a box; what lies in it is selected in the order the pointer was drawn. */
export function boxDrag({ start, box, spots, select, click }: BoxDragContext): Drag {
  return {
    move: (point) => (box.value = { from: start, to: point }),
    drop: (point) => {
      box.value = null
      if (isClick(start, point)) click()
      else select(fixturesIn(spots(), start, point))
    },
    cancel: () => (box.value = null),
  }
}

/** The fixtures in a box, in the order the pointer was drawn over them. */
function fixturesIn(spots: ReadonlyMap<FixtureId, ScreenPoint>, from: ScreenPoint, to: ScreenPoint): FixtureId[] {
  const isWide = Math.abs(to.x - from.x) >= Math.abs(to.y - from.y)
  const across = (p: ScreenPoint) => (p.x - from.x) * Math.sign(to.x - from.x)
  const down = (p: ScreenPoint) => (p.y - from.y) * Math.sign(to.y - from.y)
  const first = isWide ? across : down
  const second = isWide ? down : across
  const isBetween = (n: number, a: number, b: number) => n >= Math.min(a, b) && n <= Math.max(a, b)
  return [...spots]
    .filter(([, point]) => isBetween(point.x, from.x, to.x) && isBetween(point.y, from.y, to.y))
    .sort(([, a], [, b]) => first(a) - first(b) || second(a) - second(b))
    .map(([id]) => id)
}

interface LineDragContext {
  readonly plan: Mapping
  readonly start: ScreenPoint
  readonly targets: () => Iterable<PlacedTarget>
  readonly show: (line: StageLine | null) => void
  readonly drop: () => void
}

/** Draws a line on the stage; its ends catch on targets. */
export function lineDrag({ plan, start, targets, show, drop }: LineDragContext): Drag {
  const placed = [...targets()]
  const place = (point: ScreenPoint) => {
    const near = nearestTarget(plan, placed, point)
    const target = placed.find(({ id }) => id === near)
    return target ? pointOn(target, null) : plan.toStage(point)
  }
  const from = place(start)
  return { move: (point) => show({ from, to: place(point) }), drop, cancel: () => show(null) }
}

interface LassoDragContext {
  readonly start: ScreenPoint
  readonly lasso: Ref<readonly ScreenPoint[]>
  readonly spots: () => ReadonlyMap<FixtureId, ScreenPoint>
  readonly select: (fixtures: FixtureId[]) => void
  readonly click: () => void
}

/** Pixels between the points of a lasso. */
const LASSO_STEP = 4

/** Draws round fixtures; what is inside is selected in the order the line came past it. */
export function lassoDrag({ start, lasso, spots, select, click }: LassoDragContext): Drag {
  let line: ScreenPoint[] = [start]
  return {
    move: (point) => {
      const last = line.at(-1)
      if (last && Math.hypot(point.x - last.x, point.y - last.y) < LASSO_STEP) return
      line = [...line, point]
      lasso.value = line
    },
    drop: () => {
      lasso.value = []
      if (line.length < 3) click()
      else select(fixturesRound(spots(), line))
    },
    cancel: () => (lasso.value = []),
  }
}

/** The fixtures inside a line that closes itself, by the nearest place on it, from its start on. */
function fixturesRound(spots: ReadonlyMap<FixtureId, ScreenPoint>, line: readonly ScreenPoint[]): FixtureId[] {
  const passedAt = ({ x, y }: ScreenPoint) => {
    const distances = line.map((point) => Math.hypot(point.x - x, point.y - y))
    return distances.indexOf(Math.min(...distances))
  }
  return [...spots]
    .filter(([, spot]) => isInside(line, spot))
    .map(([id, spot]) => ({ id, at: passedAt(spot) }))
    .sort((a, b) => a.at - b.at)
    .map(({ id }) => id)
}

interface MoveDragContext {
  readonly plan: Mapping
  readonly start: ScreenPoint
  /** Called with how far the pointer has gone on the stage, metres. */
  readonly propose: (by: Vec3, settled: boolean) => void
  readonly putBack: () => void
}

/** Moves something on the stage, as a proposal. */
export function moveDrag({ plan, start, propose, putBack }: MoveDragContext): Drag {
  const began = plan.toStage(start)
  const by = (point: ScreenPoint) => subtract(plan.toStage(point), began)
  return {
    move: (point) => propose(by(point), false),
    drop: (point) => (isClick(start, point) ? putBack() : propose(by(point), true)),
    cancel: putBack,
  }
}
