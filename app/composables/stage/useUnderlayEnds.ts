/** Where the lines that are seen under the plan have their corners, on the stage: what is traced catches on them. */
import { computed } from 'vue'
import { pathCorners } from '#core/exchange/drawing/underlay'
import { underlayPoint, underlaysOf } from '#core/show/underlays'
import type { Show } from '#core/show/show'
import type { PlanPoint } from '#core/venue/outline'
import { useUnderlayLines } from './useUnderlayLines'

export function useUnderlayEnds(show: () => Show | null) {
  const lines = useUnderlayLines(show)
  return computed((): readonly PlanPoint[] => {
    const now = show()
    if (!now) return []
    return underlaysOf(now).flatMap(([, underlay]) => {
      if (!underlay.visible) return []
      const layers = lines.get(underlay.digest) ?? []
      return layers
        .filter(({ name }) => !underlay.hidden.includes(name))
        .flatMap(({ path }) => pathCorners(path).map(({ x, y }) => underlayPoint(underlay, x, y)))
    })
  })
}
