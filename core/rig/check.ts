/** The rig check: what looks wrong in the venue in play, and why, each with what to look at. */
import { placeId } from '../show/compositeIds'
import { distance, type Vec3 } from '../geometry/vector'
import { HOME } from '../kinematics/head'
import { solveAim } from '../kinematics/inverse'
import { mountingPoint } from '../geometry/frame'
import { patchFaultInWords, patchFaults, spansOf } from '../patch/span'
import { modeFaults } from '../patch/modeCheck'
import { derived } from '../show/derived'
import { wholeFixtures } from '../show/cells'
import { asFixtureTypeId, type FixtureId, type FixtureTypeId, type HangId, type TargetId } from '../show/ids'
import { hangsOf, RIG_KINDS, rigOf, type RiggedHang } from '../show/rig'
import { entity, showRecordOf, type ShowPart } from '../show/show'
import { pointOn, TARGET_KINDS, targetsOf } from '../show/targets'
import { floorAt } from '../venue/levels'
import { boundsOf } from '../venue/outline'

/** What a finding is about: where its jump leads. */
export type Jump =
  | { readonly kind: 'fixture'; readonly fixtures: readonly FixtureId[] }
  | { readonly kind: 'hang'; readonly hang: HangId }
  | { readonly kind: 'target'; readonly target: TargetId }
  | { readonly kind: 'type'; readonly type: FixtureTypeId }

export interface Finding {
  /** "wrong" will not work; "look" may well be meant. */
  readonly severity: 'wrong' | 'look'
  readonly title: string
  readonly why: string
  readonly jump: Jump
}

/** Nearer than this, two fixtures cannot both hang there; metres. */
const SAME_SPOT = 0.1
/** Hung this far outside the walls of the stage, the house counted in, something is mistyped; metres. */
const FAR_OUTSIDE = 30

const CHECKED_KINDS = [...RIG_KINDS, 'hang', 'fixtureMode', 'venue', ...TARGET_KINDS] as const
type Checked = ShowPart<(typeof CHECKED_KINDS)[number]>

/** Every finding, the wrong ones first. */
export const rigCheck = derived(CHECKED_KINDS, (show): readonly Finding[] => {
  const findings = [
    ...typeFindings(show),
    ...patchFindings(show),
    ...spotFindings(show),
    ...placeFindings(show),
    ...hangFindings(show),
    ...targetFindings(show),
  ]
  return findings.sort((a, b) => Number(a.severity === 'look') - Number(b.severity === 'look'))
})

function typeFindings(show: Checked): Finding[] {
  const { venue } = showRecordOf(show)
  const findings: Finding[] = []
  for (const [id, fixture] of wholeFixtures(show)) {
    const jump: Jump = { kind: 'fixture', fixtures: [id] }
    const title = `Fixture ${fixture.number}`
    if (fixture.type === null)
      findings.push({ severity: 'wrong', title, why: 'has no type, so it cannot be aimed', jump })
    else if (fixture.mode === null)
      findings.push({ severity: 'look', title, why: 'has no mode, so nobody knows its channels', jump })
    if (!show.all.fixturePlace.has(placeId(venue, id)))
      findings.push({ severity: 'wrong', title, why: 'hangs nowhere in this venue', jump })
  }
  for (const mode of show.all.fixtureMode.values()) {
    const type = entity(show, 'fixtureType', mode.type)
    const fault = modeFaults(type, mode.channels).find(({ severity }) => severity === 'wrong')
    if (fault)
      findings.push({
        severity: 'wrong',
        title: `${type.name}, ${mode.name}`,
        why: fault.message,
        jump: { kind: 'type', type: asFixtureTypeId(mode.type) },
      })
  }
  return findings
}

function patchFindings(show: Checked): Finding[] {
  const spans = new Map(spansOf(show).map((span) => [span.fixture, span]))
  const faults = [...patchFaults(show)].flatMap(([id, fault]): Finding[] => {
    const span = spans.get(id)
    if (!span) return []
    const jump: Jump = { kind: 'fixture', fixtures: [id, ...fault.clashes.map((other) => other.fixture)] }
    const title = `Fixture ${span.number} at ${span.universe}.${span.first}`
    return [{ severity: 'wrong', title, why: patchFaultInWords(fault, span), jump }]
  })
  const unpatched = wholeFixtures(show).filter(([, f]) => f.universe === null || f.address === null)
  if (unpatched.length === 0) return faults
  const numbers = unpatched.map(([, f]) => f.number).sort((a, b) => a - b)
  const title = unpatched.length === 1 ? `Fixture ${numbers[0] ?? ''}` : `${unpatched.length} fixtures`
  const jump: Jump = { kind: 'fixture', fixtures: unpatched.map(([id]) => id) }
  return [...faults, { severity: 'look', title, why: `not patched: ${shortList(numbers)}`, jump }]
}

function shortList(numbers: readonly number[]): string {
  return numbers.length > 8 ? `${numbers.slice(0, 8).join(', ')} and ${numbers.length - 8} more` : numbers.join(', ')
}

/** Where every placed fixture is mounted, with or without a type. */
function mounts(show: Checked): { id: FixtureId; number: number; at: Vec3 }[] {
  const { venue } = showRecordOf(show)
  return [...show.all.fixturePlace.values()].flatMap((place) => {
    const hang = show.all.hangPlace.get(placeId(venue, place.hang))
    const fixture = show.all.fixture.get(place.fixture)
    if (place.venue !== venue || !hang || !fixture) return []
    return [{ id: place.fixture, number: fixture.number, at: mountingPoint(hang, place) }]
  })
}

function spotFindings(show: Checked): Finding[] {
  const findings: Finding[] = []
  const sorted = mounts(show).sort((a, b) => a.at.x - b.at.x)
  for (const [i, one] of sorted.entries())
    for (let k = i + 1; k < sorted.length; k++) {
      const other = sorted[k]
      if (!other || other.at.x - one.at.x > SAME_SPOT) break
      const apart = distance(one.at, other.at)
      if (apart >= SAME_SPOT) continue
      const [low, high] = one.number < other.number ? [one, other] : [other, one]
      findings.push({
        severity: 'wrong',
        title: `Fixtures ${low.number} and ${high.number}`,
        why: `hang in one spot, ${Math.round(apart * 100)} cm apart`,
        jump: { kind: 'fixture', fixtures: [low.id, high.id] },
      })
    }
  return findings
}

function placeFindings(show: Checked): Finding[] {
  const venue = entity(show, 'venue', showRecordOf(show).venue)
  const bounds = boundsOf(venue.outline)
  return mounts(show).flatMap(({ id, number, at }): Finding[] => {
    const jump: Jump = { kind: 'fixture', fixtures: [id] }
    const title = `Fixture ${number}`
    const floor = floorAt(venue, at)
    if (at.z < floor - 0.005)
      return [{ severity: 'wrong', title, why: `is ${(floor - at.z).toFixed(2)} m below the floor it stands on`, jump }]
    const outside = bounds
      ? Math.max(bounds.left - at.x, at.x - bounds.right, bounds.bottom - FAR_OUTSIDE - at.y, at.y - bounds.top)
      : 0
    if (outside > 0.005)
      return [{ severity: 'look', title, why: `hangs ${outside.toFixed(2)} m outside the venue`, jump }]
    return []
  })
}

function hangFindings(show: Checked): Finding[] {
  const venue = entity(show, 'venue', showRecordOf(show).venue)
  const bounds = boundsOf(venue.outline)
  const width = bounds ? bounds.right - bounds.left : 0
  return hangsOf(show).flatMap((hang) => [...lengthFindings(hang, width), ...overhang(hang)])
}

function lengthFindings({ id, hang, place }: RiggedHang, width: number): Finding[] {
  const across = place.length * Math.abs(Math.cos((place.yaw * Math.PI) / 180) * Math.cos((place.rise * Math.PI) / 180))
  if (across <= width + 1e-9) return []
  const why = `is ${across.toFixed(2)} m across, wider than the stage with ${width.toFixed(2)} m`
  return [{ severity: 'look', title: hang.name, why, jump: { kind: 'hang', hang: id } }]
}

function overhang({ hang, place, fixtures }: RiggedHang): Finding[] {
  return fixtures
    .filter(({ place: on }) => Math.abs(on.along) > place.length / 2 + 0.005)
    .map(({ id, fixture, place: on }) => ({
      severity: 'look' as const,
      title: `Fixture ${fixture.number}`,
      why: `sits ${(Math.abs(on.along) - place.length / 2).toFixed(2)} m past the end of ${hang.name}`,
      jump: { kind: 'fixture', fixtures: [id] },
    }))
}

function targetFindings(show: Checked): Finding[] {
  const rig = [...rigOf(show).values()]
  if (rig.length === 0) return []
  return [...targetsOf(show).values()].flatMap((placed): Finding[] => {
    const place = pointOn(placed, null)
    if (rig.some(({ mount }) => solveAim(mount, place, { reference: HOME }).reachable)) return []
    const jump: Jump = { kind: 'target', target: placed.id }
    return [{ severity: 'wrong', title: placed.target.name, why: 'no fixture can reach it', jump }]
  })
}
