/** The estimate from touch-ups, on rigs that hang otherwise than they are drawn. */
import { describe, expect, it } from 'vitest'
import { normalFrom, randomFrom } from '../../tests/support/randomCommands'
import { Desk } from '../../tests/support/smallShow'
import { fixtureFrame } from '../geometry/frame'
import { add, dot, length, scale, subtract, vec3, type Vec3 } from '../geometry/vector'
import { beamAt } from '../kinematics/forward'
import { HOME, mountHead } from '../kinematics/head'
import { solveAim } from '../kinematics/inverse'
import { resolveValue } from '../palettes/resolve'
import { rigOf, type RiggedFixture } from '../show/rig'
import { aimPoint, targetsOf } from '../show/targets'
import { FAMILIES } from '../attributes/families'
import {
  fixtureOff,
  HANG_UNKNOWNS,
  hangOff,
  NO_FIXTURE_ERROR,
  type FixtureError,
  type HangError,
} from '../geometry/rigErrors'
import { BY_EYE, estimateRig, missOf, PRIOR } from './trueUp'
import { sightingsIn } from './sightings'
import { trueUpOffers } from './trueUpOffers'

/** Palettes over the whole stage for the four on the bar. */
function drawn(): Desk {
  const desk = new Desk()
  const places = [vec3(-3, 1, 0), vec3(3, 1, 0), vec3(0, 5, 0), vec3(-2, 3, 1.2), vec3(2.5, 4, 0.4), vec3(0, -2, 0)]
  for (const [i, position] of places.entries()) {
    desk.do('addTarget', { name: `T${i}`, form: { kind: 'point' }, setPiece: null, position })
    desk.aim('11-14', `T${i}`)
    desk.record(101 + i, `T${i}`)
    desk.do('clearHand', { families: [...FAMILIES], fixtures: null })
  }
  return desk
}
const DRAWN = drawn()

interface Truth {
  readonly hang: HangError
  readonly fixture: (number: number) => FixtureError
}
const RIGHT = NO_FIXTURE_ERROR

/** Somebody touches up until each light is on its place in a rig that really hangs otherwise. */
function touchedUp(truth: Truth, entries: readonly (readonly [palette: number, fixtures: string])[], blur: () => Vec3) {
  const desk = DRAWN.copy()
  for (const [number, entry] of entries) {
    const palette = desk.choose.palette(number)
    for (const fixture of desk.fixtures(entry)) {
      const rigged = rigOf(desk.show).get(fixture)
      if (!rigged) throw new Error('it does not hang here')
      const { value } = resolveValue(desk.show, rigged, 'position', { kind: 'link', palette })
      const place = value?.kind === 'aim' ? aimPoint(targetsOf(desk.show), value) : null
      if (!place) throw new Error('no place')
      const metres = subtract(seenFrom(rigged, truth, add(place, blur())), place)
      desk.do('touchUp', { palette, fixtures: [fixture], by: { metres } })
    }
  }
  return desk
}

/** The place at which the drawn rig must aim for the light of the real one to be on a place. */
function seenFrom(rigged: RiggedFixture, { hang, fixture }: Truth, place: Vec3): Vec3 {
  const frame = fixtureFrame(hangOff(rigged.hangPlace, hang), fixtureOff(rigged.place, fixture(rigged.fixture.number)))
  const error = fixture(rigged.fixture.number)
  const turned = solveAim(mountHead(rigged.type, frame), place, { reference: HOME })
  const pose = { pan: turned.pan, tilt: turned.tilt - error.tiltZero }
  const { lens, direction } = beamAt(rigged.mount, pose)
  return add(lens, scale(direction, dot(subtract(place, lens), direction)))
}

const EVERY = [101, 102, 103, 104, 105, 106].map((palette) => [palette, '11-14'] as const)
const sharp = () => vec3(0, 0, 0)

describe('the estimate of a rig', () => {
  it('is right within its stated sureness: 95 in 100 lie within twice', () => {
    const random = randomFrom(7)
    const normal = normalFrom(random)
    let [within, all] = [0, 0]
    for (let i = 0; i < 60; i += 1) {
      const { x, y, z, yaw } = PRIOR.hang
      const hang = { x: x * normal(), y: y * normal(), z: z * normal(), yaw: yaw * normal() }
      const errors = new Map<number, FixtureError>()
      const fixture = (number: number): FixtureError => {
        const p = PRIOR.fixture
        const fresh = () => ({
          along: p.along * normal(),
          out: p.out * normal(),
          drop: p.drop * normal(),
          yaw: p.yaw * normal(),
          pitch: p.pitch * normal(),
          roll: p.roll * normal(),
          tiltZero: p.tiltZero * normal(),
        })
        const known = errors.get(number) ?? fresh()
        errors.set(number, known)
        return known
      }
      const blur = () => scale(vec3(normal(), normal(), 0), BY_EYE)
      const found = estimateRig(sightingsIn(touchedUp({ hang, fixture }, EVERY, blur).show)).hang
      for (const key of HANG_UNKNOWNS) {
        all += 1
        if (Math.abs(found.error[key] - hang[key]) <= 2 * found.sure[key]) within += 1
      }
    }
    expect(within / all).toBeGreaterThanOrEqual(0.95)
  })

  it('stays at the drawn rig for what the sightings do not tell', () => {
    const truth = { hang: { x: 0, y: 0, z: -0.4, yaw: 0 }, fixture: () => RIGHT }
    const one = estimateRig(sightingsIn(touchedUp(truth, [[101, '11']], sharp).show)).hang
    expect(Math.abs(one.error.z)).toBeLessThan(0.4)
    expect(one.sure.z).toBeGreaterThan(0.05)
    expect(sightingsIn(DRAWN.show)).toEqual([])
  })
})

describe('what the touch-ups say', () => {
  const lower = { hang: { x: 0, y: 0, z: -0.11, yaw: 0 }, fixture: () => RIGHT }

  it('is that the bar hangs lower, where they agree; set, the touch-ups go and no head turns', () => {
    const desk = touchedUp(lower, EVERY.slice(0, 3), sharp)
    const [offer, another] = trueUpOffers(desk.show)
    expect(another).toBeUndefined()
    if (offer?.off.kind !== 'hang') throw new Error('nothing is offered')
    expect(Math.abs(offer.off.error.z + 0.11)).toBeLessThan(0.015)
    expect([offer.explained, offer.touchUps]).toEqual([12, 12])
    expect(Math.max(...offer.residuals.map(({ after }) => after))).toBeLessThan(0.02)
    expect(Math.max(...offer.residuals.map(({ before }) => before))).toBeGreaterThan(0.05)
    const { hang, error } = offer.off
    const label = desk.do('trueUp', { kind: 'hang', hang, error })
    expect(label).toBe('true up Bar; 12 touch-ups go')
    expect(desk.show.all.touchUp.size).toBe(0)
    expect(trueUpOffers(desk.show)).toEqual([])
  })

  it('leaves the heads as they are turned where something is left to correct', () => {
    const truth = { ...lower, fixture: (number: number) => (number === 12 ? { ...RIGHT, roll: 1.5 } : RIGHT) }
    const desk = touchedUp(truth, EVERY, sharp)
    const before = sightingsIn(desk.show)
    const [offer] = trueUpOffers(desk.show)
    if (offer?.off.kind !== 'hang') throw new Error('nothing is offered')
    expect(offer.off.error.z).toBeCloseTo(-0.11, 1)
    desk.do('trueUp', { kind: 'hang', hang: offer.off.hang, error: offer.off.error })
    const left = sightingsIn(desk.show)
    expect(new Set(left.map(({ rigged }) => rigged.fixture.number))).toEqual(new Set([12]))
    for (const { palette, rigged, pose } of left) {
      const then = before.find((one) => one.palette === palette && one.rigged.id === rigged.id)
      expect([pose.pan, pose.tilt]).toEqual([
        expect.closeTo(then?.pose.pan ?? NaN, 6),
        expect.closeTo(then?.pose.tilt ?? NaN, 6),
      ])
    }
    const [own] = trueUpOffers(desk.show)
    expect(own?.off).toMatchObject({ kind: 'fixture', fixture: desk.fixture(12) })
    expect(own?.explained).toBeGreaterThanOrEqual(3)
  })

  it('is nothing where they are few, do not agree, or say as much of lights that were right', () => {
    expect(
      trueUpOffers(
        touchedUp(
          lower,
          [
            [101, '11'],
            [102, '11'],
          ],
          sharp,
        ).show,
      ),
    ).toEqual([])
    const random = randomFrom(3)
    const apart = () => vec3(random() - 0.5, random() - 0.5, 0)
    const right = { hang: { x: 0, y: 0, z: 0, yaw: 0 }, fixture: () => RIGHT }
    expect(trueUpOffers(touchedUp(right, EVERY.slice(0, 3), apart).show)).toEqual([])
    const desk = touchedUp(lower, [[101, '11-13']], sharp)
    desk.do('beginPass', { order: 'by cue', level: 1, others: 'out', corrections: 'for here' })
    for (const number of [102, 103, 104, 105])
      desk.do('confirmInPass', { palette: desk.choose.palette(number), fixtures: null })
    expect(trueUpOffers(desk.show)).toEqual([])
  })

  it('knows a miss as the way from the place to where the beam passes', () => {
    const [sighting] = sightingsIn(touchedUp(lower, [[101, '11']], sharp).show)
    if (!sighting) throw new Error('no sighting')
    const { offset } = [...touchedUp(lower, [[101, '11']], sharp).show.all.touchUp.values()][0] ?? {}
    expect(length(subtract(missOf(sighting), offset ?? vec3(9, 9, 9)))).toBeLessThan(1e-6)
    expect(length(missOf(sighting, lower.hang))).toBeLessThan(1e-6)
  })
})
