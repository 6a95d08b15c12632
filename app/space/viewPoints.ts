/** The set views of Space. */
import type { StageFixture } from '#core/cues/onStage'
import { add, scale, vec3 } from '#core/geometry/vector'
import { fieldAngle } from '#core/light/optics'
import type { Venue } from '#core/show/entities'
import type { ViewPoint } from './spaceView'

export type SetView = 'house' | 'above' | 'stage left'

/** Far enough to see the whole stage: its depth and opening decide. */
export function viewOf(view: SetView, { opening }: Venue): ViewPoint {
  const middle = opening.depth * 0.42
  const far = Math.max(opening.width, opening.depth * 1.3)
  if (view === 'above') return { from: vec3(0, middle - 0.1, far * 1.55), to: vec3(0, middle, 0), opening: 42 }
  if (view === 'stage left')
    return { from: vec3(far * 1.25, middle - far * 0.25, 3.4), to: vec3(0, middle, 2.6), opening: 42 }
  return { from: vec3(0, -far * 0.92, 3.2), to: vec3(0, middle, 2.7), opening: 42 }
}

/** From a fixture along its light, opened a little wider than its field. */
export function viewFromFixture({ beam, rigged, zoom, position }: StageFixture): ViewPoint {
  const field = fieldAngle(rigged.type.optics, zoom.angle)
  const far = position.throwMetres ?? 8
  return {
    from: add(beam.lens, scale(beam.direction, 0.05)),
    to: add(beam.lens, scale(beam.direction, far)),
    opening: Math.max(12, Math.min(75, field * 1.25)),
  }
}
