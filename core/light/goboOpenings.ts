/** What gobos let through: rings on the gate, each filled. */
import type { GatePoint, GateRing } from './gatePoint'

export const GOBO_PATTERNS = ['open', 'dots', 'breakup', 'bars', 'ring', 'window', 'ripples', 'star', 'net'] as const
export type GoboPattern = (typeof GOBO_PATTERNS)[number]

/** How far from the middle a gobo is cut. */
const CUT = 0.92

function disc(x: number, y: number, radius: number, corners = 14): GateRing {
  return Array.from({ length: corners }, (_, i): GatePoint => {
    const angle = (i / corners) * 2 * Math.PI
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)]
  })
}
const box = (x: number, y: number, width: number, height: number): GateRing => [
  [x, y],
  [x + width, y],
  [x + width, y + height],
  [x, y + height],
]

/** A line across the gate, as far as gobos are cut, `aside` of its middle, leaning by an angle. */
function strip(aside: number, width: number, lean: number): GateRing {
  const long = Math.sqrt(CUT * CUT - (Math.abs(aside) + width / 2) ** 2)
  const [c, s] = [Math.cos(lean), Math.sin(lean)]
  return box(aside - width / 2, -long, width, 2 * long).map(([x, y]): GatePoint => [x * c - y * s, x * s + y * c])
}

/** A band that waves from side to side. */
function ripple(y: number): GateRing {
  const half = Math.sqrt(CUT * CUT - (Math.abs(y) + 0.16) ** 2)
  const upper = Array.from({ length: 25 }, (_, i): GatePoint => {
    const x = -half + (i / 24) * 2 * half
    return [x, y + 0.1 * Math.sin(x * 9)]
  })
  return [...upper, ...upper.map(([x, at]): GatePoint => [x, at - 0.12]).reverse()]
}

/** Round with a hole: the inner edge runs the other way, joined to the outer by a seam. */
function annulus(outer: number, inner: number): GateRing {
  const ends = [disc(0, 0, outer, 36), disc(0, 0, inner, 36)].map((ring) => [...ring, ...ring.slice(0, 1)])
  return [...(ends[0] ?? []), ...(ends[1] ?? []).reverse()]
}

const star = Array.from({ length: 10 }, (_, i): GatePoint => {
  const radius = i % 2 === 0 ? 0.86 : 0.34
  return [radius * Math.sin((i * Math.PI) / 5), radius * Math.cos((i * Math.PI) / 5)]
})

const OPENINGS: Readonly<Record<GoboPattern, readonly GateRing[]>> = {
  open: [disc(0, 0, 1, 48)],
  dots: [
    [-0.42, 0.42],
    [0.34, 0.5],
    [0, 0],
    [-0.5, -0.34],
    [0.42, -0.34],
    [0, -0.66],
    [0.68, 0.08],
  ].map(([x = 0, y = 0]) => disc(x, y, 0.17)),
  breakup: [
    [
      [-0.7, 0.26],
      [-0.34, 0.6],
      [-0.08, 0.34],
      [-0.34, 0.08],
    ],
    [
      [0.08, 0.7],
      [0.6, 0.52],
      [0.42, 0.18],
      [0.08, 0.36],
    ],
    [
      [-0.52, -0.26],
      [-0.08, -0.08],
      [0.08, -0.43],
      [-0.34, -0.7],
    ],
    [
      [0.34, -0.08],
      [0.78, -0.17],
      [0.52, -0.6],
      [0.26, -0.43],
    ],
  ],
  bars: [-0.54, -0.18, 0.18, 0.54].map((x) => strip(x, 0.2, 0)),
  ring: [annulus(0.7, 0.46)],
  window: [
    box(-0.54, 0.06, 0.46, 0.6),
    box(0.08, 0.06, 0.46, 0.6),
    box(-0.54, -0.66, 0.46, 0.6),
    box(0.08, -0.66, 0.46, 0.6),
  ],
  ripples: [-0.6, -0.3, 0, 0.3, 0.6].map((y) => ripple(y + 0.06)),
  star: [star],
  net: [-0.5, 0, 0.5].flatMap((aside) => [strip(aside, 0.1, Math.PI / 4), strip(aside, 0.1, -Math.PI / 4)]),
}

/** The openings of a pattern, all within the rim. */
export function openingsOf(pattern: GoboPattern): readonly GateRing[] {
  return OPENINGS[pattern]
}
