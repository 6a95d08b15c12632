/**
 * Colours as the eye has them, whatever makes them: a chromaticity in the CIE 1931 diagram and how
 * bright it is of the brightest that can be had of it.
 */
import {
  convertLrgbToOklab,
  convertLrgbToRgb,
  convertOklabToLrgb,
  convertRgbToLrgb,
  convertRgbToXyz65,
  convertXyz65ToRgb,
  differenceCiede2000,
  formatHex,
  modeLab65,
  modeRgb,
  modeXyz65,
  parseHex,
  useMode,
} from 'culori/fn'

/** `x` and `y` of CIE 1931 (two degrees), `level` from 0 to 1: 1 is as bright as it can be had. */
export interface Colour {
  readonly x: number
  readonly y: number
  readonly level: number
}

/** A place in the CIE 1931 diagram. */
export type Chromaticity = Omit<Colour, 'level'>

/** Light by tristimulus values, a white of 1 being 1 bright (`y`). */
export interface Tristimulus {
  readonly x: number
  readonly y: number
  readonly z: number
}

/** Light in linear sRGB, whose parts may lie outside 0 to 1 for colours no screen shows. */
interface Linear {
  readonly r: number
  readonly g: number
  readonly b: number
}

useMode(modeRgb)
useMode(modeXyz65)
useMode(modeLab65)
const differenceTold = differenceCiede2000()

/** The white of daylight at 6504 K, CIE D65. */
export const WHITE: Colour = { x: 0.3127, y: 0.329, level: 1 }

/** The tristimulus values of a chromaticity that is 1 bright. */
export function tristimulus({ x, y }: Chromaticity): Tristimulus {
  return { x: x / y, y: 1, z: (1 - x - y) / y }
}

const brightest = ({ r, g, b }: Linear) => Math.max(r, g, b)
const times = ({ r, g, b }: Linear, by: number): Linear => ({ r: r * by, g: g * by, b: b * by })

/** A colour as light of which its strongest part, in linear sRGB, is as high as its level. */
function linearOf(colour: Colour): Linear {
  const light = convertRgbToLrgb(convertXyz65ToRgb(tristimulus(colour)))
  return times(light, colour.level / brightest(light))
}

function colourOf(light: Linear): Colour {
  const level = brightest(light)
  if (level <= 0) return { ...WHITE, level: 0 }
  const { x, y, z } = convertRgbToXyz65(convertLrgbToRgb(light))
  const sum = x + y + z
  return { x: x / sum, y: y / sum, level: Math.min(1, level) }
}

/** The colour of red, green and blue of linear sRGB, each 0 to 1; black is white without any level. */
export function colourOfLevels(red: number, green: number, blue: number): Colour {
  return colourOf({ r: red, g: green, b: blue })
}

/** The colour of some light; brighter than white is as bright as it can be had. */
export function colourOfLight({ x, y, z }: Tristimulus): Colour {
  return colourOf(convertRgbToLrgb(convertXyz65ToRgb({ x, y, z })))
}

/** "#rrggbb" as a colour; null for what is none. */
export function colourOfHex(text: string): Colour | null {
  const read = parseHex(text)
  return read ? colourOf(convertRgbToLrgb(read)) : null
}

/** The colour of red, green and blue of sRGB as a screen shows them, each 0 to 1. */
export function colourOfScreen({ red, green, blue }: ReturnType<typeof screenOf>): Colour {
  return colourOf(convertRgbToLrgb({ r: red, g: green, b: blue }))
}

/** A colour as "#rrggbb": the nearest a screen has in each of red, green and blue. */
export function hexOf(colour: Colour): string {
  return formatHex(convertLrgbToRgb(linearOf(colour)))
}

/** A colour as it is shown on a screen: red, green and blue of sRGB, each 0 to 1. */
export function screenOf(colour: Colour): { readonly red: number; readonly green: number; readonly blue: number } {
  const { r, g, b } = convertLrgbToRgb(linearOf(colour))
  const within = (part: number) => Math.min(1, Math.max(0, part))
  return { red: within(r), green: within(g), blue: within(b) }
}

/** A colour part of the way from one to another, in OKLab, where equal steps look equal; `t` from 0 to 1. */
export function colourBetween(from: Colour, to: Colour, t: number): Colour {
  if (t <= 0) return from
  if (t >= 1) return to
  const [a, b] = [convertLrgbToOklab(linearOf(from)), convertLrgbToOklab(linearOf(to))]
  const part = (one: number, other: number) => one + (other - one) * t
  return colourOf(convertOklabToLrgb({ l: part(a.l, b.l), a: part(a.a ?? 0, b.a ?? 0), b: part(a.b ?? 0, b.b ?? 0) }))
}

/**
 * How far a colour that was made is from the one wanted, in CIE ΔE 2000, where 1 can just be told
 * apart: of both at the brightness of the one wanted, as the eye gets used to how bright it is.
 */
export function colourDifference(wanted: Colour, made: Chromaticity): number {
  const asked = convertRgbToXyz65(convertLrgbToRgb(linearOf(wanted)))
  const got = tristimulus(made)
  return differenceTold(asked, { mode: 'xyz65', x: got.x * asked.y, y: asked.y, z: got.z * asked.y })
}

/** The place of a chromaticity in the CIE 1976 diagram (u′, v′), where equal steps look more nearly equal. */
export function uniformOf({ x, y }: Chromaticity): readonly [u: number, v: number] {
  const w = -2 * x + 12 * y + 3
  return [(4 * x) / w, (9 * y) / w]
}

/** The chromaticity at a place of the CIE 1976 diagram. */
export function chromaticityAt(u: number, v: number): Chromaticity {
  const w = 6 * u - 16 * v + 12
  return { x: (9 * u) / w, y: (4 * v) / w }
}

/** The reach of `whiteOf`, kelvin. */
export const WHITES = { min: 1700, max: 25000 } as const

/**
 * The colour of what glows at a temperature, kelvin from 1700 to 25000: the Planckian locus by the
 * cubic approximation of Kim and others (US patent 7024034), off by less than 0.002 in x and y.
 */
export function whiteOf(kelvin: number): Colour {
  const k = 1000 / Math.min(WHITES.max, Math.max(WHITES.min, kelvin))
  const x =
    kelvin <= 4000
      ? ((-0.2661239 * k - 0.234358) * k + 0.8776956) * k + 0.17991
      : ((-3.0258469 * k + 2.1070379) * k + 0.2226347) * k + 0.24039
  const y =
    kelvin <= 2222
      ? ((-1.1063814 * x - 1.3481102) * x + 2.18555832) * x - 0.20219683
      : kelvin <= 4000
        ? ((-0.9549476 * x - 1.37418593) * x + 2.09137015) * x - 0.16748867
        : ((3.081758 * x - 5.8733867) * x + 3.75112997) * x - 0.37001483
  return { x, y, level: 1 }
}
