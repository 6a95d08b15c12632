/** The lights of Space as plain figures, from the picture of the stage. */
import type { StageFixture } from '#core/cues/onStage'
import { shownColour } from '#core/cues/shownColour'
import { gateAxes, type Beam, type GateAxes } from '#core/kinematics/forward'
import type { LightShape } from '#core/light/gate'
import { fallOffPower, fieldAngle, peakCandela } from '#core/light/optics'
import type { FixtureId } from '#core/show/ids'
import { lightShape } from '#core/show/lightShape'

export interface SpaceLight {
  readonly id: FixtureId
  readonly beam: Beam
  /** Full angles in degrees. */
  readonly beamAngle: number
  readonly field: number
  readonly power: number
  /** Candela in the middle, with its intensity. */
  readonly candela: number
  /** 0 to 1 each. */
  readonly colour: readonly [number, number, number]
  /** How bright its haze is drawn, 0 to 1. */
  readonly strength: number
  readonly axes: GateAxes
  readonly shape: LightShape
}

/** A chosen fixture that is dark is drawn as if at this intensity, in the colour of what is chosen. */
const TRIAL = 0.5
const BRASS = [0.88, 0.73, 0.38] as const
const DARK = 0.01

/** What gives light: the lit, and the chosen whether they are lit or not. */
export function spaceLights(fixtures: readonly StageFixture[], chosen: ReadonlySet<FixtureId>): SpaceLight[] {
  return fixtures.flatMap((fixture) => {
    const { rigged, beam, zoom, intensity, position, amounts } = fixture
    const isTrial = intensity <= DARK
    const aimed = position.state !== 'out of reach' && position.state !== 'outside stops'
    if (isTrial && !(chosen.has(rigged.id) && aimed)) return []
    const { optics } = rigged.type
    const colour = shownColour(fixture)
    const strength = isTrial ? TRIAL : intensity
    return [
      {
        id: rigged.id,
        beam,
        beamAngle: zoom.angle,
        field: fieldAngle(optics, zoom.angle),
        power: fallOffPower(optics, zoom.angle),
        candela: peakCandela(optics, zoom.angle) * strength,
        colour: isTrial ? BRASS : ([colour.red, colour.green, colour.blue] as const),
        strength,
        axes: gateAxes(rigged.mount, position.pose),
        shape: lightShape(rigged.type, amounts),
      },
    ]
  })
}
