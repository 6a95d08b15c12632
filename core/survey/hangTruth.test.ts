/** Rigs that hang otherwise than they are drawn, told by their lights on surveyed places. */
import { describe, expect, it } from 'vitest'
import { normalFrom, randomFrom } from '../../tests/support/randomCommands'
import { runCommand, type CommandInput } from '../commands/registry'
import { buildSaltLantern } from '#demo/saltLantern'
import { FIXTURE_UNKNOWNS, HANG_UNKNOWNS, NO_FIXTURE_ERROR } from '../geometry/rigErrors'
import { add, length, vec3, type Vec3 } from '../geometry/vector'
import { askedPose, AXES_RIGHT, mechanicalPose } from '../kinematics/axesOff'
import { HOME } from '../kinematics/head'
import { allWays, solveAim } from '../kinematics/inverse'
import { missOf } from '../refocus/trueUp'
import { applyChanges } from '../show/changes'
import { Draft } from '../show/draft'
import { asHangId, asTargetId, commandId, personId, sightingId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import { showRecordOf, type Show } from '../show/show'
import { pointOn, targetsOf } from '../show/targets'
import { asHung } from '../standIn/asHung'
import { hiddenErrors, type HiddenErrors } from '../standIn/hiddenErrors'
import { goalsOf, hangTruth } from './hangTruth'
import { nextSighting } from './nextSighting'

const DEMO = buildSaltLantern('surveyed')
const PERSON = personId.parse('surveyor')

/** What a head of a rig that really hangs otherwise is asked for to have its light on a place. */
function steered(hung: Show, errors: HiddenErrors, rigged: RiggedFixture, place: Vec3, isOtherWay = false) {
  const real = rigOf(hung).get(rigged.id)
  if (!real) throw new Error('it does not hang')
  const axes = {
    ...AXES_RIGHT,
    tiltZero: errors.heads.get(rigged.id)?.tiltZero ?? 0,
    isPanInverted: errors.panInverted === rigged.id,
  }
  const solved = solveAim(real.mount, place, { reference: HOME })
  const side = solved.side === 'positive' ? 'negative' : 'positive'
  return askedPose(real.type, axes, isOtherWay ? solveAim(real.mount, place, { reference: HOME, side }) : solved)
}

/** Every head steered onto the surveyed places, some more than once, until it has been seen so often. */
function sighted(show: Show, errors: HiddenErrors, times: number, blur: () => Vec3): Show {
  const hung = asHung(show, errors)
  const { venue } = showRecordOf(show)
  const draft = new Draft(show)
  const surveyed = [...show.all.surveyed.values()]
    .flatMap(({ target }) => targetsOf(show).get(target) ?? [])
    .slice(0, 3)
  let id = 0
  for (const rigged of [...rigOf(show).values()].filter(({ id: head }) => errors.heads.has(head))) {
    const seen = surveyed.filter((placed) => allWays(rigged.mount, pointOn(placed, null), HOME).length > 0)
    for (let i = 0; i < times && seen.length > 0; i += 1) {
      const placed = seen[i % seen.length]
      if (!placed) continue
      const place = pointOn(placed, null)
      const isOtherWay = i >= seen.length
      const { pan, tilt } = steered(hung, errors, rigged, add(place, blur()), isOtherWay)
      draft.put('sighting', sightingId.parse(`s${(id += 1)}`), {
        ...{ venue, fixture: rigged.id, target: asTargetId(placed.id), place, pan, tilt },
        ...{ counts: true, by: null, at: 0 },
      })
    }
  }
  return draft.result()
}

function corrected(show: Show): Show {
  let now = show
  for (const hang of [...show.all.hang.keys()].map(asHangId)) {
    const truth = hangTruth(show, hang)
    if (!truth) continue
    const input: CommandInput<'correctRig'> = {
      hangs: [{ hang, error: truth.estimate.error }],
      fixtures: truth.heads.map(({ fixture, estimate }) => ({ fixture, error: estimate.error })),
      as: 'correction',
    }
    const outcome = runCommand(now, 'correctRig', input, commandId.parse(hang), { person: PERSON, now: 0 })
    if (!outcome.ok) throw new Error(outcome.refusal.message)
    now = applyChanges(now, outcome.changes)
  }
  return now
}

/** How far lights land from where they are aimed, metres: every head on every target it can reach. */
function landings(show: Show, hung: Show, errors: HiddenErrors): number[] {
  return [...rigOf(show).values()].flatMap((rigged) => {
    const real = rigOf(hung).get(rigged.id)
    if (!real || !errors.heads.has(rigged.id)) return []
    return goalsOf(show).flatMap((place) => {
      if (allWays(rigged.mount, place, HOME).length === 0) return []
      const asked = askedPose(rigged.type, rigged.axes, solveAim(rigged.mount, place, { reference: HOME }))
      const axes = { ...AXES_RIGHT, tiltZero: errors.heads.get(rigged.id)?.tiltZero ?? 0 }
      const isOnLevel = place.z === 0
      return [length(missOf({ rigged: real, pose: mechanicalPose(real.type, axes, asked), place, isOnLevel }))]
    })
  })
}

/** The sightings of one head with what another was asked for. */
function withPosesOf(show: Show, fixture: string | undefined, other: string | undefined): Show {
  const draft = new Draft(show)
  const poses = [...show.all.sighting.values()].filter((one) => one.fixture === other)
  let i = 0
  for (const [id, one] of show.all.sighting)
    if (one.fixture === fixture) {
      const { pan = 0, tilt = 0 } = poses[poses.length - 1 - i++] ?? {}
      draft.put('sighting', id, { ...one, pan, tilt })
    }
  return draft.result()
}

const sharp = () => vec3(0, 0, 0)
const OFF = { metres: 0.15, degrees: 3, hasMistakes: false }

describe('a rig that hangs otherwise than it is drawn', () => {
  it('is known within the stated sureness in 95 of 100, on 20 seeds with a centimetre of blur', () => {
    let [within, all] = [0, 0]
    for (let seed = 1; seed <= 20; seed += 1) {
      const errors = hiddenErrors(DEMO, { ...OFF, seed })
      const normal = normalFrom(randomFrom(seed))
      const show = sighted(DEMO, errors, 4, () => vec3(normal() * 0.01, normal() * 0.01, 0))
      for (const [hang, real] of errors.hangs) {
        const truth = hangTruth(show, hang)
        if (!truth) throw new Error('nothing hangs there')
        const count = (error: number, found: number, sure: number) => {
          all += 1
          if (Math.abs(error - found) <= 2 * sure) within += 1
        }
        for (const key of HANG_UNKNOWNS) count(real[key], truth.estimate.error[key], truth.estimate.sure[key])
        for (const { fixture, estimate } of truth.heads)
          for (const key of FIXTURE_UNKNOWNS)
            count((errors.heads.get(fixture) ?? NO_FIXTURE_ERROR)[key], estimate.error[key], estimate.sure[key])
      }
    }
    expect(all).toBeGreaterThan(4000)
    expect(within / all).toBeGreaterThan(0.95)
  })

  it('is aimed right within 3 cm once its corrections are set, wherever it is aimed', () => {
    for (const seed of [1, 2, 3]) {
      const errors = hiddenErrors(DEMO, { ...OFF, seed })
      const hung = asHung(DEMO, errors)
      const before = landings(DEMO, hung, errors)
      const after = landings(corrected(sighted(DEMO, errors, 4, sharp)), hung, errors)
      expect(Math.max(...before)).toBeGreaterThan(0.3)
      expect(Math.max(...after)).toBeLessThan(0.03)
    }
  })

  it('is told what was done the wrong way, and where nothing that could be wrong explains what is seen', () => {
    const errors = hiddenErrors(DEMO, { ...OFF, seed: 4, hasMistakes: true })
    const seen = sighted(DEMO, errors, 3, sharp)
    // One listens where another does: what it is asked for says nothing of where its light is.
    const [strayed, other] = [...errors.hangs.keys()]
      .flatMap((hang) => hangTruth(seen, hang)?.heads ?? [])
      .filter(({ suspicion }) => !suspicion)
    const show = withPosesOf(seen, strayed?.fixture, other?.fixture)
    const told = [...errors.hangs.keys()].flatMap((hang) =>
      (hangTruth(show, hang)?.heads ?? []).flatMap(({ fixture, suspicion }) =>
        suspicion ? [[fixture, suspicion.kind] as const] : [],
      ),
    )
    expect(new Map(told)).toEqual(
      new Map([
        [errors.turnedRound, 'isTurnedRound'],
        [errors.panInverted, 'isPanInverted'],
        [strayed?.fixture, 'address'],
      ]),
    )
  })

  it('proposes sightings that make its aims surer, the one that tells most first', () => {
    const errors = hiddenErrors(DEMO, { ...OFF, seed: 5 })
    const [hang] = errors.hangs.keys()
    if (!hang) throw new Error('no hang')
    let show = DEMO
    const worst: number[] = []
    for (let i = 0; i < 6; i += 1) {
      const truth = hangTruth(show, hang)
      const next = truth && nextSighting(show, truth)
      if (!truth || !next) break
      worst.push(Math.max(...truth.heads.map(({ sureMetres }) => sureMetres)))
      expect(next.after).toBeLessThan(next.before)
      const rigged = rigOf(show).get(next.fixture)
      const placed = targetsOf(show).get(next.target)
      if (!rigged || !placed) throw new Error('it is not there')
      const place = pointOn(placed, null)
      const { pan, tilt } = steered(asHung(show, errors), errors, rigged, place)
      const { venue } = showRecordOf(show)
      const { fixture, target } = next
      show = new Draft(show)
        .put('sighting', sightingId.parse(`n${i}`), {
          ...{ venue, fixture, target, place, pan, tilt, counts: true, by: null, at: 0 },
        })
        .result()
    }
    expect(worst.length).toBe(6)
    expect(worst.at(-1)).toBeLessThan(worst[0] ?? 0)
  })
})
