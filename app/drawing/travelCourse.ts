/** What a fixture does at any place of a list: a step there, or what the last one before it left. */
import { bisectRight } from 'd3-array'
import type { CueId } from '#core/show/ids'
import type { CheckedStep } from '#core/travel/check'
import { DARK } from '#core/cues/darkness'

/** What is seen of a fixture in a cue. */
export interface CourseCell {
  readonly step: CheckedStep | null
  readonly isLit: boolean
}

export interface CourseInOrder {
  at(place: number): CourseCell
}

/** Of steps in the order of a list, whose cues stand at `places`. */
export function courseAt(steps: readonly CheckedStep[], places: ReadonlyMap<CueId, number>): CourseInOrder {
  const at = steps.map(({ cue }) => places.get(cue) ?? -1)
  return {
    at(place) {
      const last = bisectRight(at, place) - 1
      const step = steps[last]
      if (!step) return { step: null, isLit: (steps[0]?.levels[0] ?? 0) > DARK }
      return { step: at[last] === place ? step : null, isLit: step.levels[1] > DARK }
    },
  }
}
