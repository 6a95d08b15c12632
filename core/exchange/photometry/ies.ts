/**
 * IES LM-63 (1986 to 2019): photometry as text. After keyword lines and TILT come numbers in any layout:
 * lamps, lumens of each, multiplier, how many vertical and horizontal angles, kind of photometry (1 is C,
 * 2 is B, 3 is A), units, width, length, height; ballast factor, ballast-lamp factor, watts; the vertical
 * angles, the horizontal ones, and candela by horizontal angle.
 */
import { DEGREE } from '../../geometry/rotation'
import { isRising } from '../../light/distribution'
import type { CandelaGrid } from './grid'
import { mirrored, whole, type Planes } from './symmetry'

export interface PhotometryText {
  readonly name: string
  readonly maker: string
  readonly grid: CandelaGrid
}
export type TextReading =
  { readonly ok: true; readonly text: PhotometryText } | { readonly ok: false; readonly message: string }

/** More angles than this are no photometry of a lamp. */
const MOST_ANGLES = 1500
const MOST_VALUES = 400_000

const refused = (message: string) => ({ ok: false, message }) as const

export function isIes(text: string): boolean {
  return /^\uFEFF?\s*IES/i.test(text) || /^\s*TILT\s*=/im.test(text.slice(0, 20_000))
}

export function readIes(text: string): TextReading {
  const lines = text.split(/\r\n|\r|\n/)
  const tiltAt = lines.findIndex((line) => /^\s*TILT\s*=/i.test(line))
  if (tiltAt < 0) return refused('It has no line “TILT=”, after which the numbers stand.')
  const keywords = keywordsIn(lines.slice(0, tiltAt))
  const numbers = new Numbers(lines.slice(tiltAt + 1).join(' '))
  if (/=\s*INCLUDE/i.test(lines[tiltAt] ?? '')) numbers.skipTilt()
  const head = numbers.take(13)
  if (!head) return refused('It ends before its thirteen numbers about lamp and sizes are there.')
  const measured = readMeasured(numbers, head)
  if (typeof measured === 'string') return refused(measured)
  return { ok: true, text: { ...keywords, grid: measured } }
}

/** What counts of the thirteen numbers; what stands in the file times `factor` is candela. */
function inHead(head: readonly number[]) {
  const [, , multiplier = 1, vertical = 0, horizontal = 0, kind = 1, , , , , ballast = 1, ballastLamp = 1] = head
  return { vertical, horizontal, kind, factor: multiplier * ballast * (ballastLamp || 1) }
}

/** Angles and candela after the thirteen numbers of the head; a sentence where they make no light. */
function readMeasured(numbers: Numbers, head: readonly number[]): CandelaGrid | string {
  const { vertical, horizontal, kind, factor } = inHead(head)
  const bad = badCount(vertical, 'vertical') ?? badCount(horizontal, 'horizontal')
  if (bad) return bad
  if (vertical * horizontal > MOST_VALUES) return 'It has more angles than a lamp needs.'
  if (![1, 2, 3].includes(kind)) return `Its kind of photometry is ${kind}; 1, 2 and 3 are known.`
  const down = numbers.take(vertical)
  const round = numbers.take(horizontal)
  if (!down || !round) return 'It ends before all its angles are there.'
  if (!isRising(down) || !isRising(round)) return 'Its angles do not rise from one to the next.'
  if ([...down, ...round].some((angle) => Math.abs(angle) > 360) || (down.at(-1) ?? 0) > 180)
    return 'It has angles beyond a full round.'
  const planes: { at: number; values: number[] }[] = []
  for (const at of round) {
    const values = numbers.take(vertical)
    if (!values) return `It ends in the candela of the horizontal angle ${at}°.`
    planes.push({ at, values: values.map((value) => Math.max(0, value * factor)) })
  }
  const grid = kind === 1 ? roundTheAxis(down, planes) : sideways(kind, down, planes)
  return grid ?? 'Its light is not measured about the axis of the beam: no vertical angle of 0° is in it.'
}

function badCount(count: number, what: string): string | null {
  if (Number.isInteger(count) && count >= 1 && count <= MOST_ANGLES) return null
  return `It says it has ${count} ${what} angles; 1 to ${MOST_ANGLES} are read.`
}

function keywordsIn(lines: readonly string[]) {
  const said = new Map<string, string>()
  for (const line of lines) {
    const [, keyword = '', value = ''] = /^\s*\[(\w+)\]\s*(.*)$/.exec(line) ?? []
    if (keyword && !said.has(keyword.toUpperCase())) said.set(keyword.toUpperCase(), value.trim().slice(0, 120))
  }
  return { name: said.get('LUMINAIRE') ?? said.get('LUMCAT') ?? '', maker: said.get('MANUFAC') ?? '' }
}

/** Numbers one after the other, with blanks or commas between. */
class Numbers {
  readonly #words: readonly string[]
  #at = 0

  constructor(text: string) {
    this.#words = text.split(/[\s,]+/).filter((word) => word !== '')
  }

  /** The next `count`; null where fewer are there or one is no number. */
  take(count: number): number[] | null {
    const values = this.#words.slice(this.#at, this.#at + count).map(Number)
    this.#at += count
    return values.length === count && values.every(Number.isFinite) ? values : null
  }

  /** Lamp position, how many pairs, and the pairs: light by how the lamp is tilted, which is not for heads. */
  skipTilt(): void {
    const pairs = Number(this.#words[this.#at + 1])
    this.#at += 2 + (Number.isInteger(pairs) && pairs > 0 ? 2 * pairs : 0)
  }
}

/** Kind C: vertical angles from the axis, planes about it; 0 to 90 or 0 to 180 stand for the rest, mirrored. */
function roundTheAxis(down: readonly number[], planes: Planes): CandelaGrid | null {
  if (down[0] !== 0) return null
  const last = planes.at(-1)?.at ?? 0
  const first = planes[0]?.at ?? 0
  const all = planes.length === 1 ? planes.map(({ values }) => ({ at: 0, values })) : unfolded(planes, first, last)
  return { planes: all.map(({ at }) => at), off: down, candela: all.map(({ values }) => values) }
}

function unfolded(planes: Planes, first: number, last: number): Planes {
  if (first === 0 && last === 90) return mirrored(mirrored(planes, 0), 90)
  if (first === 0 && last === 180) return mirrored(planes, 0)
  if (first === 90 && last === 270) return mirrored(planes, 90)
  return whole(planes)
}

/** Planes and angles light beside an axis in the middle is taken over to. */
const ROUND = Array.from({ length: 16 }, (_, i) => i * 22.5)

/**
 * Kinds B and A, of floodlights: angles either side of the axis, and above and below it. With `h` to the
 * side and `v` up, the direction is, of B, turned by v about the line across and then by h in that plane;
 * of A, turned by h about the upright and then by v. Half a field stands for both halves.
 */
function sideways(kind: number, up: readonly number[], across: Planes): CandelaGrid | null {
  const sides = halved(across.map(({ at }) => at))
  const heights = halved(up)
  const end = Math.min(90, Math.max(...across.map(({ at }) => Math.abs(at)), ...up.map(Math.abs)))
  const candelaAt = (h: number, v: number) => {
    const [column, row] = [sides(h), heights(v)]
    if (!column || !row) return 0
    const at = (i: number, j: number) => across[i]?.values[j] ?? 0
    const low = at(column.low, row.low) * (1 - row.part) + at(column.low, row.high) * row.part
    const high = at(column.high, row.low) * (1 - row.part) + at(column.high, row.high) * row.part
    return low * (1 - column.part) + high * column.part
  }
  const off = Array.from({ length: 91 }, (_, i) => (end * i) / 90)
  const candela = ROUND.map((round) =>
    off.map((beside) => {
      const [x, y, z] = direction(beside, round)
      const [h, v] =
        kind === 2
          ? [Math.asin(x) / DEGREE, Math.atan2(y, z) / DEGREE]
          : [Math.atan2(x, z) / DEGREE, Math.asin(y) / DEGREE]
      return candelaAt(h, v)
    }),
  )
  return { planes: ROUND, off, candela }
}

function direction(beside: number, round: number): readonly [number, number, number] {
  const sine = Math.sin(beside * DEGREE)
  return [sine * Math.cos(round * DEGREE), sine * Math.sin(round * DEGREE), Math.cos(beside * DEGREE)]
}

/** Where a value lies among rising angles; those that begin at 0 stand for both sides. Null outside them. */
function halved(angles: readonly number[]) {
  const isHalf = (angles[0] ?? 0) >= 0
  return (value: number) => {
    const wanted = isHalf ? Math.abs(value) : value
    if (angles.length === 1) return { low: 0, high: 0, part: 0 }
    const high = angles.findIndex((angle) => angle >= wanted - 1e-9)
    if (high < 0 || (high === 0 && wanted < (angles[0] ?? 0) - 1e-9)) return null
    const low = Math.max(0, high - 1)
    const [from, to] = [angles[low] ?? 0, angles[high] ?? 0]
    return { low, high, part: to > from ? (wanted - from) / (to - from) : 0 }
  }
}
