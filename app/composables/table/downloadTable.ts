/** Hands a table over as a file, for spreadsheets that know its letters by the mark at its head. */
import Papa from 'papaparse'
import { withoutFormula } from '#core/exchange/aimsTable'
import { saveFile } from './saveFile'

export function downloadTable(name: string, cells: readonly (readonly string[])[]): void {
  const text = Papa.unparse(
    cells.map((line) => line.map(withoutFormula)),
    { newline: '\r\n' },
  )
  saveFile(`${name}.csv`, new Blob([`\uFEFF${text}`], { type: 'text/csv' }))
}

const SPREADSHEET = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'

/** The same as a spreadsheet: the first line its head, numbers as numbers. The writer is large, and fetched when it is asked for. */
export async function downloadSpreadsheet(name: string, cells: readonly (readonly string[])[]): Promise<void> {
  const { Workbook } = await import('exceljs')
  const book = new Workbook()
  const sheet = book.addWorksheet(sheetName(name), { views: [{ state: 'frozen', ySplit: 1 }] })
  const [head = [], ...rows] = cells
  sheet.addRow([...head]).font = { bold: true }
  for (const row of rows) sheet.addRow(row.map(cellOf))
  sheet.columns.forEach((column, i) => (column.width = widthOf(cells.map((line) => line[i] ?? ''))))
  saveFile(`${name}.xlsx`, new Blob([await book.xlsx.writeBuffer()], { type: SPREADSHEET }))
}

/** Spreadsheets call a sheet by up to 31 letters, some of them not. */
const sheetName = (name: string) =>
  name
    .replaceAll(/[*?:\\/[\]]/g, ' ')
    .trim()
    .slice(0, 31) || 'Table'

/** A number where it reads as one to the last digit: "0012" stays a text. */
function cellOf(text: string): string | number {
  const number = Number(text)
  return text.trim() !== '' && Number.isFinite(number) && /^-?(0|[1-9]\d*)(\.\d+)?$/.test(text) ? number : text
}

const widthOf = (texts: readonly string[]) => Math.min(60, Math.max(6, ...texts.map(({ length }) => length)) + 2)
