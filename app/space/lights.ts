/** The lights of Space as plain figures, from the picture of the stage. */
import type { StageFixture } from '#core/cues/onStage'
import { shownColour } from '#core/cues/shownColour'
import { gateAxes, type Beam, type GateAxes } from '#core/kinematics/forward'
import type { LightShape } from '#core/light/gate'
import { fallOffPower, fieldAngle, isMeasured, peakCandela } from '#core/light/optics'
import type { Optics } from '#core/show/entities'
import type { FixtureId } from '#core/show/ids'
import { lightShape } from '#core/show/lightShape'

/** Light that was measured: `spread` is where it ends, in half beam angles; lights of one key look alike. */
export interface MeasuredLight {
  readonly key: string
  readonly optics: Optics
  readonly beamAngle: number
  readonly spread: number
}

export interface SpaceLight {
  readonly id: FixtureId
  readonly beam: Beam
  /** Full angles in degrees. */
  readonly beamAngle: number
  readonly field: number
  readonly power: number
  /** Null where it falls off by its power. */
  readonly measured: MeasuredLight | null
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
        measured: measuredLight(optics, zoom.angle),
        candela: peakCandela(optics, zoom.angle) * strength,
        colour: isTrial ? BRASS : ([colour.red, colour.green, colour.blue] as const),
        strength,
        axes: gateAxes(rigged.mount, position.pose),
        shape: lightShape(rigged.type, amounts),
      },
    ]
  })
}

/** Degrees of zoom by which lights are told apart. */
const ZOOM_STEP = 0.25

/** Tables that were seen, by number: a table that is changed is another. */
const numbers = new WeakMap<Optics, number>()
let seen = 0
function tableNumber(optics: Optics): number {
  const known = numbers.get(optics) ?? (seen += 1)
  numbers.set(optics, known)
  return known
}

function measuredLight(optics: Optics, angle: number): MeasuredLight | null {
  const beamAngle = Math.max(ZOOM_STEP, Math.round(angle / ZOOM_STEP) * ZOOM_STEP)
  if (!isMeasured(optics, beamAngle)) return null
  const ends = optics.map(({ measured, beam }) => (measured ? (2 * (measured.off.at(-1) ?? 0)) / beam : 0))
  const key = `${tableNumber(optics)} ${beamAngle}`
  return { key, optics, beamAngle, spread: Math.max(2.5, ...ends) }
}
