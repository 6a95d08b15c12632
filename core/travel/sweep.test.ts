/** Sweeps against a slow look at many rays of a beam at many instants, and what counts as one. */
import fc from 'fast-check'
import { beforeEach, describe, expect, it } from 'vitest'
import { rounds, Tally } from '../../tests/support/rounds'
import { Desk } from '../../tests/support/smallShow'
import { LEADING } from '../attributes/catalogue'
import { fadedTo } from '../cues/fade'
import { placeOfCue } from '../cues/tracking'
import { add, cross, normalise, scale, subtract, vec3, type Vec3 } from '../geometry/vector'
import { moveTime } from '../kinematics/motorTime'
import { rigOf } from '../show/rig'
import { showRecordOf } from '../show/show'
import { firstHit } from '../venue/obstruct'
import { isInside, type PlanPoint } from '../venue/outline'
import { surfacesOf } from '../venue/surfaces'
import { progressAt, stepAt, type Step } from './course'
import { sweepsOf } from './sweep'
import { comesDownBeside, nearnessTo, staysOutside, zonesOf, type Zone } from './zones'

const tally = new Tally('sweeps')
const MARK = vec3(0, 2, 0)
const within = (min: number, max: number) =>
  fc.integer({ min: 0, max: 1000 }).map((part) => min + ((max - min) * part) / 1000)
const FRONT = [vec3(-7, -2, 0), vec3(7, -2, 0), vec3(7, -5, 0), vec3(-7, -5, 0)].map(({ x, y }) => ({ x, y }))

let desk: Desk
function keepClear(outline: readonly PlanPoint[], height?: number): void {
  const zone = { name: 'Front rows', outline: [...outline], ...(height === undefined ? {} : { height }) }
  desk.do('changeVenue', { venue: showRecordOf(desk.show).venue, keepClear: [zone] })
}
/** 11 lit at a place, in a cue. */
function cue(number: number, at: Vec3, { intensity = 1, zoom = 10 } = {}): void {
  desk.aim('11', 'Mark', subtract(at, MARK))
  desk.level('11', 'intensity', intensity)
  desk.level('11', 'zoom', zoom)
  desk.cue(number)
}
function stepOf(number: number): Step {
  const at = placeOfCue(desk.show, desk.choose.cue(1, number))
  const rigged = rigOf(desk.show).get(desk.fixture(11))
  const step = at && rigged && stepAt(desk.show, at.list, rigged, at.at)
  if (!step) throw new Error(`no step in cue ${number}`)
  return step
}
const found = (number = 2) => sweepsOf(stepOf(number), zonesOf(desk.show), surfacesOf(desk.show))

beforeEach(() => {
  desk = new Desk()
  desk.do('setTake', { family: 'intensity', take: true })
  keepClear(FRONT)
})

describe('a lit beam in a keep-clear zone', () => {
  it('is one that swings over the heads though it begins and ends on stage, and none where it goes straight', () => {
    cue(1, vec3(-2, -0.9, 0))
    cue(2, vec3(6, -0.9, 0))
    const over = (travel: 'angle' | 'straight') => {
      desk.do('changeCues', { cues: [desk.choose.cue(1, 2)], travel, move: 6 })
      return found()
    }
    expect(over('angle')).toMatchObject([{ zone: 'Front rows', untilSeconds: expect.any(Number), level: 1 }])
    expect(over('straight')).toEqual([])
  })

  it('counts also where its pool lies beyond, but not behind the set, nor over the heads', () => {
    // Level with the zone a beam on its way to a place behind it passes through.
    keepClear(FRONT, 3.4)
    cue(1, vec3(0, 4, 0))
    cue(2, vec3(0, -8, 1))
    expect(found()).toMatchObject([{ zone: 'Front rows', untilSeconds: null }])
    keepClear(FRONT, 0.2)
    expect(found()).toMatchObject([{ untilSeconds: expect.any(Number) }])
    desk.do('addSetPiece', {
      ...{ name: 'Wall', layer: null, position: vec3(0, -1.5, 0), yaw: 0 },
      solids: [{ kind: 'box', at: { x: 0, y: 0 }, turn: 0, base: 0, width: 20, depth: 0.2, height: 7.5 }],
    })
    expect(found()).toEqual([])
  })

  it('that stands in it is told by the cue that brings it, or its light', () => {
    cue(1, vec3(0, -3, 0), { intensity: 0 })
    cue(2, vec3(0, -3, 0), { intensity: 0.5 })
    cue(3, vec3(0, -3, 0), { intensity: 0.7 })
    expect(found(1)).toEqual([])
    expect(found(2)).toMatchObject([{ untilSeconds: null, level: 0.5 }])
    expect(found(3)).toEqual([])
  })

  it('is found whenever a slow look at many rays and instants finds one', () => {
    const place = fc.record({ x: within(-6, 6), y: within(-6, 6), z: within(0, 2) })
    const light = fc.record({ intensity: fc.constantFrom(0, 0.5, 1), zoom: within(6, 40) })
    const corner = fc.record({ x: within(-6, 6), y: within(-7, -1) })
    const zone = fc.record({ corner, width: within(0.3, 6), depth: within(0.3, 3), height: within(0.1, 3) })
    const times = fc.record({ rise: within(0, 4), move: within(0, 6), delay: within(0, 1) })
    const travels = fc.constantFrom('straight', 'angle')
    fc.assert(
      fc.property(place, place, light, light, zone, times, travels, (a, b, l1, l2, z, t, travel) => {
        desk = new Desk()
        desk.do('setTake', { family: 'intensity', take: true })
        const { x, y } = z.corner
        keepClear(
          [
            { x, y },
            { x: x + z.width, y },
            { x: x + z.width, y: y - z.depth },
            { x, y: y - z.depth },
          ],
          z.height,
        )
        cue(1, a, l1)
        cue(2, b, l2)
        desk.do('changeCues', { cues: [desk.choose.cue(1, 2)], ...t, fall: t.rise, travel })
        const told = found()
        const [one] = zonesOf(desk.show)
        if (!one) return
        const step = stepOf(2)
        for (const instant of slowInstants(step, one)) {
          tally.count('instants in a zone')
          const isTold = told.some(
            (s) => instant >= s.fromSeconds - 0.02 && instant <= (s.untilSeconds ?? Infinity) + 0.02,
          )
          if (staysPut(step)) continue
          expect(isTold).toBe(true)
        }
        for (const sweep of told) {
          tally.count('sweeps')
          const middle = (sweep.fromSeconds + (sweep.untilSeconds ?? sweep.fromSeconds + 20)) / 2
          if ((sweep.untilSeconds ?? Infinity) - sweep.fromSeconds > 0.2) expect(isIn(step, one, middle, 40)).toBe(true)
        }
      }),
      rounds(60),
    )
    expect(tally.of('sweeps')).toBeGreaterThan(10)
  })
})

const staysPut = ({ from, to }: Step) => moveTime(to.rigged.mount.head, from.position.pose, to.position.pose) === 0

function slowInstants(step: Step, zone: Zone): number[] {
  const length = 8
  return Array.from({ length: 40 }, (_, i) => (i / 39) * length).filter((instant) => isIn(step, zone, instant, 5))
}

/** Whether any of many rays of a lit beam is in a zone before it meets the set. */
function isIn(step: Step, zone: Zone, instant: number, fineness: number): boolean {
  const { from, to, place, width, light } = step
  const seconds = Math.max(place.seconds, moveTime(to.rigged.mount.head, from.position.pose, to.position.pose))
  const progress = (attribute: string) =>
    progressAt(
      attribute === LEADING.place ? { ...place, seconds } : attribute === LEADING.width ? width : light,
      instant,
    )
  const { beam, zoom, intensity } = fadedTo(from, to, progress, surfacesOf(desk.show), step.travel)
  if (intensity <= 0.011) return false
  const side = normalise(cross(beam.direction, vec3(0.3, 0.9, 0.1)))
  const up = cross(side, beam.direction)
  for (let ring = 0; ring <= fineness; ring++)
    for (let turn = 0; turn < 16; turn++) {
      const off = Math.tan(((zoom.angle * 0.99) / 2) * (Math.PI / 180)) * (ring / fineness)
      const angle = (turn / 16) * 2 * Math.PI
      const aside = add(scale(side, Math.cos(angle) * off), scale(up, Math.sin(angle) * off))
      if (meets(zone, beam.lens, normalise(add(beam.direction, aside)))) return true
    }
  return false
}

/** Whether a ray is in a zone somewhere, walked along in short steps. */
function meets({ outline, height }: Zone, from: Vec3, direction: Vec3): boolean {
  if (direction.z >= 0) return false
  const reach = Math.min(30, -from.z / direction.z)
  const free = firstHit(surfacesOf(desk.show).prisms, from, direction, reach)?.distance ?? reach
  for (let along = Math.max(0, (height - from.z) / direction.z); along <= free; along += 0.04) {
    const { x, y, z } = add(from, scale(direction, along))
    if (z >= 0 && z <= height && isInside(outline, { x, y })) return true
  }
  return false
}

describe('a cone that stays outside one side of a zone, or comes down beside it', () => {
  it('does not meet it', () => {
    const number = within(-9, 9)
    const beams = fc.record({
      x: number,
      y: number,
      z: within(0.2, 8),
      dx: number,
      dy: number,
      dz: number,
      half: within(0.5, 40),
    })
    let [outside, besides] = [0, 0]
    fc.assert(
      fc.property(beams, ({ x, y, z, dx, dy, dz, half }) => {
        keepClear(FRONT)
        const [zone] = zonesOf(desk.show)
        if (!zone || Math.hypot(dx, dy, dz) < 0.1) return
        const ray = { from: vec3(x, y, z), direction: normalise(vec3(dx, dy, dz)) }
        const angle = (half * Math.PI) / 180
        const [stays, beside] = [staysOutside(zone, ray, angle), comesDownBeside(zone, ray, angle)]
        if (stays) outside += 1
        if (beside) besides += 1
        if (!stays && !beside) return
        expect(nearnessTo(zone, ray).angle).toBeGreaterThan(angle - 1e-9)
      }),
      { numRuns: 600 },
    )
    expect(Math.min(outside, besides)).toBeGreaterThan(30)
  })
})
