/**
 * How near colours are to the eye, and which slot of a wheel comes nearest. Colours are levels of
 * red, green and blue, 0 to 1, as sRGB; distance is that of CIE 1976 L*a*b* (D65), where about 2
 * can just be told apart.
 */
import type { Wheel } from '../show/entities'

export interface Rgb {
  readonly red: number
  readonly green: number
  readonly blue: number
}

const linear = (level: number) => (level <= 0.04045 ? level / 12.92 : ((level + 0.055) / 1.055) ** 2.4)
const root = (t: number) => (t > 216 / 24389 ? Math.cbrt(t) : (t * 24389) / 27 / 116 + 16 / 116)

function lab({ red, green, blue }: Rgb): readonly [number, number, number] {
  const [r, g, b] = [linear(red), linear(green), linear(blue)]
  const x = root((0.4124564 * r + 0.3575761 * g + 0.1804375 * b) / 0.95047)
  const y = root(0.2126729 * r + 0.7151522 * g + 0.072175 * b)
  const z = root((0.0193339 * r + 0.119192 * g + 0.9503041 * b) / 1.08883)
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)]
}

/** The distance of two colours, 0 for the same; black and white are 100 apart. */
export function colourDistance(a: Rgb, b: Rgb): number {
  const [l1, a1, b1] = lab(a)
  const [l2, a2, b2] = lab(b)
  return Math.hypot(l1 - l2, a1 - a2, b1 - b2)
}

/** "#rrggbb" as levels; null for a slot without a colour. */
export function colourOf(text: string | null): Rgb | null {
  const match = text === null ? null : /^#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i.exec(text)
  if (!match) return null
  const level = (at: number) => Number.parseInt(match[at] ?? '0', 16) / 255
  return { red: level(1), green: level(2), blue: level(3) }
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
