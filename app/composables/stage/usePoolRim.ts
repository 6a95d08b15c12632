/** The rim of a pool: drawn out or in, it makes the pool of every selected fixture as wide. */
import { LEADING } from '#core/attributes/catalogue'
import { POOL_RANGE } from '#core/show/attributeRange'
import { useSelection } from '../../stores/selection'
import { useStage } from '../../stores/stage'
import { clickOrDrag } from './planDrags'
import type { PlanDrag } from './usePlanDrag'
import type { ScreenPoint } from './usePlanView'

/** The pool of one fixture: where its middle is on the screen, and how wide it is across the beam, metres. */
export interface RimGrab {
  readonly middle: ScreenPoint
  readonly diameter: number
}

/** No pool is drawn in to less than this, metres. */
const NARROWEST = 0.05

export function usePoolRim(dragging: PlanDrag) {
  const stage = useStage()
  const selection = useSelection()

  return (event: PointerEvent, { middle, diameter }: RimGrab) => {
    const fixtures = [...selection.fixtures]
    const farFrom = ({ x, y }: ScreenPoint) => Math.max(1, Math.hypot(x - middle.x, y - middle.y))
    const began = farFrom(dragging.at(event))
    function widen(point: ScreenPoint) {
      const wide = Math.round(((diameter * farFrom(point)) / began) * 100) / 100
      stage.tryOut(fixtures, 'setValue', {
        fixtures,
        attribute: LEADING.width,
        value: { kind: 'pool', diameter: Math.min(POOL_RANGE.max, Math.max(NARROWEST, wide)) },
      })
    }
    const drag = () => ({
      move: widen,
      drop: (point: ScreenPoint) => {
        widen(point)
        void stage.commitTrial()
      },
      cancel: () => stage.endTrial(),
    })
    // A press alone changes nothing.
    dragging.begin(event, () => clickOrDrag(dragging.at(event), () => undefined, drag))
  }
}
