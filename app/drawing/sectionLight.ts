/** Beams in a section: the axis, the cone's sides to the ends of its pool, and the pool edge on. */
import type { StageFixture } from '#core/cues/onStage'
import type { Vec3 } from '#core/geometry/vector'
import { poolOnLevel, type ClosedPool } from '#core/light/pool'
import type { ScreenPoint, Sight } from '../composables/stage/usePlanView'
import { strokeAll, traceLine, traceRing, type Brush, type LightLook } from './brush'
import type { Inks } from './inks'

/** The light of one fixture on the screen. */
export interface SectionLightMark {
  readonly from: ScreenPoint
  readonly to: ScreenPoint | null
  /** It does not get to where it is sent. */
  readonly isShort: boolean
  /** The two ends of the pool, edge on. */
  readonly pool: readonly [ScreenPoint, ScreenPoint] | null
}

/** How far a pool is followed, metres. */
const REACH = 24
/** Points the rim of a pool is looked at by. */
const RIM = 32
/** Cones of more fixtures than this are each fainter, or the middle would wash out. */
const MANY = 6
const CONE = 0.1
const DASH = [5, 4]

export function sectionLightMark(
  { position, beam, zoom }: StageFixture,
  { toScreen }: Pick<Sight, 'toScreen'>,
): SectionLightMark {
  const pool = poolOnLevel(beam, zoom.angle, position.point?.z ?? 0, REACH)
  return {
    from: toScreen(beam.lens),
    to: position.point && toScreen(position.point),
    isShort: position.state === 'out of reach' || position.state === 'outside stops',
    pool: pool?.kind === 'closed' ? endsOf(rimOf(pool).map(toScreen)) : null,
  }
}

function rimOf({ centre, halfLong, halfShort, turn }: ClosedPool): Vec3[] {
  const angle = (turn * Math.PI) / 180
  return Array.from({ length: RIM }, (_, i) => {
    const t = (2 * Math.PI * i) / RIM
    const [u, v] = [halfLong * Math.cos(t), halfShort * Math.sin(t)]
    return {
      x: centre.x + u * Math.cos(angle) - v * Math.sin(angle),
      y: centre.y + u * Math.sin(angle) + v * Math.cos(angle),
      z: centre.z,
    }
  })
}

function endsOf(rim: readonly ScreenPoint[]): [ScreenPoint, ScreenPoint] | null {
  const [first] = rim
  if (!first) return null
  return [
    rim.reduce((left, point) => (point.x < left.x ? point : left), first),
    rim.reduce((right, point) => (point.x > right.x ? point : right), first),
  ]
}

export function drawSectionLight(brush: Brush, inks: Inks, marks: readonly SectionLightMark[], look: LightLook) {
  const isGhost = look === 'ghost'
  const ink = isGhost ? inks.shoal : inks.brass
  if (!isGhost) fillCones(brush, ink, marks, look)
  const opacity = look === 'lit' ? 0.25 : 0.75
  strokeAll(brush, { ink, opacity, dash: isGhost && marks.length <= MANY ? DASH : [] }, () => {
    for (const { from, to, isShort } of marks) if (to && !isShort) traceLine(brush, from, to)
  })
  strokeAll(brush, { ink: inks.coral, opacity, dash: DASH }, () => {
    for (const { from, to, isShort } of marks) if (to && isShort) traceLine(brush, from, to)
  })
  strokeAll(brush, { ink, opacity: look === 'lit' ? 0.35 : 0.9, width: 2.5 }, () => {
    for (const { pool } of marks) if (pool) traceLine(brush, ...pool)
  })
}

function fillCones(brush: Brush, ink: string, marks: readonly SectionLightMark[], look: LightLook) {
  const strength = CONE * Math.min(1, Math.sqrt(MANY / Math.max(1, marks.length)))
  brush.fillStyle = ink
  brush.globalAlpha = look === 'lit' ? strength / 2 : strength
  for (const { from, pool } of marks) {
    if (!pool) continue
    brush.beginPath()
    traceRing(brush, [from, ...pool])
    brush.fill()
  }
}
