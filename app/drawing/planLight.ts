/**
 * Beams and pools in plan. Pools are the true conics of the beams: on the level of what is aimed
 * at, or on the floor. A light with no level to land on has a beam and no pool.
 */
import type { StageFixture } from '#core/cues/onStage'
import { shownColour } from '#core/cues/shownColour'
import { add, scale, type Vec3 } from '#core/geometry/vector'
import { poolOnLevel, type ClosedPool } from '#core/light/pool'
import type { ScreenPoint, Sight } from '../composables/stage/usePlanView'
import { outermost } from './outermost'
import { strokeAll, traceEllipse, traceLine, traceRing, type Brush, type Ellipse, type LightLook } from './brush'
import type { Inks } from './inks'

/** The light of one fixture on the screen. */
export interface PlanLightMark {
  readonly from: ScreenPoint
  readonly to: ScreenPoint | null
  /** It does not get to where it is sent. */
  readonly isShort: boolean
  readonly pool: Ellipse | null
  readonly open: readonly ScreenPoint[] | null
  readonly intensity: number
  /** Of a lit pool, as CSS. */
  readonly tint: string
}

/** How far a pool is followed, metres. */
const REACH = 24
/** How long a beam is drawn that lands nowhere, metres. */
const NOWHERE = 8
/** Opacities of one pool. Many overlap, so each is faint. */
const STRENGTH = { faintest: 0.03, more: 0.09, chosen: 0.12 }
/** With more pools than `some` each is fainter still, or the middle would wash out; with more than `crowd` they are filled as one. */
const MANY = { some: 6, crowd: 40 }
const OPACITY: Readonly<Record<LightLook, { beam: number; rim: number; open: number }>> = {
  lit: { beam: 0.18, rim: 0.3, open: 0.2 },
  chosen: { beam: 0.75, rim: 0.85, open: 0.6 },
  ghost: { beam: 0.5, rim: 0.85, open: 0.6 },
}
const GHOST_DASH = [4, 3]
const SHORT_DASH = [5, 4]
const OPEN_DASH = [2, 5]

/** Where the light of a fixture falls on the screen. `spot` is where the plan draws the fixture. */
export function planLightMark(
  fixture: StageFixture,
  spot: Vec3 | undefined,
  { toScreen, scale: metre }: Sight,
  atFloor: boolean,
): PlanLightMark {
  const { position, beam, zoom, seen } = fixture
  const { red, green, blue } = shownColour(fixture)
  const pool = poolOnLevel(beam, zoom.angle, atFloor ? 0 : (position.point?.z ?? 0), REACH)
  const isOut = position.state === 'out of reach'
  const end = isOut ? add(beam.lens, scale(beam.direction, position.throwMetres ?? NOWHERE)) : position.point
  return {
    from: toScreen(spot ?? beam.lens),
    to: end && toScreen(end),
    isShort: isOut || position.state === 'outside stops',
    pool: pool?.kind === 'closed' ? ellipseOf(pool, toScreen(pool.centre), metre) : null,
    open: pool?.kind === 'open' ? pool.outline.map(toScreen) : null,
    intensity: seen,
    tint: `rgb(${[red, green, blue].map((c) => Math.round(110 + 145 * c)).join(' ')})`,
  }
}

function ellipseOf({ halfLong, halfShort, turn }: ClosedPool, at: ScreenPoint, metre: number): Ellipse {
  return { ...at, long: halfLong * metre, short: halfShort * metre, turn: (-turn * Math.PI) / 180 }
}

/** Draws the light of fixtures; pools that never close are cut off at the venue's outline. */
export function drawPlanLight(
  brush: Brush,
  inks: Inks,
  marks: readonly PlanLightMark[],
  look: LightLook,
  venue: readonly ScreenPoint[],
) {
  if (look !== 'ghost' || marks.length <= MANY.some) fillPools(brush, inks, marks, look)
  const ink = look === 'ghost' ? inks.shoal : inks.brass
  // Hundreds of dashed lines take longer than a frame, and nobody could follow them.
  const dash = look === 'ghost' && marks.length <= MANY.crowd ? GHOST_DASH : []
  strokeAll(brush, { ink, opacity: OPACITY[look].rim, dash }, () => {
    for (const { pool } of marks) if (pool) traceEllipse(brush, pool)
  })
  drawOpenPools(brush, ink, marks, look, venue)
  strokeAll(brush, { ink, opacity: OPACITY[look].beam, dash }, () => {
    for (const { from, to, isShort } of marks) if (to && !isShort) traceLine(brush, from, to)
  })
  drawShort(brush, inks, marks, look)
}

function fillPools(brush: Brush, inks: Inks, marks: readonly PlanLightMark[], look: LightLook) {
  brush.fillStyle = inks.brass
  if (look === 'chosen' && marks.length > MANY.crowd) return fillAsOne(brush, marks)
  for (const { pool, intensity, tint } of marks) {
    if (!pool) continue
    if (look !== 'chosen') brush.fillStyle = tint
    const isOneOf = Math.min(1, Math.sqrt(MANY.some / marks.length))
    brush.globalAlpha = look === 'lit' ? STRENGTH.faintest + STRENGTH.more * intensity : STRENGTH.chosen * isOneOf
    brush.beginPath()
    traceEllipse(brush, pool)
    brush.fill()
  }
}

function fillAsOne(brush: Brush, marks: readonly PlanLightMark[]) {
  brush.globalAlpha = STRENGTH.chosen
  brush.beginPath()
  for (const pool of outermost(marks.flatMap(({ pool }) => pool ?? []))) traceEllipse(brush, pool)
  brush.fill()
}

function drawOpenPools(
  brush: Brush,
  ink: string,
  marks: readonly PlanLightMark[],
  look: LightLook,
  venue: readonly ScreenPoint[],
) {
  const outlines = marks.flatMap(({ open }) => (open ? [open] : []))
  if (outlines.length === 0) return
  brush.save()
  brush.beginPath()
  traceRing(brush, venue)
  brush.clip()
  strokeAll(brush, { ink, opacity: OPACITY[look].open, dash: OPEN_DASH }, () => {
    for (const outline of outlines) traceRing(brush, outline)
  })
  brush.restore()
}

/** Beams that do not get there, crossed where they end. */
function drawShort(brush: Brush, inks: Inks, marks: readonly PlanLightMark[], look: LightLook) {
  const short = marks.flatMap(({ isShort, from, to }) => (isShort && to ? [{ from, to }] : []))
  strokeAll(brush, { ink: inks.coral, opacity: OPACITY[look].beam, dash: SHORT_DASH }, () => {
    for (const { from, to } of short) traceLine(brush, from, to)
  })
  strokeAll(brush, { ink: inks.coral, opacity: 1, width: 2 }, () => {
    for (const { to } of short) {
      traceLine(brush, { x: to.x - 4, y: to.y - 4 }, { x: to.x + 4, y: to.y + 4 })
      traceLine(brush, { x: to.x + 4, y: to.y - 4 }, { x: to.x - 4, y: to.y + 4 })
    }
  })
}
