/**
 * Mirroring across the centre line (x to −x). A reflection turns handedness round, so turns about
 * the vertical and about the line upstage change their sign and pitch keeps it:
 * `M · Rz(a) · Rx(p) · Ry(r) · M = Rz(−a) · Rx(p) · Ry(−r)` for `M = diag(−1, 1, 1)`.
 */
import type { FixturePlace, HangPlace } from '../geometry/frame'

const UPRIGHT = 45

/**
 * A hang's mirror image. A bar's line is the same line run the other way, so its yaw and rise
 * change sign and its fixtures sit at the opposite `along`; an upright hang keeps its rise and its
 * bottom, and turns to the other side.
 */
export function mirroredHang<H extends HangPlace>(place: H): H {
  const origin = { ...place.origin, x: -place.origin.x + 0 }
  if (Math.abs(place.rise) >= UPRIGHT) return { ...place, origin, yaw: turned(180 - place.yaw) }
  return { ...place, origin, yaw: turned(-place.yaw), rise: -place.rise + 0 }
}

/** A fixture's place on the mirror image of its hang. */
export function mirroredFixture<F extends FixturePlace>(place: F, hang: HangPlace): F {
  const image = mirroredHang(hang)
  const isUpright = Math.abs(hang.rise) >= UPRIGHT
  return {
    ...place,
    along: (isUpright ? place.along : -place.along) + 0,
    out: (isUpright ? -place.out : place.out) + 0,
    yaw: turned(-(hang.yaw + place.yaw) - image.yaw),
    roll: turned(-place.roll),
  }
}

/** The same turn between −180 (left out) and 180 degrees. */
export function turned(degrees: number): number {
  const rest = ((degrees % 360) + 360) % 360
  return (rest > 180 ? rest - 360 : rest) + 0
}
