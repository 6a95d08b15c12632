/** The light a fixture makes in one venue as it stands, and what it can not do there. */
import type { StageFixture } from '../cues/onStage'
import { normalise, subtract } from '../geometry/vector'
import { beamAt } from '../kinematics/forward'
import type { SolvedPosition } from '../palettes/solve'
import type { SetPieceId } from '../show/ids'
import type { Show } from '../show/show'
import { meetsZone } from '../travel/sweep'
import { zonesOf } from '../travel/zones'
import { lightAlong } from '../venue/lightAlong'
import { stageOf } from '../venue/stage'

/** The light a fixture makes in one venue: metres, degrees, lux at full. */
export interface LightThere {
  readonly pan: number
  readonly tilt: number
  readonly throwMetres: number | null
  /** Across the beam at the place. */
  readonly poolMetres: number | null
  readonly lux: number | null
  readonly state: SolvedPosition['state']
  readonly shortDegrees: number
  readonly missMetres: number
  /** Whether its zoom gives the size that is wanted. */
  readonly fits: boolean
  /** The first set piece in the way. */
  readonly blockedBy: SetPieceId | null
  /** Keep-clear zones its beam meets. */
  readonly zones: readonly string[]
}

/** How a fixture stands: where it is turned and how wide it is. */
export type Standing = Pick<StageFixture, 'rigged' | 'position' | 'zoom'>

/** What a fixture's light is as it stands: throw, pool, light along it, and what it meets. */
export function lightOf(show: Show, { rigged, position, zoom }: Standing): LightThere {
  const { pose, point, throwMetres, state, shortDegrees, missMetres } = position
  const beam = beamAt(rigged.mount, pose)
  const along =
    point && throwMetres
      ? lightAlong(show, {
          lens: beam.lens,
          direction: normalise(subtract(point, beam.lens)),
          place: point,
          throwMetres,
          beam: zoom.angle,
          optics: rigged.type.optics,
        })
      : null
  const { surfaces } = stageOf(show)
  return {
    pan: pose.pan,
    tilt: pose.tilt,
    throwMetres,
    poolMetres: zoom.pool,
    lux: along?.lux ?? null,
    state,
    shortDegrees,
    missMetres,
    fits: zoom.fits,
    blockedBy: along?.blockedBy ?? null,
    zones: zonesOf(show)
      .filter((zone) => meetsZone(surfaces, zone, beam, zoom.angle))
      .map(({ name }) => name),
  }
}
