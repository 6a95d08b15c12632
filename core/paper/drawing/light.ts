/** Light on paper: a line from each head to its place, and its pool there as it is cut. */
import type { StageFixture } from '../../cues/onStage'
import { lightFormOn, rimOf } from '../../drawing/lightForm'
import { add, scale, type Vec3 } from '../../geometry/vector'
import { INKS, type Pen } from './pen'

/** How long a beam is drawn that lands nowhere, metres. */
const NOWHERE = 6
const RIM = 40
const DASH = [1.2, 0.9]
/** Of more pools only the rims are drawn: nobody could tell them apart. */
const MANY = 16

/** The rims of a light's pools on the level of its place; of a pool that never closes as far as it is drawn. */
function rimsOf(fixture: StageFixture): readonly (readonly Vec3[])[] {
  const { position } = fixture
  if (position.point === null) return []
  const { round, cut } = lightFormOn(fixture, position.point.z)
  if (cut) return cut.outlines
  if (round === null) return []
  return [round.kind === 'closed' ? rimOf(round, RIM) : round.outline]
}

/** Where a beam ends on a drawing. */
function endOf({ position, beam }: StageFixture): Vec3 {
  if (position.point && position.state !== 'out of reach') return position.point
  return add(beam.lens, scale(beam.direction, position.throwMetres ?? NOWHERE))
}

/** Pools seen from above. */
export function drawPools(pen: Pen, light: readonly StageFixture[]): void {
  const filled = light.length > MANY ? {} : { fill: INKS.lit, opacity: 0.5 / Math.max(1, light.length) }
  for (const fixture of light)
    for (const rim of rimsOf(fixture)) pen.ring(rim, { ...filled, stroke: INKS.light, width: 0.18 })
}

/** Pools seen edge on: lines between their ends. */
export function drawPoolsEdgeOn(pen: Pen, light: readonly StageFixture[]): void {
  const across = (point: Vec3) => pen.view.projection.project(point).across
  for (const fixture of light)
    for (const rim of rimsOf(fixture)) {
      const ends = [...rim].sort((a, b) => across(a) - across(b))
      const [left, right] = [ends[0], ends.at(-1)]
      if (left && right) pen.line([left, right], { stroke: INKS.light, width: 0.5 })
    }
}

/** A line for each beam, dashed where it does not get to its place; `from` tells where the drawing has a fixture. */
export function drawBeams(pen: Pen, light: readonly StageFixture[], from: (fixture: StageFixture) => Vec3): void {
  for (const fixture of light) {
    const { state } = fixture.position
    const isShort = state === 'out of reach' || state === 'outside stops'
    pen.line([from(fixture), endOf(fixture)], {
      stroke: isShort ? INKS.mark : INKS.light,
      width: 0.15,
      ...(isShort ? { dash: DASH } : {}),
    })
  }
}
