/** What the touch-ups of a venue say of its rig: offered only where they agree and determine it. */
import { group } from 'd3-array'
import {
  FIXTURE_UNKNOWNS,
  HANG_UNKNOWNS,
  NO_HANG_ERROR,
  type FixtureError,
  type HangError,
} from '../geometry/rigErrors'
import { length } from '../geometry/vector'
import type { FixtureId, HangId, PaletteId } from '../show/ids'
import type { Show } from '../show/show'
import { sightingsIn, type PaletteSighting } from './sightings'
import { estimateRig, missOf, PRIOR, PRIOR_ALONE } from './trueUp'

/** How far a light misses its place as the rig is drawn and as it would be, metres. */
export interface Residual {
  readonly palette: PaletteId
  readonly fixture: FixtureId
  readonly isTouchedUp: boolean
  readonly before: number
  readonly after: number
}

/** How a hang or a fixture of it seems to be off, and how sure each number is: one standard deviation. */
export type OffBy =
  | { readonly kind: 'hang'; readonly hang: HangId; readonly error: HangError; readonly sure: HangError }
  | { readonly kind: 'fixture'; readonly fixture: FixtureId; readonly error: FixtureError; readonly sure: FixtureError }

export interface TrueUpOffer {
  readonly off: OffBy
  readonly residuals: readonly Residual[]
  /** Touch-ups it takes away, of how many. */
  readonly explained: number
  readonly touchUps: number
}

/** A touch-up smaller than this is explained away, metres. */
export const EXPLAINED = 0.02
/** Smaller errors are not worth a word: metres, degrees. */
const LEAST = { metres: 0.02, degrees: 0.3 }
/** An error is told from this many standard deviations on, and where the sightings say at least as much of it as was known before. */
const SURE = 2
const DETERMINED = 0.5

/** Everything the sightings at the venue in play agree on: hangs first, fixtures of those hangs only where the hang itself is right. */
export function trueUpOffers(show: Show): TrueUpOffer[] {
  const byHang = group(sightingsIn(show), ({ rigged }) => rigged.place.hang)
  return [...byHang].flatMap(([hang, sightings]) => {
    const whole = hangOffer(hang, sightings)
    if (whole) return [whole]
    return [...group(sightings, ({ rigged }) => rigged.id)].flatMap(
      ([fixture, own]) => fixtureOffer(fixture, own) ?? [],
    )
  })
}

const ANGLES: readonly string[] = ['yaw', 'pitch', 'roll', 'tiltZero']
const isAngle = (key: string) => ANGLES.includes(key)

/** Of some unknowns, those the sightings tell to be off. */
function told<K extends string>(
  keys: readonly K[],
  error: Readonly<Record<K, number>>,
  sure: Readonly<Record<K, number>>,
  prior: Readonly<Record<K, number>>,
): K[] {
  return keys.filter((key) => {
    const least = isAngle(key) ? LEAST.degrees : LEAST.metres
    const isDetermined = sure[key] < prior[key] * DETERMINED
    return isDetermined && Math.abs(error[key]) >= Math.max(least, SURE * sure[key])
  })
}

const FROZEN = 1e-6
/** A few touch-ups cannot tell every head's tilt from how its hang hangs: tilts count as they stand. */
const OWN = { ...PRIOR.fixture, tiltZero: FROZEN }
const OWN_ALONE = { hang: PRIOR_ALONE.hang, fixture: { ...PRIOR_ALONE.fixture, tiltZero: FROZEN } }

function hangOffer(hang: HangId, sightings: readonly PaletteSighting[]): TrueUpOffer | null {
  const touched = sightings.filter(({ isTouchedUp }) => isTouchedUp)
  if (touched.length < 3 || new Set(touched.map(({ rigged }) => rigged.id)).size < 2) return null
  const all = estimateRig(sightings, { hang: PRIOR.hang, fixture: OWN }).hang
  const keys = told(HANG_UNKNOWNS, all.error, all.sure, PRIOR.hang)
  if (keys.length === 0) return null
  // Once more with the rest as it is drawn: what is not told is not changed.
  const free = (key: (typeof HANG_UNKNOWNS)[number]) => (keys.includes(key) ? PRIOR.hang[key] : FROZEN)
  const prior = { hang: { x: free('x'), y: free('y'), z: free('z'), yaw: free('yaw') }, fixture: OWN }
  const { error } = estimateRig(sightings, prior).hang
  const only = (key: (typeof HANG_UNKNOWNS)[number]) => (keys.includes(key) ? error[key] : NO_HANG_ERROR[key])
  const found = { x: only('x'), y: only('y'), z: only('z'), yaw: only('yaw') }
  return offered({ kind: 'hang', hang, error: found, sure: all.sure }, sightings)
}

function fixtureOffer(fixture: FixtureId, sightings: readonly PaletteSighting[]): TrueUpOffer | null {
  if (sightings.filter(({ isTouchedUp }) => isTouchedUp).length < 2) return null
  const [estimate] = estimateRig(sightings, OWN_ALONE).fixtures.values()
  if (!estimate || told(FIXTURE_UNKNOWNS, estimate.error, estimate.sure, OWN_ALONE.fixture).length === 0) return null
  return offered({ kind: 'fixture', fixture, ...estimate }, sightings)
}

/** Offered where at least half of what was touched up is explained away by it. */
function offered(off: OffBy, sightings: readonly PaletteSighting[]): TrueUpOffer | null {
  const residuals = sightings.map((sighting): Residual => ({
    palette: sighting.palette,
    fixture: sighting.rigged.id,
    isTouchedUp: sighting.isTouchedUp,
    before: length(missOf(sighting)),
    after: length(missWith(off, sighting)),
  }))
  const touched = residuals.filter(({ isTouchedUp }) => isTouchedUp)
  const explained = touched.filter(({ after }) => after < EXPLAINED).length
  if (explained < 2 || explained * 2 < touched.length) return null
  return { off, residuals, explained, touchUps: touched.length }
}

/** How a light would miss its place, were the rig so far off; metres in the stage frame. */
function missWith(off: Pick<OffBy, 'kind' | 'error'>, sighting: PaletteSighting) {
  return 'x' in off.error ? missOf(sighting, off.error) : missOf(sighting, NO_HANG_ERROR, off.error)
}
