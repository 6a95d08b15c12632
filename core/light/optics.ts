/**
 * Photometry of a zoom. The rows of a type's table run from narrow to wide; between them angles
 * are interpolated straight and candela by logarithm, since light thins out by ratios.
 *
 * The beam angle is where the light has half of its peak, the field angle where it has a tenth;
 * both are full angles in degrees.
 */
import { DEGREE } from '../geometry/rotation'
import { lumenOf, partToward, type Distribution } from './distribution'

/** `measured` is what its light was measured to be; without it, it falls off as beam and field angle say. */
export interface OpticsRow {
  readonly beam: number
  readonly field: number
  readonly candela: number
  readonly measured?: Distribution | undefined
}
type Table = readonly OpticsRow[]

/** The beam angles a zoom runs between, degrees; null for a fixed lens. */
export function zoomRange(table: Table): { readonly min: number; readonly max: number } | null {
  const min = table[0]?.beam
  const max = table.at(-1)?.beam
  return min === undefined || max === undefined || table.length < 2 ? null : { min, max }
}

/** The rows on either side of a beam angle and how far it lies between them, 0 to 1; clamped to the table. */
function around(table: Table, beam: number): { low: OpticsRow; high: OpticsRow; part: number } {
  const above = table.findIndex((row) => row.beam >= beam)
  const high = table[above === -1 ? table.length - 1 : above]
  if (!high) throw new RangeError('an optics table has at least one row')
  const low = above > 0 ? (table[above - 1] ?? high) : high
  const part = low === high ? 0 : (beam - low.beam) / (high.beam - low.beam)
  return { low, high, part }
}

/** Field angle at a beam angle, both full and in degrees. */
export function fieldAngle(table: Table, beam: number): number {
  const { low, high, part } = around(table, beam)
  return low.field + (high.field - low.field) * part
}

/** Candela in the middle of the beam at a beam angle in degrees. */
export function peakCandela(table: Table, beam: number): number {
  const { low, high, part } = around(table, beam)
  return low.candela * (high.candela / low.candela) ** part
}

/**
 * How steeply light falls off beside the axis: the power `p` of `2^−(off/b)^p`, which is a half at
 * half the beam angle `b`; it is a tenth at half the field angle `f` where `(f/b)^p = log2 10`.
 */
export function fallOffPower(table: Table, beam: number): number {
  return Math.log(Math.log2(10)) / Math.log(fieldAngle(table, beam) / beam)
}

/**
 * The light of a zoom beside its axis, as a part of its peak: `off` in half beam angles, `round` in
 * degrees about the axis. Rows that were measured give what was measured, scaled to the beam angle.
 */
export function partBeside(table: Table, beam: number): (off: number, round: number) => number {
  const { low, high, part } = around(table, beam)
  const power = fallOffPower(table, beam)
  const ofRow = ({ measured, beam: full }: OpticsRow, off: number, round: number) =>
    measured ? partToward(measured, (off * full) / 2, round) : 2 ** -(off ** power)
  return (off, round) => {
    const narrow = ofRow(low, off, round)
    return low === high ? narrow : narrow + (ofRow(high, off, round) - narrow) * part
  }
}

/** Whether what a zoom gives at a beam angle was measured, at least on one side of it. */
export function isMeasured(table: Table, beam: number): boolean {
  const { low, high } = around(table, beam)
  return low.measured !== undefined || high.measured !== undefined
}

/** Candela `off` degrees beside the axis, `round` degrees about it from the lens's right. */
export function candelaOffAxis(table: Table, beam: number, off: number, round = 0): number {
  return peakCandela(table, beam) * partBeside(table, beam)(Math.abs(off) / (beam / 2), off < 0 ? round + 180 : round)
}

/** Lux on a surface: `E = I · cos(incidence) / L²`; candela, degrees off its normal, metres. */
export function illuminance(candela: number, incidence: number, throwMetres: number): number {
  return (candela * Math.max(0, Math.cos(incidence * DEGREE))) / (throwMetres * throwMetres)
}

/**
 * The light in a beam, lumen for each candela of its peak: `2π ∫ 2^−(off/b)^p · sin(off) d off` out
 * to a right angle, by Simpson's rule. Full angles in degrees, the field angle the wider one.
 */
export function lumenPerCandela(beam: number, field: number): number {
  const power = fallOffPower([{ beam, field, candela: 1 }], beam)
  const light = (off: number) => 2 ** -((off / (beam / 2)) ** power) * Math.sin(off * DEGREE)
  const steps = 2000
  const step = Math.min(90, 6 * field) / steps
  let sum = light(0) + light(steps * step)
  for (let i = 1; i < steps; i++) sum += light(i * step) * (i % 2 === 1 ? 4 : 2)
  return 2 * Math.PI * ((sum * step) / 3) * DEGREE
}

/** The light of a row of the table, lumen for each candela of its peak. */
export function lumenOfRow({ beam, field, measured }: OpticsRow): number {
  return measured ? lumenOf(measured) : lumenPerCandela(beam, field)
}
