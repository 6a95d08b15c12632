/** Hands a table over as a file, for spreadsheets that know its letters by the mark at its head. */
import Papa from 'papaparse'

export function downloadTable(name: string, cells: readonly (readonly string[])[]): void {
  const text = Papa.unparse(
    cells.map((line) => [...line]),
    { newline: '\r\n' },
  )
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([`\uFEFF${text}`], { type: 'text/csv' }))
  link.download = `${name}.csv`
  link.click()
  URL.revokeObjectURL(link.href)
}
