/**
 * Colours made by flags of coloured glass in front of a white source: cyan, magenta and yellow, each
 * further in taking more out. Light is reckoned in the three bands of ITU-R BT.2020; a flag that is
 * part of the way in lets that part of the light through itself, and flags behind each other multiply.
 */
import { colourOfLight, tristimulus, uniformOf, type Chromaticity, type Colour, type Tristimulus } from './colour'
import type { Mixture } from './emitters'

const BANDS = [0, 1, 2] as const

/** A flag: the chromaticity of the source's light through it when it is all the way in, and the part of the light that comes through, 0 to 1. */
export interface Flag extends Chromaticity {
  readonly flux: number
}

type Bands = readonly [red: number, green: number, blue: number]

/** XYZ to linear BT.2020 and back (D65). */
const TO_BANDS: readonly Bands[] = [
  [1.7166511879712674, -0.3556707837763924, -0.2533662813736598],
  [-0.6666843518324892, 1.6164812366349395, 0.0157685458139111],
  [0.017639857445310783, -0.042770613257808524, 0.9421031212354738],
]
const FROM_BANDS: readonly Bands[] = [
  [0.6369580483012914, 0.14461690358620832, 0.1688809751641721],
  [0.2627002120112671, 0.6779980715188708, 0.05930171646986196],
  [0, 0.028072693049087428, 1.060985057710791],
]

const times = (rows: readonly Bands[], [a, b, c]: Bands): Bands => [
  (rows[0]?.[0] ?? 0) * a + (rows[0]?.[1] ?? 0) * b + (rows[0]?.[2] ?? 0) * c,
  (rows[1]?.[0] ?? 0) * a + (rows[1]?.[1] ?? 0) * b + (rows[1]?.[2] ?? 0) * c,
  (rows[2]?.[0] ?? 0) * a + (rows[2]?.[1] ?? 0) * b + (rows[2]?.[2] ?? 0) * c,
]
const bandsOf = ({ x, y, z }: Tristimulus): Bands => times(TO_BANDS, [x, y, z])
const each = (bands: Bands, change: (band: number, k: 0 | 1 | 2) => number): Bands => [
  change(bands[0], 0),
  change(bands[1], 1),
  change(bands[2], 2),
]
const within = (part: number) => Math.min(1, Math.max(0, part))

/** What a set of flags in front of a source does with light. */
interface Glass {
  readonly source: Bands
  /** What each flag lets through of each band. */
  readonly through: readonly Bands[]
  /** The flag that takes most out of each band, by its place; −1 where none does. */
  readonly master: Bands
}

/** The glass of flags worked with last: many fixtures have the same. */
const glasses = new WeakMap<readonly Flag[], { readonly white: Chromaticity; readonly glass: Glass }>()

function glassOf(flags: readonly Flag[], white: Chromaticity): Glass {
  const known = glasses.get(flags)
  if (known?.white === white) return known.glass
  const glass = freshGlass(flags, white)
  glasses.set(flags, { white, glass })
  return glass
}

function freshGlass(flags: readonly Flag[], white: Chromaticity): Glass {
  const source = bandsOf(tristimulus(white))
  const through = flags.map(({ flux, ...place }) => {
    const { x, y, z } = tristimulus(place)
    return each(bandsOf({ x: x * flux, y: y * flux, z: z * flux }), (band, k) => within(band / source[k]))
  })
  const master = each(source, (_, k) => {
    let [found, least] = [-1, 1]
    for (const [i, bands] of through.entries()) if (bands[k] < least) [found, least] = [i, bands[k]]
    return found
  })
  return { source, through, master }
}

/** What is left of each band behind flags. */
function leftOf({ through }: Glass, levels: readonly number[]): Bands {
  const left: [number, number, number] = [1, 1, 1]
  for (let i = 0; i < through.length; i += 1) {
    const own = through[i]
    const level = levels[i] ?? 0
    if (own) for (const k of BANDS) left[k] *= 1 - level * (1 - own[k])
  }
  return left
}

function lightThrough(glass: Glass, levels: readonly number[]): Tristimulus {
  const left = leftOf(glass, levels)
  const [x, y, z] = times(
    FROM_BANDS,
    each(glass.source, (band, k) => band * left[k]),
  )
  return { x, y, z }
}

function chromaticityOf({ x, y, z }: Tristimulus): Chromaticity {
  const sum = x + y + z
  return { x: x / sum, y: y / sum }
}

/** What the light of a source looks like behind flags: as bright as it is of the most they let through in that colour. */
export function lookOfFlags(flags: readonly Flag[], white: Chromaticity, levels: readonly number[]): Colour {
  const glass = glassOf(flags, white)
  const light = lightThrough(glass, levels)
  if (light.y <= 0) return { ...colourOfLight({ x: 0, y: 0, z: 0 }) }
  const place = chromaticityOf(light)
  const most = lightThrough(glass, setFor(glass, place, 1)).y
  return { ...place, level: most > 0 ? Math.min(1, light.y / most) : 0 }
}

/** The rounds in which flags settle at most, and the move under which they stand: far below what a channel tells apart. */
const ROUNDS = 60
const STILL = 1e-7

/**
 * How far flags go in for a colour: each takes out of the band it masters what the others leave too
 * much of, again and again until nothing moves, the whole as bright as the flags allow. Where one is
 * all the way in and the colour not met, the flags go where they come nearest to it in the CIE 1976
 * diagram.
 */
export function insertFlags(flags: readonly Flag[], white: Chromaticity, wanted: Colour): Mixture {
  const glass = glassOf(flags, white)
  const first = setFor(glass, wanted, wanted.level)
  const isMet = missOf(glass, wanted, first) < 1e-4
  const levels = isMet ? first : nearest(glass, wanted, first)
  const made = chromaticityOf(lightThrough(glass, levels))
  return { levels: levels.map((level) => Math.round(level * 1e6) / 1e6), made: { ...made, level: wanted.level } }
}

/** Rounds are many and every one short: they write into the same lists instead of making new ones. */
function setFor(glass: Glass, place: Chromaticity, level: number): number[] {
  const asked = each(bandsOf(tristimulus(place)), (band, k) => Math.max(0, band) / glass.source[k])
  const top = Math.max(...asked)
  const levels = glass.through.map(() => 0)
  let scale = 1
  for (const part of level === 1 ? [1] : [1, level]) {
    for (let round = 0; round < ROUNDS; round += 1) {
      const scaled = scale
      let moved = 0
      for (const k of BANDS) moved = Math.max(moved, settle(glass, levels, k, (asked[k] / top) * scale * part))
      if (part === 1) {
        scale = 1
        for (const k of BANDS) scale = Math.min(scale, reachOf(glass, levels, k) / (asked[k] / top))
      }
      if (moved < STILL && Math.abs(scale - scaled) < STILL) break
    }
  }
  return levels
}

/** What could come through in a band if the flag that masters it were out. */
function reachOf({ through, master }: Glass, levels: readonly number[], k: 0 | 1 | 2): number {
  let left = 1
  for (let i = 0; i < through.length; i += 1) {
    const own = through[i]
    if (own && i !== master[k]) left *= 1 - (levels[i] ?? 0) * (1 - own[k])
  }
  return left
}

/** Puts the flag that masters a band where as much comes through of it as is wanted; tells how far it moved. */
function settle(glass: Glass, levels: number[], k: 0 | 1 | 2, wanted: number): number {
  const flag = glass.master[k]
  const own = glass.through[flag]
  if (!own) return 0
  const others = reachOf(glass, levels, k)
  const before = levels[flag] ?? 0
  const now = others <= 0 ? 0 : within((1 - wanted / others) / (1 - own[k]))
  levels[flag] = now
  return Math.abs(now - before)
}

function missOf(glass: Glass, wanted: Chromaticity, levels: readonly number[]): number {
  const [u, v] = uniformOf(chromaticityOf(lightThrough(glass, levels)))
  const [wantedU, wantedV] = uniformOf(wanted)
  return Math.hypot(u - wantedU, v - wantedV)
}

/** The smallest step of a flag that is tried where its colour cannot be met: a fourth of what 8 bits tell apart. */
const FINEST = 1e-3
/** What counts as nearer, in (u′, v′), a hundredth of what the eye tells apart: else the search would creep along. */
const NEARER = 1e-5

/** From where flags stand, ever smaller steps of each, one at a time and two against each other, as long as they come nearer. */
function nearest(glass: Glass, wanted: Chromaticity, from: readonly number[]): number[] {
  let levels = [...from]
  let least = missOf(glass, wanted, levels)
  const ways = waysOf(levels.length)
  for (let step = 0.25; step > FINEST; step /= 2) {
    for (let moved = true; moved;) {
      moved = false
      for (const way of ways) {
        const tried = levels.map((level, i) => within(level + step * (way[i] ?? 0)))
        const miss = missOf(glass, wanted, tried)
        if (miss < least - NEARER) [levels, least, moved] = [tried, miss, true]
      }
    }
  }
  return levels
}

/** Every step of −1, 0 or 1 of each flag, but for standing still. */
function waysOf(count: number): number[][] {
  let ways: number[][] = [[]]
  for (let i = 0; i < count; i += 1) ways = ways.flatMap((way) => [-1, 0, 1].map((step) => [...way, step]))
  return ways.filter((way) => way.some((step) => step !== 0))
}
