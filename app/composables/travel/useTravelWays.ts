/** Where the light of what is looked at goes in a cue: its own way, the other kind beside it, and where it is in a keep-clear zone. */
import { computed } from 'vue'
import type { Vec3 } from '#core/geometry/vector'
import type { FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { progressAt } from '#core/travel/course'
import { poolPath, type PoolPath } from '#core/travel/onTheWay'
import { surfacesOf } from '#core/venue/surfaces'
import { useTravelCheck } from '../../stores/travelCheck'
import { useTravelView } from '../../stores/travelView'

export interface TravelWays {
  readonly id: FixtureId
  readonly own: PoolPath
  readonly other: PoolPath | null
  /** The parts of its own way on which its beam is in a zone. */
  readonly swept: readonly (readonly Vec3[])[]
}

export function useTravelWays(show: () => Show) {
  const view = useTravelView()
  const check = useTravelCheck()

  return computed<readonly TravelWays[]>(() =>
    view.shown.flatMap((step) => {
      const { id } = step.to.rigged
      const surfaces = surfacesOf(show())
      const own = poolPath(step, step.travel, surfaces)
      if (!own) return []
      const other = poolPath(step, step.travel === 'straight' ? 'angle' : 'straight', surfaces)
      const sweeps = (view.tried?.faults ?? check.faultsOf(step.cue)).flatMap((fault) =>
        fault.fixture === id ? fault.sweeps : [],
      )
      const swept = sweeps.map(({ fromSeconds, untilSeconds }) =>
        partOf(own, progressAt(step.place, fromSeconds), progressAt(step.place, untilSeconds ?? Infinity)),
      )
      return [{ id, own, other, swept: swept.filter((part) => part.length > 1) }]
    }),
  )
}

/** The part of a path between two parts of its time, 0 to 1. */
function partOf({ points }: PoolPath, from: number, to: number): Vec3[] {
  const last = points.length - 1
  return points.filter((_, i) => i / last >= from && i / last <= to)
}
