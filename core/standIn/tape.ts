/** What a tape says: how far lights are from the surveyed crosses they are near. */
import type { StageFixture } from '../cues/onStage'
import { DARK } from '../cues/darkness'
import { add, dot, length, scale, subtract } from '../geometry/vector'
import { asTargetId, type FixtureId, type TargetId } from '../show/ids'
import type { Show } from '../show/show'
import { pointOn, targetsOf } from '../show/targets'
import { isSurveyed, steeredTo } from '../survey/sightings'

/**
 * How far the middle of a light is from a cross, metres to stage left, upstage and up: on the floor where it
 * lies there, in the air where it passes nearest to a place that is raised.
 */
export interface Taped {
  readonly fixture: FixtureId
  readonly target: TargetId
  readonly x: number
  readonly y: number
  readonly z: number
}

/** Further off nobody would say that a light is meant for a cross, metres. */
const NEAR = 2

/** Every light that is on near a cross, at the nearest one. */
export function tapedLights(show: Show, pictures: readonly StageFixture[]): Taped[] {
  const crosses = [...targetsOf(show).values()].filter(({ id }) => isSurveyed(show, id))
  return pictures.flatMap(({ rigged, beam, intensity }) => {
    if (intensity <= DARK || rigged.bar) return []
    const near = crosses.flatMap((placed) => {
      const place = pointOn(placed, null)
      const { isOnLevel } = steeredTo(place)
      const along = isOnLevel
        ? (place.z - beam.lens.z) / beam.direction.z
        : dot(subtract(place, beam.lens), beam.direction)
      if (!(along > 0)) return []
      const off = subtract(add(beam.lens, scale(beam.direction, along)), place)
      return [{ fixture: rigged.id, target: asTargetId(placed.id), ...off, metres: length(off) }]
    })
    const [nearest] = near.sort((a, b) => a.metres - b.metres)
    return nearest && nearest.metres <= NEAR ? [nearest] : []
  })
}
