/** What a tape on the floor says: how far lights are from the surveyed crosses they are near. */
import type { StageFixture } from '../cues/onStage'
import { DARK } from '../cues/darkness'
import { add, scale } from '../geometry/vector'
import { asTargetId, type FixtureId, type TargetId } from '../show/ids'
import type { Show } from '../show/show'
import { pointOn, targetsOf } from '../show/targets'
import { isSurveyed } from '../survey/sightings'

/** Where the middle of a light crosses the level of a cross: metres to stage left and upstage of it. */
export interface Taped {
  readonly fixture: FixtureId
  readonly target: TargetId
  readonly x: number
  readonly y: number
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
      const along = (place.z - beam.lens.z) / beam.direction.z
      if (!(along > 0)) return []
      const at = add(beam.lens, scale(beam.direction, along))
      const off = { x: at.x - place.x, y: at.y - place.y }
      return [{ fixture: rigged.id, target: asTargetId(placed.id), ...off, metres: Math.hypot(off.x, off.y) }]
    })
    const [nearest] = near.sort((a, b) => a.metres - b.metres)
    return nearest && nearest.metres <= NEAR ? [nearest] : []
  })
}
