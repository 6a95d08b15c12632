/** What is off of a rig against its drawing, drawn by lot from a seed. */
import { z } from 'zod'
import { NO_FIXTURE_ERROR, type FixtureError, type HangError } from '../geometry/rigErrors'
import type { FixtureId, HangId } from '../show/ids'
import { isHead, rigOf, type RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import { seededRandom } from './seededRandom'

/** How much is to be off. `metres` and `degrees` are the most that a head is off in all, its hang's part and its own. */
export const howOff = z.strictObject({
  seed: z.number().int().min(1).max(999999),
  metres: z.number().min(0).max(1),
  degrees: z.number().min(0).max(20),
  /** Whether one head hangs the other way round, one turns the other way and one has its neighbour's address. */
  hasMistakes: z.boolean(),
})
export type HowOff = z.infer<typeof howOff>

export const USUALLY_OFF: HowOff = { seed: 1, metres: 0.15, degrees: 3, hasMistakes: true }

export interface HiddenErrors {
  readonly hangs: ReadonlyMap<HangId, HangError>
  readonly heads: ReadonlyMap<FixtureId, FixtureError>
  /** Hung the other way round: turned by 180° about its pan axis. */
  readonly turnedRound: FixtureId | null
  /** Listens where its neighbour does. */
  readonly misaddressed: { readonly fixture: FixtureId; readonly as: FixtureId } | null
  /** Pans the other way. */
  readonly panInverted: FixtureId | null
}

/** The parts of what may be off that a hang's fixtures share. */
const SHARED = { metres: 2 / 3, degrees: 1 / 2 } as const

/** What is off of the rig that hangs in the venue in play. */
export function hiddenErrors(show: Show, { seed, metres, degrees, hasMistakes }: HowOff): HiddenErrors {
  // Seeds that follow one another are far apart in the sequence.
  const random = seededRandom((seed * 2654435761 + 12345) % 4294967296)
  /** Up to so much to either side. */
  const off = (most: number) => (random() * 2 - 1) * most
  const heads = [...rigOf(show).values()].filter((one) => isHead(one) && one.bar === null)
  // Each direction by itself so that all three together are not further off than the most.
  const along = (most: number) => off(most / Math.sqrt(3))
  const hangError = (hang: HangId) => {
    const [x, y, z] = [0, 1, 2].map(() => along(metres * SHARED.metres))
    // What stands on the floor stands on the floor.
    const isUp = show.all.hang.get(hang)?.form !== 'floor'
    return { x: x ?? 0, y: y ?? 0, z: isUp ? (z ?? 0) : 0, yaw: off(degrees * SHARED.degrees) }
  }
  const hangs = new Map([...new Set(heads.map(({ place }) => place.hang))].map((hang) => [hang, hangError(hang)]))
  const own = { metres: metres * (1 - SHARED.metres), degrees: degrees * (1 - SHARED.degrees) }
  const headError = (): FixtureError => ({
    along: along(own.metres),
    out: along(own.metres),
    drop: along(own.metres),
    yaw: off(own.degrees),
    pitch: off(own.degrees),
    roll: off(own.degrees),
    tiltZero: 0,
  })
  const errors = new Map(heads.map(({ id }) => [id, headError()]))
  return { hangs, heads: errors, ...mistakes(hasMistakes ? heads : [], random, errors, degrees) }
}

/** One each of what is done wrong once, each to a head of its own, as far as there are heads. */
function mistakes(
  heads: readonly RiggedFixture[],
  random: () => number,
  errors: Map<FixtureId, FixtureError>,
  degrees: number,
): Pick<HiddenErrors, 'turnedRound' | 'misaddressed' | 'panInverted'> {
  const left = [...heads]
  const pick = (fits: (one: RiggedFixture) => boolean = () => true): RiggedFixture | null => {
    const fitting = left.filter(fits)
    const one = fitting[Math.floor(random() * fitting.length)]
    if (!one) return null
    left.splice(left.indexOf(one), 1)
    return one
  }
  const neighbourOf = (one: RiggedFixture) =>
    heads.find((other) => other !== one && other.fixture.mode === one.fixture.mode && other.fixture.address !== null)
  const zeroOff = pick()
  if (zeroOff)
    errors.set(zeroOff.id, {
      ...(errors.get(zeroOff.id) ?? NO_FIXTURE_ERROR),
      tiltZero: random() < 0.5 ? -degrees : degrees,
    })
  const turnedRound = pick()?.id ?? null
  const wrong = pick((one) => one.fixture.address !== null && neighbourOf(one) !== undefined)
  const neighbour = wrong && neighbourOf(wrong)
  return {
    turnedRound,
    misaddressed: wrong && neighbour ? { fixture: wrong.id, as: neighbour.id } : null,
    panInverted: pick()?.id ?? null,
  }
}
