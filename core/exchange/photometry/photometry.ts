/** Photometric files of either kind, looked at and turned into a row of a zoom. */
import { measuredRow, type MeasuredRow } from './grid'
import { readEulumdat } from './eulumdat'
import { isIes, readIes } from './ies'

export interface Photometry extends MeasuredRow {
  readonly kind: 'IES LM-63' | 'EULUMDAT'
  /** As the file calls it; either may be empty. */
  readonly name: string
  readonly maker: string
}
export type PhotometryReading =
  { readonly ok: true; readonly photometry: Photometry } | { readonly ok: false; readonly message: string }

/** Larger files are no photometry. Characters. */
export const LARGEST_PHOTOMETRY = 4_000_000

export function readPhotometry(text: string): PhotometryReading {
  if (text.length > LARGEST_PHOTOMETRY) return { ok: false, message: 'It is larger than a photometric file is.' }
  const kind = isIes(text) ? 'IES LM-63' : 'EULUMDAT'
  const reading = kind === 'EULUMDAT' ? readEulumdat(text) : readIes(text)
  if (!reading.ok) return { ok: false, message: reading.message }
  const measured = measuredRow(reading.text.grid)
  if (typeof measured === 'string') return { ok: false, message: measured }
  const { name, maker } = reading.text
  return { ok: true, photometry: { kind, name, maker, ...measured } }
}
