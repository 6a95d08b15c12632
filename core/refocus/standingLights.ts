/** The light of fixtures as they stand in one venue: worked out once for those that stand alike in several cues. */
import type { Vec3 } from '../geometry/vector'
import type { Show } from '../show/show'
import { lightOf, type LightThere, type Standing } from './lightThere'
import { LightsKnown } from './lightsKnown'

/** The lights of one show in its venue, by how fixtures stand. */
export class StandingLights {
  readonly #known = new LightsKnown<Standing>(standsAlike)

  constructor(readonly show: Show) {}

  /** As {@link lightOf} tells it. */
  of(one: Standing): LightThere {
    return this.#known.of(one.rigged, one.position.pose.pan, one, () => lightOf(this.show, one))
  }
}

function standsAlike(a: Standing, b: Standing): boolean {
  const at = a.position
  const bt = b.position
  return (
    at.pose.tilt === bt.pose.tilt &&
    isSamePlace(at.point, bt.point) &&
    at.throwMetres === bt.throwMetres &&
    at.state === bt.state &&
    at.shortDegrees === bt.shortDegrees &&
    at.missMetres === bt.missMetres &&
    a.zoom.angle === b.zoom.angle &&
    a.zoom.pool === b.zoom.pool &&
    a.zoom.fits === b.zoom.fits
  )
}

function isSamePlace(a: Vec3 | null, b: Vec3 | null): boolean {
  return a?.x === b?.x && a?.y === b?.y && a?.z === b?.z
}
