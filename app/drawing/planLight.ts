/**
 * Beams and pools in plan. Pools are the true conics of the beams: on the level of what is aimed
 * at, or on the floor. A light with no level to land on has a beam and no pool.
 */
import type { StageFixture } from '#core/cues/onStage'
import { shownColour, type ScreenColour } from '#core/cues/shownColour'
import { mean } from 'd3-array'
import { add, scale, type Vec3 } from '#core/geometry/vector'
import { poolOnLevel, type ClosedPool } from '#core/light/pool'
import type { ScreenPoint, Sight } from '../composables/stage/usePlanView'
import { outermost } from './outermost'
import {
  strokeAll,
  traceEllipse,
  traceFlash,
  traceLine,
  traceRing,
  type Brush,
  type Ellipse,
  type LightLook,
} from './brush'
import { cssOf, ownInk, type Inks } from './inks'
import { lightFormOn } from '#core/drawing/lightForm'

/** The light of one fixture on the screen. */
export interface PlanLightMark {
  readonly from: ScreenPoint
  readonly to: ScreenPoint | null
  /** It does not get to where it is sent. */
  readonly isShort: boolean
  readonly pool: Ellipse | null
  readonly open: readonly ScreenPoint[] | null
  /** Of light that is cut: the outlines of its pools, and what in them is lit. */
  readonly outlines: readonly Ring[]
  readonly lit: readonly Ring[]
  /** What a second gobo lets through of it; empty without one. */
  readonly through: readonly Ring[]
  /** How soft its rim is, from 0, hard, to 1. */
  readonly softness: number
  readonly isStrobing: boolean
  readonly intensity: number
  readonly colour: ScreenColour
}
type Ring = readonly ScreenPoint[]

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
/** Light in its own colour; `least` is how much of it stays where very many overlap. */
const OWN = { faintest: 0.05, more: 0.3, least: 0.5 }
/** From this on a rim is soft: it is drawn fainter. */
const SOFT = 0.15
const SOFT_RIM = 0.35
/** A soft pool in rings, from its middle out, which reach so far to both sides of its rim. */
const SOFT_RINGS = [0, 0.25, 0.5, 0.75, 1]
const SOFT_REACH = 0.4
/** Patterns are filled so much stronger, or nobody could tell them; and light strays round their openings. */
const PATTERN = 2.2
const STRAY = 0.3
const GHOST_DASH = [4, 3]
const SHORT_DASH = [5, 4]
const OPEN_DASH = [2, 5]

/** Where the light of a fixture falls on the screen. `spot` is where the plan draws the fixture; `seconds` how long what turns in it has. */
export function planLightMark(
  fixture: StageFixture,
  spot: Vec3 | undefined,
  { toScreen, scale: metre }: Sight,
  atFloor: boolean,
  seconds = 0,
): PlanLightMark {
  const { position, beam, seen } = fixture
  const { shape, round: pool, cut } = lightFormOn(fixture, atFloor ? 0 : (position.point?.z ?? 0), seconds)
  const isOut = position.state === 'out of reach'
  const end = isOut ? add(beam.lens, scale(beam.direction, position.throwMetres ?? NOWHERE)) : position.point
  return {
    from: toScreen(spot ?? beam.lens),
    to: end && toScreen(end),
    isShort: isOut || position.state === 'outside stops',
    pool: pool?.kind === 'closed' ? ellipseOf(pool, toScreen(pool.centre), metre) : null,
    open: pool?.kind === 'open' ? pool.outline.map(toScreen) : null,
    outlines: cut?.outlines.map((ring) => ring.map(toScreen)) ?? [],
    lit: cut?.lit.map((ring) => ring.map(toScreen)) ?? [],
    through: cut?.through.map((ring) => ring.map(toScreen)) ?? [],
    softness: shape.softness,
    isStrobing: shape.strobe > 0,
    intensity: seen,
    colour: shownColour(fixture),
  }
}

/** The whole pool of a fixture's zoom, whatever cuts it; null where it never closes. */
export function wholePool({ position, beam, zoom }: StageFixture, { toScreen, scale: metre }: Sight, atFloor: boolean) {
  const pool = poolOnLevel(beam, zoom.angle, atFloor ? 0 : (position.point?.z ?? 0))
  return pool?.kind === 'closed' ? ellipseOf(pool, toScreen(pool.centre), metre) : null
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
  const opacity = OPACITY[look].rim
  strokeAll(brush, { ink, opacity, dash }, () => traceRims(brush, marks, (softness) => softness < SOFT))
  strokeAll(brush, { ink, opacity: opacity * SOFT_RIM, dash }, () =>
    traceRims(brush, marks, (softness) => softness >= SOFT),
  )
  drawOpenPools(brush, ink, marks, look, venue)
  strokeAll(brush, { ink, opacity: OPACITY[look].beam, dash }, () => {
    for (const { from, to, isShort } of marks) if (to && !isShort) traceLine(brush, from, to)
  })
  drawShort(brush, inks, marks, look)
  strokeAll(brush, { ink, opacity: OPACITY[look].rim, width: 1.5 }, () => {
    for (const { isStrobing, to } of marks) if (isStrobing && to) traceFlash(brush, to)
  })
}

function traceRims(brush: Brush, marks: readonly PlanLightMark[], isMeant: (softness: number) => boolean) {
  for (const { pool, outlines, softness } of marks) {
    if (!isMeant(softness)) continue
    if (pool) traceEllipse(brush, pool)
    for (const ring of outlines) traceRing(brush, ring)
  }
}

function fillPools(brush: Brush, inks: Inks, marks: readonly PlanLightMark[], look: LightLook) {
  brush.fillStyle = inks.brass
  if (look === 'chosen' && marks.length > MANY.crowd) return fillAsOne(brush, marks)
  const isOneOf = Math.min(1, Math.sqrt(MANY.some / marks.length))
  for (const mark of marks) {
    if (look !== 'chosen') brush.fillStyle = faintInk(mark.colour)
    fillPool(
      brush,
      mark,
      look === 'lit' ? STRENGTH.faintest + STRENGTH.more * mark.intensity : STRENGTH.chosen * isOneOf,
    )
  }
}

/** A colour that can still be told where it is laid on faintly, as CSS. */
const faintInk = ({ red, green, blue }: ScreenColour) => cssOf([red, green, blue].map((part) => 110 + 145 * part))

/** Fills a pool, a soft one in rings that grow fainter outwards. */
function fillPool(brush: Brush, { pool, outlines, lit, through, softness }: PlanLightMark, strength: number) {
  const rings = softness > 0 ? SOFT_RINGS : [1]
  const isPatterned = lit.length !== outlines.length
  const inside = strength * (isPatterned ? PATTERN : 1)
  brush.save()
  if (through.length > 0) clipTo(brush, through)
  for (const ring of rings) {
    const size = 1 + SOFT_REACH * softness * (2 * ring - 1)
    brush.globalAlpha = inside / rings.length
    brush.beginPath()
    if (pool) traceEllipse(brush, { ...pool, long: pool.long * size, short: pool.short * size })
    for (const outline of lit) traceRing(brush, grown(outline, size))
    brush.fill()
  }
  brush.restore()
  // Patterns are told by what is left dark: faint light is laid over all of it, as it strays.
  if (!isPatterned) return
  brush.globalAlpha = strength * STRAY
  brush.beginPath()
  for (const outline of outlines) traceRing(brush, outline)
  brush.fill()
}

function clipTo(brush: Brush, rings: readonly Ring[]) {
  brush.beginPath()
  for (const ring of rings) traceRing(brush, ring)
  brush.clip()
}

/** A ring made larger or smaller round its middle. */
function grown(ring: Ring, size: number): Ring {
  if (size === 1) return ring
  const middle = { x: mean(ring, ({ x }) => x) ?? 0, y: mean(ring, ({ y }) => y) ?? 0 }
  return ring.map(({ x, y }) => ({ x: middle.x + (x - middle.x) * size, y: middle.y + (y - middle.y) * size }))
}

/** Draws the light of fixtures in their own colours, stronger than what stands round a selection. */
export function drawOwnLight(brush: Brush, marks: readonly PlanLightMark[], isPaper: boolean) {
  const isOneOf = Math.min(1, Math.sqrt(MANY.some / Math.max(1, marks.length)))
  for (const mark of marks) {
    const ink = ownInk(mark.colour, isPaper)
    brush.fillStyle = ink
    fillPool(brush, mark, OWN.faintest + OWN.more * mark.intensity * Math.max(OWN.least, isOneOf))
    strokeAll(brush, { ink, opacity: 0.3 + 0.5 * mark.intensity }, () => traceRims(brush, [mark], () => true))
    strokeAll(brush, { ink, opacity: 0.08 + 0.16 * mark.intensity }, () => {
      if (mark.to && !mark.isShort) traceLine(brush, mark.from, mark.to)
      if (mark.isStrobing && mark.to) traceFlash(brush, mark.to)
    })
  }
}

function fillAsOne(brush: Brush, marks: readonly PlanLightMark[]) {
  brush.globalAlpha = STRENGTH.chosen
  brush.beginPath()
  for (const pool of outermost(marks.flatMap(({ pool }) => pool ?? []))) traceEllipse(brush, pool)
  for (const { lit } of marks) for (const ring of lit) traceRing(brush, ring)
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
  clipTo(brush, [venue])
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
