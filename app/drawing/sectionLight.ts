/** Beams in a section: the axis, the cone's sides to the ends of its pool, and the pool edge on. */
import type { StageFixture } from '#core/cues/onStage'
import type { ScreenPoint, Sight } from '../composables/stage/usePlanView'
import { strokeAll, traceFlash, traceLine, traceRing, type Brush, type LightLook } from './brush'
import type { Inks } from './inks'
import { lightFormOn, rimOf } from './lightForm'

/** The light of one fixture on the screen. */
export interface SectionLightMark {
  readonly from: ScreenPoint
  readonly to: ScreenPoint | null
  /** It does not get to where it is sent. */
  readonly isShort: boolean
  /** The two ends of each of its pools, edge on. */
  readonly pools: readonly (readonly [ScreenPoint, ScreenPoint])[]
  readonly isStrobing: boolean
}

/** Points the rim of a pool is looked at by. */
const RIM = 32
/** Cones of more fixtures than this are each fainter, or the middle would wash out. */
const MANY = 6
const CONE = 0.1
const DASH = [5, 4]

export function sectionLightMark(fixture: StageFixture, { toScreen }: Pick<Sight, 'toScreen'>): SectionLightMark {
  const { position, beam } = fixture
  const { shape, round, cut } = lightFormOn(fixture, position.point?.z ?? 0)
  const rims = cut?.outlines ?? (round?.kind === 'closed' ? [rimOf(round, RIM)] : [])
  return {
    from: toScreen(beam.lens),
    to: position.point && toScreen(position.point),
    isShort: position.state === 'out of reach' || position.state === 'outside stops',
    pools: rims.flatMap((rim) => endsOf(rim.map(toScreen))),
    isStrobing: shape.strobe > 0,
  }
}

function endsOf(rim: readonly ScreenPoint[]): [ScreenPoint, ScreenPoint][] {
  const [first] = rim
  if (!first) return []
  return [
    [
      rim.reduce((left, point) => (point.x < left.x ? point : left), first),
      rim.reduce((right, point) => (point.x > right.x ? point : right), first),
    ],
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
    for (const { pools } of marks) for (const pool of pools) traceLine(brush, ...pool)
  })
  strokeAll(brush, { ink, opacity, width: 1.5 }, () => {
    for (const { isStrobing, to } of marks) if (isStrobing && to) traceFlash(brush, to)
  })
}

function fillCones(brush: Brush, ink: string, marks: readonly SectionLightMark[], look: LightLook) {
  const strength = CONE * Math.min(1, Math.sqrt(MANY / Math.max(1, marks.length)))
  brush.fillStyle = ink
  brush.globalAlpha = look === 'lit' ? strength / 2 : strength
  for (const { from, pools } of marks)
    for (const pool of pools) {
      brush.beginPath()
      traceRing(brush, [from, ...pool])
      brush.fill()
    }
}
