/** Beams in a section: the axis, the cone's sides to the ends of its pool, and the pool edge on. */
import type { StageFixture } from '#core/cues/onStage'
import { shownColour, type ScreenColour } from '#core/cues/shownColour'
import type { ScreenPoint, Sight } from '../composables/stage/usePlanView'
import { strokeAll, traceFlash, traceLine, traceRing, type Brush, type LightLook } from './brush'
import { ownInk, type Inks } from './inks'
import { lightFormOn, rimOf } from '#core/drawing/lightForm'

/** The light of one fixture on the screen. */
export interface SectionLightMark {
  readonly from: ScreenPoint
  readonly to: ScreenPoint | null
  /** It does not get to where it is sent. */
  readonly isShort: boolean
  /** The two ends of each of its pools, edge on. */
  readonly pools: readonly (readonly [ScreenPoint, ScreenPoint])[]
  /** The two ends of what is lit in them: of each opening of a gobo, or all of it. */
  readonly lit: readonly (readonly [ScreenPoint, ScreenPoint])[]
  readonly isStrobing: boolean
  readonly intensity: number
  readonly colour: ScreenColour
}

/** Points the rim of a pool is looked at by. */
const RIM = 32
/** Cones of more fixtures than this are each fainter, or the middle would wash out. */
const MANY = 6
const CONE = 0.1
const DASH = [5, 4]
/** Light strays so much beside the rays of a gobo. */
const STRAY = 0.3
/** Opacities of light in its own colour. */
const OWN = { cone: 0.28, faintest: 0.2, more: 0.7, beam: 0.3 }

/** `seconds` is how long what turns in it has. */
export function sectionLightMark(
  fixture: StageFixture,
  { toScreen }: Pick<Sight, 'toScreen'>,
  seconds = 0,
): SectionLightMark {
  const { position, beam, seen } = fixture
  const { shape, round, cut } = lightFormOn(fixture, position.point?.z ?? 0, seconds)
  const rims = cut?.outlines ?? (round?.kind === 'closed' ? [rimOf(round, RIM)] : [])
  const pools = rims.flatMap((rim) => endsOf(rim.map(toScreen)))
  return {
    from: toScreen(beam.lens),
    to: position.point && toScreen(position.point),
    isShort: position.state === 'out of reach' || position.state === 'outside stops',
    pools,
    lit: shape.gobos.length > 0 ? (cut?.lit.flatMap((ring) => endsOf(ring.map(toScreen))) ?? []) : pools,
    isStrobing: shape.strobe > 0,
    intensity: seen,
    colour: shownColour(fixture),
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
    for (const { lit } of marks) for (const part of lit) traceLine(brush, ...part)
  })
  strokeAll(brush, { ink, opacity, width: 1.5 }, () => {
    for (const { isStrobing, to } of marks) if (isStrobing && to) traceFlash(brush, to)
  })
}

const crowded = (marks: readonly unknown[]) => Math.min(1, Math.sqrt(MANY / Math.max(1, marks.length)))

function fillCones(brush: Brush, ink: string, marks: readonly SectionLightMark[], look: LightLook) {
  const strength = CONE * crowded(marks)
  brush.fillStyle = ink
  for (const mark of marks) fillCone(brush, mark, look === 'lit' ? strength / 2 : strength)
}

/** The cone of a light; of one with a gobo the rays through its openings, in what strays beside them. */
function fillCone(brush: Brush, { from, pools, lit }: SectionLightMark, strength: number) {
  const fill = (ends: SectionLightMark['pools'], alpha: number) => {
    brush.globalAlpha = alpha
    for (const end of ends) {
      brush.beginPath()
      traceRing(brush, [from, ...end])
      brush.fill()
    }
  }
  fill(lit, strength)
  if (lit !== pools) fill(pools, strength * STRAY)
}

/** Draws light in its own colours, stronger than what stands round a selection. */
export function drawOwnSectionLight(brush: Brush, marks: readonly SectionLightMark[], isPaper: boolean) {
  for (const mark of marks) {
    const ink = ownInk(mark.colour, isPaper)
    brush.fillStyle = ink
    fillCone(brush, mark, OWN.cone * mark.intensity * crowded(marks))
    strokeAll(brush, { ink, opacity: OWN.faintest + OWN.more * mark.intensity, width: 2.5 }, () => {
      for (const part of mark.lit) traceLine(brush, ...part)
      if (mark.isStrobing && mark.to) traceFlash(brush, mark.to)
    })
    strokeAll(brush, { ink, opacity: OWN.beam * mark.intensity }, () => {
      if (mark.to && !mark.isShort) traceLine(brush, mark.from, mark.to)
    })
  }
}
