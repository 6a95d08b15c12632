/** Places along a target or a line on the stage, laid out over fixtures in their order. */
import { dot, subtract, pointBetween, type Vec3 } from '../geometry/vector'
import type { FAN_LAYS } from '../show/entities'
import type { TargetId } from '../show/ids'
import type { RiggedFixture } from '../show/rig'
import type { PlacedTarget } from '../show/targets'
import type { AimValue } from '../show/values'
import type { FanPlace } from './fan'

export type Lay = (typeof FAN_LAYS)[number]

/** Something to spread along, with the aim at a place of it, 0 to 1, for so many places. */
export interface Spread {
  readonly name: string
  readonly from: Vec3
  readonly to: Vec3
  readonly aimAt: (t: number, count: number) => AimValue
}

const AIM = { kind: 'aim', choice: null } as const
const NO_OFFSET = { x: 0, y: 0, z: 0 }

/** Along a line drawn on the stage. */
export function spreadOverLine(from: Vec3, to: Vec3): Spread {
  const aimAt = (t: number) => ({ ...AIM, target: null, at: null, offset: pointBetween(from, to, t) })
  return { name: 'a line on the stage', from, to, aimAt }
}

/** Along a line or round a ring; null for a point, which has no length. */
export function spreadOverTarget(id: TargetId, placed: PlacedTarget): Spread | null {
  const { form, name } = placed.target
  if (form.kind === 'point') return null
  const at = (t: number): AimValue => ({ ...AIM, target: id, at: t, offset: NO_OFFSET })
  if (form.kind === 'line') return { name, from: placed.position, to: placed.end ?? placed.position, aimAt: at }
  const { x, y, z: height } = placed.position
  return {
    name,
    from: { x: x + form.radius, y, z: height },
    to: { x: x - form.radius, y, z: height },
    // A ring closes on itself: its last place is one short of its first.
    aimAt: (t, count) => at((t * (count - 1)) / count),
  }
}

/** Beams lie beside each other when the fixtures' order along the line is the order of their places. */
export function laidOut(
  places: readonly FanPlace[],
  rig: ReadonlyMap<string, RiggedFixture>,
  { from, to }: Spread,
  lay: Lay,
): FanPlace[] {
  const hung = places.filter(({ fixture }) => rig.has(fixture))
  if (lay === 'in order') return hung
  const along = subtract(to, from)
  const ahead = ({ fixture }: FanPlace) => dot(rig.get(fixture)?.mount.pivot ?? from, along)
  const sorted = [...hung].sort((a, b) => (ahead(a) - ahead(b)) * (lay === 'parallel' ? 1 : -1))
  const steps = [...hung].sort((a, b) => a.t - b.t)
  return sorted.flatMap(({ fixture }, i) => {
    const step = steps[i]
    return step ? [{ ...step, fixture }] : []
  })
}
