/** The light sources of fixtures that have several, as they are on the screen. */
import type { FixtureId } from '#core/show/ids'
import { useSelection } from '../../stores/selection'
import type { DrawnFixture } from '#core/drawing/drawnHangs'
import { usePlan } from './planKey'
import { useFixtureLook, type FixtureLook } from './useFixtureLook'
import type { ScreenPoint } from './usePlanView'

export interface SeenCell {
  readonly id: FixtureId
  readonly at: ScreenPoint
  /** Of its square, pixels. */
  readonly size: number
  readonly look: FixtureLook
  /** Its place in the order of selection. */
  readonly order: number | undefined
}

/** Always the same one: what is drawn of fixtures without stays as it is. */
const NO_CELLS: readonly SeenCell[] = []
/** Pixels from one to the next at least to be drawn each, and the size of its square at most. */
const NEAREST = 5
const LARGEST = 11

export function useSeenCells() {
  const selection = useSelection()
  const lookOf = useFixtureLook()
  const { toScreen } = usePlan()

  /** The cells of a fixture; none where they would be too small to be told apart. */
  return function seenCells({ cells }: Pick<DrawnFixture, 'cells'>): readonly SeenCell[] {
    const [first, second] = cells
    if (!first || !second) return NO_CELLS
    const [one, other] = [toScreen(first.at), toScreen(second.at)]
    const apart = Math.hypot(other.x - one.x, other.y - one.y)
    if (apart < NEAREST) return NO_CELLS
    const size = Math.min(apart * 0.8, LARGEST)
    return cells.map(({ id, at }) => ({
      id,
      at: toScreen(at),
      size,
      look: lookOf([id]),
      order: selection.order.get(id),
    }))
  }
}
