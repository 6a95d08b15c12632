/** How light falls off beside the axis where that was measured, on one sheet for the shader of pools. */
import { ClampToEdgeWrapping, DataTexture, LinearFilter, RedFormat } from 'three'
import { partBeside } from '#core/light/optics'
import type { MeasuredLight } from './lights'

/** Samples from the axis out, rows round it (the first once more at the end), and how many lights have a place. */
const STEPS = 64
const ROWS = 25
const MOST = 80
const HEIGHT = ROWS * MOST

const levels = new Uint8Array(STEPS * HEIGHT)
const places = new Map<string, number>()
let sheet: DataTexture | null = null

export function profileSheet(): DataTexture {
  if (sheet) return sheet
  sheet = new DataTexture(levels, STEPS, HEIGHT, RedFormat)
  sheet.minFilter = LinearFilter
  sheet.magFilter = LinearFilter
  sheet.wrapS = ClampToEdgeWrapping
  sheet.wrapT = ClampToEdgeWrapping
  sheet.needsUpdate = true
  return sheet
}

/** Where a light stands on the sheet; written there first where it does not stand yet, instead of the one asked for longest ago. */
export function profilePlace(light: MeasuredLight): number {
  const known = places.get(light.key)
  if (known !== undefined) {
    places.delete(light.key)
    places.set(light.key, known)
    return known
  }
  const [oldest] = places.keys()
  const place = places.size < MOST ? places.size : (places.get(oldest ?? '') ?? 0)
  if (places.size >= MOST && oldest !== undefined) places.delete(oldest)
  places.set(light.key, place)
  write(light, place)
  profileSheet().needsUpdate = true
  return place
}

/** Levels are kept as their square root: dim light needs the finer steps. */
function write({ optics, beamAngle, spread }: MeasuredLight, place: number): void {
  const part = partBeside(optics, beamAngle)
  for (let row = 0; row < ROWS; row++)
    for (let step = 0; step < STEPS; step++) {
      const level = part((spread * step) / (STEPS - 1), (360 * row) / (ROWS - 1))
      levels[(place * ROWS + row) * STEPS + step] = Math.round(255 * Math.sqrt(level))
    }
}

/** The light `off` half beam angles beside the axis and `round` radians about it, as `beside(off, round)`; place and spread as `vProfile`. */
export const PROFILE_SHADER = /* glsl */ `
  uniform sampler2D profileSheet;
  varying vec2 vProfile;
  float measuredBeside(float off, float round) {
    if (off > vProfile.y) return 0.0;
    float along = (off / vProfile.y * ${(STEPS - 1).toFixed(1)} + 0.5) / ${STEPS.toFixed(1)};
    float row = vProfile.x * ${ROWS.toFixed(1)} + fract(round / 6.28318530718) * ${(ROWS - 1).toFixed(1)} + 0.5;
    float root = texture2D(profileSheet, vec2(along, row / ${HEIGHT.toFixed(1)})).r;
    return root * root;
  }
`
