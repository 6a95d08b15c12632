/**
 * How near colours are to the eye, and which slot of a wheel comes nearest. Colours are levels of
 * red, green and blue, 0 to 1, as sRGB; distance is that of CIE 1976 L*a*b* (D65), where about 2
 * can just be told apart.
 */
import { differenceEuclidean, modeLab65, modeRgb, parseHex, useMode } from 'culori/fn'
import type { Wheel } from '../show/entities'

export interface Rgb {
  readonly red: number
  readonly green: number
  readonly blue: number
}

useMode(modeRgb)
useMode(modeLab65)
const distance = differenceEuclidean('lab65')
const asSrgb = ({ red, green, blue }: Rgb) => ({ mode: 'rgb', r: red, g: green, b: blue }) as const

/** The distance of two colours, 0 for the same; black and white are 100 apart. */
export function colourDistance(a: Rgb, b: Rgb): number {
  return distance(asSrgb(a), asSrgb(b))
}

/** "#rrggbb" as levels; null for a slot without a colour. */
export function colourOf(text: string | null): Rgb | null {
  const colour = text === null ? undefined : parseHex(text)
  return colour ? { red: colour.r, green: colour.g, blue: colour.b } : null
}

/** The slot nearest to a colour, by number from 0, and how far off it is; null for a wheel without colours. */
export function nearestSlot(wheel: Wheel, wanted: Rgb): { readonly slot: number; readonly distance: number } | null {
  let nearest: { slot: number; distance: number } | null = null
  for (const [slot, { colour }] of wheel.slots.entries()) {
    const rgb = colourOf(colour)
    const distance = rgb ? colourDistance(rgb, wanted) : Number.POSITIVE_INFINITY
    if (distance < (nearest?.distance ?? Number.POSITIVE_INFINITY)) nearest = { slot, distance }
  }
  return nearest
}
