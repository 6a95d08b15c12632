/** A fixture that a movement takes off its place: its light where that leads, all else as it is. */
import { add, subtract } from '../geometry/vector'
import { beamAt } from '../kinematics/forward'
import { poolDiameter } from '../light/zoom'
import { aimedBy, poseMoved } from '../movement/driven'
import type { Aimed, Displacement } from '../movement/lying'
import { solveZoom, type SolvedPosition } from '../palettes/solve'
import { aimPoint, type Targets } from '../show/targets'
import { landingOn } from '../venue/landing'
import type { Surfaces } from '../venue/surfaces'
import type { StageFixture } from './onStage'

/** What a movement of a fixture is about; null where its light has no place. */
export function aimedOf(targets: Targets, { rigged, position, positionValue }: StageFixture): Aimed | null {
  const { point: place, state } = position
  if (!place || state === 'no place here') return null
  return aimedBy({ mount: rigged.mount, place, target: targetOf(targets, positionValue, place) })
}

function targetOf(
  targets: Targets,
  value: StageFixture['positionValue'],
  place: NonNullable<SolvedPosition['point']>,
): Aimed['target'] {
  if (value?.kind !== 'aim' || value.target === null) return null
  const form = targets.get(value.target)?.target.form.kind
  if (form !== 'line' && form !== 'ring') return null
  return { form, offsetAt: (at) => subtract(aimPoint(targets, { ...value, at }) ?? place, place) }
}

/**
 * The picture of a fixture so far off where it stands. It keeps its side, and stands at a stop it is led to, out of
 * reach meanwhile. A pool that was asked for stays as large as asked, an angle makes what pool it makes.
 */
export function movedBy(picture: StageFixture, aimed: Aimed, moved: Displacement, surfaces: Surfaces): StageFixture {
  const { rigged, position, zoomValue, zoom } = picture
  const { point: place, pose, side } = position
  if (!place) return picture
  const held = poseMoved({ mount: rigged.mount, place, still: { ...pose, side }, target: aimed.target }, moved)
  const beam = beamAt(rigged.mount, held)
  const isLed = moved.pan === 0 && moved.tilt === 0 && held.missMetres === 0
  const landing = isLed ? { point: add(place, moved.offset), distance: held.throwMetres } : landingOn(surfaces, beam)
  const throwMetres = landing?.distance ?? null
  const solved: SolvedPosition = {
    ...position,
    pose: { pan: held.pan, tilt: held.tilt },
    point: landing?.point ?? null,
    throwMetres,
    state: held.missMetres > 0 ? 'out of reach' : position.state,
    shortDegrees: held.shortDegrees,
    missMetres: held.missMetres,
  }
  const isAsked = zoomValue?.kind === 'pool' && throwMetres !== null
  return {
    ...picture,
    position: solved,
    beam,
    zoom: isAsked
      ? solveZoom(rigged, zoomValue, throwMetres)
      : { ...zoom, pool: throwMetres === null ? null : poolDiameter(throwMetres, zoom.angle) },
  }
}
