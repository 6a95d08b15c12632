/** Where, over pan and tilt, the light of a head meets the floor or a level. */
import { beamAt } from '../kinematics/forward'
import type { Mount } from '../kinematics/head'
import type { Level } from '../show/entities'
import { landingOnGround } from '../venue/landing'

/** At a pan, tilts between these light the floor; degrees. */
export interface FloorBand {
  readonly pan: number
  readonly from: number
  readonly to: number
}

const PAN_STEP = 10
const TILT_STEP = 3
/** Light that lands further off than this does not count as the floor, metres. */
const FAR = 60

/** The bands for pans ten degrees apart inside the stops; a pan may have several, or none. */
export function floorBand(mount: Mount, levels: readonly Level[]): FloorBand[] {
  const { pan, tilt } = mount.head
  const bands: FloorBand[] = []
  for (let p = Math.ceil(pan.min / PAN_STEP) * PAN_STEP; p <= pan.max; p += PAN_STEP) {
    let from: number | null = null
    for (let t = tilt.min; t <= tilt.max + 1e-9; t += TILT_STEP) {
      const isLit = lightsFloor(mount, levels, p, t)
      if (isLit && from === null) from = t
      if (from === null || (isLit && t + TILT_STEP <= tilt.max)) continue
      bands.push({ pan: p, from, to: isLit ? t : t - TILT_STEP })
      from = null
    }
  }
  return bands
}

function lightsFloor(mount: Mount, levels: readonly Level[], pan: number, tilt: number): boolean {
  const beam = beamAt(mount, { pan, tilt })
  const point = landingOnGround(levels, beam)?.point
  return point !== undefined && Math.hypot(point.x - beam.lens.x, point.y - beam.lens.y) < FAR
}
