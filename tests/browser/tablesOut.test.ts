/** Tables leave as they are seen: filtered, sorted, with their columns; aims of chosen palettes for whoever types them elsewhere. */
import { readFileSync } from 'node:fs'
import Papa from 'papaparse'
import { readZip } from '../../server/exchange/zip'
import { expect, expectAccessible, test } from './app'

test('takes a table out as it is seen, as text and as a spreadsheet, and the aims of chosen palettes', async ({
  showPage,
}) => {
  await showPage.getByRole('link', { name: 'Rig' }).click()
  const grid = showPage.getByRole('grid', { name: 'Fixtures' })
  await showPage.getByRole('searchbox', { name: 'Filter fixtures' }).fill('Bar 3')
  await expect(grid.getByRole('row')).toHaveCount(9)
  const heading = grid.getByRole('columnheader').first()
  await heading.getByRole('button').click()
  await heading.getByRole('button').click()
  await expect(heading).toHaveAttribute('aria-sort', 'descending')
  const seen = await grid
    .getByRole('row')
    .evaluateAll((rows) => rows.map((row) => [...row.children].map((cell) => cell.textContent?.trim() ?? '')))

  const takeOut = async (how: string) => {
    const download = showPage.waitForEvent('download')
    await showPage.getByRole('button', { name: 'Take out fixtures' }).click()
    await showPage.getByRole('menuitem', { name: how }).click()
    return readFileSync(await (await download).path())
  }
  const text = (await takeOut('As a table (CSV)')).toString('utf8').replace(/^\uFEFF/, '')
  expect(Papa.parse<string[]>(text.trimEnd()).data).toEqual(seen)

  const book = await readZip(await takeOut('As a spreadsheet (XLSX)'), (name) => name.endsWith('.xml'))
  const part = (name: string) => new TextDecoder().decode(book.get(name))
  const numbers = [...part('xl/worksheets/sheet1.xml').matchAll(/<c r="A\d+"[^>]*><v>(\d+)<\/v>/g)].map(
    ([, value]) => value,
  )
  expect(numbers.slice(1)).toEqual(seen.slice(1).map(([number]) => number))
  expect(part('xl/sharedStrings.xml')).toContain('<t>Bar 3</t>')

  await showPage.getByRole('link', { name: 'Focus', exact: true }).click()
  await showPage.getByRole('button', { name: 'Make, bring in or tidy palettes' }).click()
  await showPage.getByRole('button', { name: 'Import and export sheets …' }).click()
  const sheets = showPage.getByRole('dialog', { name: 'Palette sheets' })
  await expect(sheets.getByRole('button', { name: 'Their aims (CSV)' })).toBeDisabled()
  await sheets.getByRole('checkbox', { name: '1 Dory bow' }).check()
  await sheets.getByRole('checkbox', { name: '4 Jetty end' }).check()
  await expectAccessible(showPage)
  const download = showPage.waitForEvent('download')
  await sheets.getByRole('button', { name: 'Their aims (CSV)' }).click()
  const aims = Papa.parse<Record<string, string>>(readFileSync(await (await download).path(), 'utf8').trim(), {
    header: true,
  }).data
  expect([...new Set(aims.map((line) => line['palette name']))]).toEqual(['Dory bow', 'Jetty end'])
  for (const line of aims) {
    const sixteen = Number(line['pan (16 bit)'])
    expect(Math.abs(sixteen / 65_535 - Number(line['pan (%)']) / 100)).toBeLessThan(1e-4)
    expect(Math.floor(Number(line['pan (24 bit)']) / 256)).toBeGreaterThanOrEqual(sixteen - 1)
  }
})

test('takes out the small tables a page shows, by their names', async ({ showPage }) => {
  await showPage.getByRole('link', { name: 'Output' }).click()
  await showPage.getByRole('radio', { name: 'Controls' }).click()
  const table = showPage.getByRole('region', { name: 'Addresses' }).getByRole('table')
  const seen = await table
    .getByRole('row')
    .evaluateAll((rows) => rows.map((row) => [...row.children].map((cell) => cell.textContent?.trim() ?? '')))
  await showPage.getByRole('button', { name: /show menu/ }).click()
  await showPage.getByRole('menuitem', { name: 'Take out a table' }).click()
  const dialog = showPage.getByRole('dialog', { name: 'Take out a table' })
  await expectAccessible(showPage)
  const download = showPage.waitForEvent('download')
  await dialog.getByRole('button', { name: 'Addresses as CSV' }).click()
  const text = readFileSync(await (await download).path(), 'utf8').replace(/^\uFEFF/, '')
  expect(seen.length).toBeGreaterThan(3)
  expect(Papa.parse<string[]>(text.trimEnd()).data).toEqual(seen)
  await dialog.getByRole('button', { name: 'Close' }).click()
  await showPage.getByRole('link', { name: 'Rig' }).click()
  await expect(showPage.getByRole('grid', { name: 'Fixtures' })).toBeVisible()
  await showPage.getByRole('button', { name: /show menu/ }).click()
  await showPage.getByRole('menuitem', { name: 'Take out a table' }).click()
  await expect(dialog).toContainText('There is none just now')
})
