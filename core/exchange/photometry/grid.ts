/** What a photometric file tells: candela by plane and angle, and what it becomes as a row of a zoom. */
import { angleAt, lumenOf, partToward, type Distribution } from '../../light/distribution'
import type { OpticsRow } from '../../light/optics'
import { Notes, type Note } from '../notes'

/** Candela as the file has it, its symmetry undone: planes from 0 to under 360, angles from the axis, both rising. */
export interface CandelaGrid {
  readonly planes: readonly number[]
  readonly off: readonly number[]
  readonly candela: readonly (readonly number[])[]
}

/** The most planes and angles a type keeps. */
const MOST = { planes: 16, off: 64 }
const MOST_CANDELA = 1e9
/** Less light than this part of the brightest is none. */
const DARK = 0.001
/** The brightest so far beside the axis wants a look, degrees. */
const BESIDE = 3

export interface MeasuredRow {
  readonly row: OpticsRow & { readonly measured: Distribution }
  readonly lumen: number
  readonly notes: readonly Note[]
}

/** A sentence for a file without light, or with more than a type can have. */
export function measuredRow(grid: CandelaGrid): MeasuredRow | string {
  const candela = Math.max(...grid.candela.map((plane) => Math.max(...plane)))
  if (!(candela > 0)) return 'There is no light in it: every candela is 0.'
  if (candela > MOST_CANDELA) return `Its brightest is ${candela.toPrecision(3)} cd, more than any lamp has.`
  const whole = partsOf(grid, candela)
  const kept = fewer(whole)
  const notes = new Notes()
  const lost = deviation(whole, kept)
  if (lost > 0.005)
    notes.look(
      `${whole.planes.length} planes, ${whole.off.length} angles`,
      `kept at ${kept.planes.length} by ${kept.off.length}; between them it differs by up to ${(lost * 100).toFixed(1)} % of the peak`,
    )
  const beside = whole.off[brightestAt(whole)] ?? 0
  if (beside > BESIDE) notes.look('the brightest light', `goes ${beside.toFixed(1)}° beside the axis`)
  const beam = within(angleAt(kept, 0.5), 0.1, 160)
  const field = within(angleAt(kept, 0.1), beam * 1.001, 170)
  const row = { beam: tidy(beam), field: Math.max(tidy(field), tidy(beam) + 0.01), candela, measured: kept }
  return { row, lumen: candela * lumenOf(kept), notes: notes.all }
}

const within = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value))
const tidy = (value: number) => Math.round(value * 1000) / 1000
const asPart = (value: number) => Math.min(1, Math.max(0, Math.round(value * 1e5) / 1e5))

/** As parts of the brightest, without the dark beyond the last light. */
function partsOf({ planes, off, candela }: CandelaGrid, peak: number): Distribution {
  const isLit = (i: number) => candela.some((plane) => (plane[i] ?? 0) > DARK * peak)
  const last = off.findLastIndex((_, i) => isLit(i))
  const end = Math.max(2, last + 2)
  return {
    planes: [...planes],
    off: off.slice(0, end),
    parts: candela.map((plane) => plane.slice(0, end).map((value) => asPart(value / peak))),
  }
}

function brightestAt({ parts }: Distribution): number {
  const [first] = parts.map((plane) => plane.indexOf(1)).filter((i) => i >= 0)
  return first ?? 0
}

/** The same light at fewer planes and angles, where it has more than are kept. */
function fewer(light: Distribution): Distribution {
  const evenly = (count: number, end: number) => Array.from({ length: count }, (_, i) => (end * i) / count)
  const planes = light.planes.length > MOST.planes ? evenly(MOST.planes, 360) : light.planes
  const off = light.off.length > MOST.off ? chosenAngles(light) : light.off
  if (planes === light.planes && off === light.off) return light
  const parts = planes.map((round) => off.map((beside) => asPart(partToward(light, beside, round))))
  return { planes, off, parts }
}

/** Angles of the file that matter most: from all of them, those are dropped that lie nearest to the line between their neighbours. */
function chosenAngles({ off, parts }: Distribution): number[] {
  const kept = off.map((_, i) => i)
  const bend = (place: number) => {
    const [before, at, after] = [kept[place - 1] ?? 0, kept[place] ?? 0, kept[place + 1] ?? 0]
    const [from, here, to] = [off[before] ?? 0, off[at] ?? 0, off[after] ?? 0]
    const share = (here - from) / (to - from)
    return Math.max(
      ...parts.map((plane) => {
        const [low, middle, high] = [plane[before] ?? 0, plane[at] ?? 0, plane[after] ?? 0]
        return Math.abs(low + (high - low) * share - middle)
      }),
    )
  }
  const bends = kept.map((_, place) => (place === 0 || place === kept.length - 1 ? Infinity : bend(place)))
  while (kept.length > MOST.off) {
    const least = bends.indexOf(Math.min(...bends))
    kept.splice(least, 1)
    bends.splice(least, 1)
    for (const near of [least - 1, least]) if (near > 0 && near < kept.length - 1) bends[near] = bend(near)
  }
  return kept.map((i) => off[i] ?? 0)
}

/** How far one is from the other at most, at the angles of the first, as a part of the peak. */
function deviation(from: Distribution, to: Distribution): number {
  let most = 0
  for (const [i, round] of from.planes.entries())
    for (const [j, beside] of from.off.entries())
      most = Math.max(most, Math.abs((from.parts[i]?.[j] ?? 0) - partToward(to, beside, round)))
  return most
}
