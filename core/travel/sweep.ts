/** Lit beams in keep-clear zones: during the moves of a cue, and where they come to stand. */
import type { Beam } from '../kinematics/forward'
import { interpolate } from '../attributes/between'
import { lineBetween, positionOnWay, zoomOnWay } from '../cues/fade'
import type { StageFixture } from '../cues/onStage'
import type { Timing } from '../cues/times'
import { add, cross, distance, dot, normalise, scale, subtract, vec3, type Vec3 } from '../geometry/vector'
import { moveTime } from '../kinematics/motorTime'
import { firstHit } from '../venue/obstruct'
import type { Surfaces } from '../venue/surfaces'
import { DARK } from '../cues/darkness'
import { progressAt, type Step } from './course'
import { comesDownBeside, entersAt, nearnessTo, staysOutside, type Nearness, type Ray, type Zone } from './zones'

/** A lit beam in a zone, in one go; seconds from the start of the cue. */
export interface Sweep {
  readonly zone: string
  readonly fromSeconds: number
  /** Null where it stays there. */
  readonly untilSeconds: number | null
  /** The brightest it is there, 0 to 1. */
  readonly level: number
}

const RAD = Math.PI / 180
/** A beam that dips into a zone for less than this is not seen to, radians. */
const FINEST = 0.1 * RAD
/** How finely it is looked where set pieces may keep a beam out of a zone, radians. */
const FINE_BEHIND_SET = 1 * RAD
/** The shortest time between two looks, seconds. */
const SHORTEST = 0.001
/** How closely it is told when a beam enters and leaves, seconds. */
const CLOSELY = 0.005

/** A beam at an instant of a step. */
interface BeamThen extends Ray {
  /** Half of what it opens, radians. */
  readonly half: number
  readonly level: number
}

/** What a step does as it is followed. */
interface Way {
  readonly step: Step
  readonly surfaces: Surfaces
  /** The move of the head, in what is asked for or in what its motors need. */
  readonly place: Timing
  readonly end: number
}

/**
 * Every time a lit beam of a step is in a zone, in order. A beam counts as the cone of its zoom from
 * its head on, also behind where it is aimed, but not behind set pieces. It is followed by how near
 * it is and how fast it can turn, so that it cannot jump over a zone; what dips in by less than a
 * tenth of a degree may be left out. Of the first cue of a list, to which all comes from anywhere,
 * only where it comes to stand counts; and where light that stands in a zone goes on standing there,
 * it was the cue before that brought it.
 */
export function sweepsOf(step: Step, zones: readonly Zone[], surfaces: Surfaces): Sweep[] {
  if (Math.max(step.from.intensity, step.to.intensity) <= DARK) return []
  const way = wayOf(step, surfaces)
  const first = step.at === 0 ? way.end : 0
  return zones.flatMap((zone) => {
    const found = passes(way, zone, first)
    return staysOnly(step, found) ? [] : found
  })
}

/** Whether all that is found is light that was there before and does not move. */
function staysOnly({ from, to, at }: Step, found: readonly Sweep[]): boolean {
  const isStill = moveTime(to.rigged.mount.head, from.position.pose, to.position.pose) === 0
  const isAsWide = from.zoom.angle === to.zoom.angle
  return at > 0 && isStill && isAsWide && from.intensity > DARK && found.every(({ fromSeconds }) => fromSeconds === 0)
}

function wayOf(step: Step, surfaces: Surfaces): Way {
  const { from, to, width, light } = step
  const seconds = Math.max(step.place.seconds, moveTime(to.rigged.mount.head, from.position.pose, to.position.pose))
  const place = { ...step.place, seconds }
  return { step, surfaces, place, end: Math.max(...[place, width, light].map(endOf)) }
}

const endOf = ({ delay, seconds }: Timing) => delay + seconds

/** A stretch of a step in which everything runs evenly, and how fast the edge of the beam may turn in it at most, seen from its head, radians a second. */
interface Stretch {
  readonly from: number
  readonly to: number
  readonly fastest: number
}

/** The stretches of a step from an instant on; the last has no length. */
function stretchesOf({ step, place, end }: Way, first: number): Stretch[] {
  const { width } = step
  const instants = [first, place.delay, endOf(place), width.delay, endOf(width), lightsAt(step), end]
  const all = [...new Set(instants)].filter((instant) => instant >= first && instant <= end).sort((a, b) => a - b)
  const runs = ({ delay, seconds }: Timing, from: number) => seconds > 0 && from >= delay && from < delay + seconds
  return all.map((from, i) => {
    const turning = runs(place, from) ? turningOf(step) / place.seconds : 0
    const opening = runs(width, from) ? wideningOf(step) / width.seconds : 0
    return { from, to: all[i + 1] ?? from, fastest: (turning + opening) * BESIDE }
  })
}

/** Just after light has come up so far that it counts, or gone; NaN where neither happens. */
function lightsAt({ light, from, to }: Step): number {
  const part = (DARK - from.intensity) / (to.intensity - from.intensity)
  return part >= 0 && part <= 1 ? light.delay + light.seconds * part + CLOSELY / 10 : NaN
}

/** A lens sits beside where the axes of its head cross: what is near turns by a little more seen from there. */
const BESIDE = 1.25

/** How far the edge of a beam turns by the move of its head at most, radians: the beam turns, and a pool that is kept opens and closes it. */
function turningOf({ from, to, travel }: Step): number {
  const [a, b] = [from.position, to.position]
  const byAngle = (Math.abs(b.pose.pan - a.pose.pan) + Math.abs(b.pose.tilt - a.pose.tilt)) * RAD
  const line = travel === 'straight' ? lineBetween(from, to) : null
  const nearest = line
    ? Math.max(0.1, nearestOnLine(line, to.rigged.mount.pivot))
    : Math.max(0.1, Math.min(a.throwMetres ?? Infinity, b.throwMetres ?? Infinity))
  const far = line ? distance(...line) : Math.abs((b.throwMetres ?? 0) - (a.throwMetres ?? 0))
  const turning = line ? Math.max(byAngle, far / nearest) : byAngle
  return isPoolKept(from, to) ? turning + (poolRadius(from, to) * far) / nearest ** 2 : turning
}

/** How far half a beam opens or closes by its zoom at most, radians. */
function wideningOf({ from, to }: Step): number {
  if (!isPoolKept(from, to)) return (Math.abs(to.zoom.angle - from.zoom.angle) / 2) * RAD
  const nearest = Math.max(0.1, Math.min(from.position.throwMetres ?? Infinity, to.position.throwMetres ?? Infinity))
  return Math.abs((to.zoom.pool ?? 0) - (from.zoom.pool ?? 0)) / nearest
}

const isPoolKept = (from: StageFixture, to: StageFixture) =>
  from.zoomValue?.kind === 'pool' && to.zoomValue?.kind === 'pool'
const poolRadius = (from: StageFixture, to: StageFixture) => Math.max(from.zoom.pool ?? 0, to.zoom.pool ?? 0) / 2

function nearestOnLine([a, b]: readonly [Vec3, Vec3], place: Vec3): number {
  const along = subtract(b, a)
  const size = dot(along, along)
  const part = size === 0 ? 0 : Math.min(1, Math.max(0, dot(subtract(place, a), along) / size))
  return distance(place, add(a, scale(along, part)))
}

function beamThen({ step, surfaces, place }: Way, instant: number): BeamThen {
  const { from, to, travel, width, light } = step
  const t = progressAt(place, instant)
  const { beam, solved } = positionOnWay(from, to, t, surfaces, travel)
  const zoom = zoomOnWay(from, to, progressAt(width, instant), solved)
  const level = interpolate(from.intensity, to.intensity, progressAt(light, instant))
  return { from: beam.lens, direction: beam.direction, half: (zoom.angle / 2) * RAD, level }
}

/** How deep in a zone, or how far off it, a beam is: radians, below 0 inside; `isSeen` where it is lit and gets there. */
interface Found {
  readonly off: number
  readonly isSeen: boolean
  readonly level: number
}

/** Whether a beam that stands still meets a zone, past the set; `angle` is its full angle, degrees. */
export function meetsZone(surfaces: Surfaces, zone: Zone, { lens, direction }: Beam, angle: number): boolean {
  const beam = { from: lens, direction, half: (angle / 2) * RAD, level: 1 }
  if (staysOutside(zone, beam, beam.half) || comesDownBeside(zone, beam, beam.half)) return false
  if (nearnessTo(zone.box, beam).angle > beam.half) return false
  const near = nearnessTo(zone, beam)
  return near.angle <= beam.half && gets(surfaces, zone, beam, near)
}

function look(way: Way, zone: Zone, instant: number): Found {
  const beam = beamThen(way, instant)
  const near = nearnessTo(zone, beam)
  const off = near.angle - beam.half
  const isSeen = off <= 0 && beam.level > DARK && gets(way.surfaces, zone, beam, near)
  return { off, isSeen, level: beam.level }
}

function passes(way: Way, zone: Zone, first: number): Sweep[] {
  const looks = [...looksAt(way, zone, first)]
  return looks.flatMap(({ instant, isSeen }, i) => {
    const before = looks[i - 1]
    if (!isSeen || before?.isSeen) return []
    const rest = looks.slice(i)
    const gone = rest.findIndex((look) => !look.isSeen)
    const within = gone < 0 ? rest : rest.slice(0, gone)
    const [last, after] = [within.at(-1), rest[gone]]
    const untilSeconds = last && after ? edgeBetween(way, zone, last.instant, after.instant) : null
    const fromSeconds = before ? edgeBetween(way, zone, before.instant, instant) : instant
    return [{ zone: zone.name, fromSeconds, untilSeconds, level: Math.max(...within.map(({ level }) => level)) }]
  })
}

/** A beam looked at often enough that it jumps over nothing. */
function* looksAt(way: Way, zone: Zone, first: number): Generator<Found & { readonly instant: number }> {
  const hasSet = way.surfaces.prisms.length > 0
  for (const { from, to, fastest } of stretchesOf(way, first)) {
    let instant = from
    do {
      const found = look(way, zone, instant)
      yield { instant, ...found }
      const turn = found.off <= 0 && hasSet ? Math.min(-found.off, FINE_BEHIND_SET) : Math.abs(found.off)
      instant += Math.max(SHORTEST, Math.max(FINEST, turn) / fastest)
    } while (instant < to)
  }
}

/** When between two instants a beam enters or leaves, to five thousandths of a second. */
function edgeBetween(way: Way, zone: Zone, from: number, to: number): number {
  const begins = look(way, zone, from).isSeen
  let [a, b] = [from, to]
  while (b - a > CLOSELY) {
    const middle = (a + b) / 2
    if (look(way, zone, middle).isSeen === begins) a = middle
    else b = middle
  }
  return (a + b) / 2
}

/** Rays of a cone besides its middle: how far out, and how many there. */
const RINGS = [
  { out: 0.5, rays: 6 },
  { out: 0.98, rays: 12 },
] as const

/** Whether any of a beam that meets a zone gets there past the set. */
function gets({ prisms }: Surfaces, zone: Zone, beam: BeamThen, near: Nearness): boolean {
  if (prisms.length === 0) return true
  const isFree = (direction: Vec3) => {
    const along = entersAt(zone, { from: beam.from, direction })
    return along !== null && firstHit(prisms, beam.from, direction, along) === null
  }
  // What is nearest lies on an edge: a little further in a ray does meet the zone.
  const inwards = normalise(add(near.towards, scale(normalise(subtract(zone.middle, beam.from)), 1e-3)))
  if (isFree(beam.direction) || isFree(inwards)) return true
  const side = normalise(cross(beam.direction, Math.abs(beam.direction.z) < 0.9 ? vec3(0, 0, 1) : vec3(1, 0, 0)))
  const up = cross(side, beam.direction)
  return RINGS.some(({ out, rays }) =>
    Array.from({ length: rays }, (_, i) => {
      const [turn, off] = [(i / rays) * 2 * Math.PI, Math.tan(beam.half * out)]
      const aside = add(scale(side, Math.cos(turn) * off), scale(up, Math.sin(turn) * off))
      return normalise(add(beam.direction, aside))
    }).some(isFree),
  )
}
