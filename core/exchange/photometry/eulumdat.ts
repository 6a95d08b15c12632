/**
 * EULUMDAT (1990): photometry as text, one value a line in a fixed order. Light is told in candela for
 * each 1000 lumen of the lamps; of planes that are as others only the first ones stand in it.
 */
import { isRising } from '../../light/distribution'
import type { TextReading } from './ies'
import { mirrored, whole, type Planes } from './symmetry'

const MOST_PLANES = 721
const MOST_ANGLES = 721

const refused = (message: string) => ({ ok: false, message }) as const

/** Lines before the first set of lamps, and of each set. */
const HEAD = 26
const OF_A_SET = 6
const RATIOS = 10

export function readEulumdat(text: string): TextReading {
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/)
  const number = (line: number) => Number((lines[line - 1] ?? '').trim().replace(',', '.') || Number.NaN)
  const [symmetry, count, angles, sets] = [number(3), number(4), number(6), number(26)]
  if (![0, 1, 2, 3, 4].includes(symmetry)) return refused('Line 3 is no symmetry from 0 to 4: it is no EULUMDAT file.')
  if (!isCount(count, MOST_PLANES))
    return refused(`Line 4 says ${lines[3] ?? ''} planes; 1 to ${MOST_PLANES} are read.`)
  if (!isCount(angles, MOST_ANGLES))
    return refused(`Line 6 says ${lines[5] ?? ''} angles; 1 to ${MOST_ANGLES} are read.`)
  if (!isCount(sets, 20)) return refused(`Line 26 says ${lines[25] ?? ''} sets of lamps; 1 to 20 are read.`)
  // The first set of lamps counts: others are what may be put in instead.
  const lumen = Math.abs(number(HEAD + 3))
  if (!(lumen > 0)) return refused('It does not say how much light its lamps give (the third line of a set of lamps).')
  let at = HEAD + sets * OF_A_SET + RATIOS
  const take = (many: number) => {
    const values = Array.from({ length: many }, (_, i) => number(at + i + 1))
    at += many
    return values.every(Number.isFinite) ? values : null
  }
  const rounds = take(count)
  const off = take(angles)
  if (!rounds || !off) return refused('It ends before all its planes and angles are there, or one is no number.')
  if (off[0] !== 0 || !isRising(off) || (off.at(-1) ?? 0) > 180)
    return refused('Its angles do not rise from 0, the axis, to 180 at most.')
  const told = toldPlanes(symmetry, count)
  const planes: { at: number; values: number[] }[] = []
  for (let i = 0; i < told.many; i++) {
    const values = take(angles)
    if (!values) return refused(`It ends in the candela of plane ${i + 1} of ${told.many}, or one is no number.`)
    const plane = rounds[(told.from + i) % count] ?? 0
    planes.push({ at: plane, values: values.map((value) => Math.max(0, (value * lumen) / 1000)) })
  }
  const all = unfolded(symmetry, planes)
  const grid = { planes: all.map((one) => one.at), off, candela: all.map(({ values }) => values) }
  const said = (line: number) => (lines[line - 1] ?? '').trim().slice(0, 120)
  return { ok: true, text: { name: said(9), maker: said(1), grid } }
}

const isCount = (value: number, most: number) => Number.isInteger(value) && value >= 1 && value <= most

/** Which planes stand in the file, by its symmetry. */
function toldPlanes(symmetry: number, count: number): { readonly from: number; readonly many: number } {
  if (symmetry === 1) return { from: 0, many: 1 }
  if (symmetry === 2) return { from: 0, many: Math.floor(count / 2) + 1 }
  if (symmetry === 3) return { from: Math.floor((3 * count) / 4), many: Math.floor(count / 2) + 1 }
  if (symmetry === 4) return { from: 0, many: Math.floor(count / 4) + 1 }
  return { from: 0, many: count }
}

function unfolded(symmetry: number, planes: Planes): Planes {
  if (symmetry === 1) return planes.map(({ values }) => ({ at: 0, values }))
  if (symmetry === 2) return mirrored(planes, 0)
  if (symmetry === 3) return mirrored(planes, 90)
  if (symmetry === 4) return mirrored(mirrored(planes, 0), 90)
  return whole(planes)
}
