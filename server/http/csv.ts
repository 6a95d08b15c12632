/** Tables as CSV files. */
import Papa from 'papaparse'
import { withoutFormula } from '#core/exchange/aimsTable'

export interface CsvColumn<Key> {
  readonly key: Key
  /** What stands at its head. */
  readonly header: string
}

/** Rows under the heads of their columns; what a spreadsheet would run as a formula is led by an apostrophe. */
export function csvOf<Key extends string>(
  columns: readonly CsvColumn<Key>[],
  rows: readonly Readonly<Record<Key, unknown>>[],
): string {
  const data = rows.map((row) => columns.map(({ key }) => withoutFormula(String(row[key]))))
  return `${Papa.unparse({ fields: columns.map(({ header }) => header), data }, { newline: '\n' })}\n`
}
