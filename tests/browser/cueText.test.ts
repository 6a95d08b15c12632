/** Cues go out as plain text and come back as a list of their own, linked to the palettes they were made of. */
import { readFile } from 'node:fs/promises'
import { expect, expectAccessible, test } from './app'

test('writes a list as cue text, looks into it and takes it back linked and tied', async ({ showPage }) => {
  await showPage.getByRole('link', { name: 'Cues', exact: true }).click()
  const table = showPage.waitForEvent('download')
  await showPage.getByRole('button', { name: 'Take out main, position' }).click()
  await showPage.getByRole('menuitem', { name: 'As a table (CSV)' }).click()
  const sheet = (await readFile(await (await table).path(), 'utf8')).replace(/^\uFEFF/, '').split('\r\n')
  expect(sheet[0]).toMatch(/^cue,name,rise,fall,\d+,/)
  expect(sheet.find((line) => line.startsWith('11,Lantern lit,0.8,0.8,'))).toContain('Lantern gallery')

  await showPage.getByRole('button', { name: 'Settings of this list' }).click()
  const download = showPage.waitForEvent('download')
  await showPage.getByRole('button', { name: 'Write as cue text (USITT ASCII)' }).click()
  const file = await (await download).path()

  await showPage.getByRole('button', { name: /show menu$/ }).click()
  await showPage.getByRole('menuitem', { name: 'Open cue text' }).click()
  const dialog = showPage.getByRole('dialog', { name: 'Open cue text' })
  await dialog
    .getByLabel('Choose the file')
    .setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('Call the house') })
  await expect(dialog.getByRole('alert')).toHaveText(/^notes.txt holds no cues/)
  await dialog
    .getByLabel('Choose the file')
    .setInputFiles({ name: 'Touring.asc', mimeType: 'text/plain', buffer: await readFile(file) })
  const look = showPage.getByRole('dialog', { name: 'Touring into The Salt Lantern' })
  await expect(look.getByRole('status')).toHaveText(
    /^43 cues of \d+ fixtures, \d+ links to palettes, \d+ places tied to the stage, \d+ loose values\.$/,
  )
  await expect(look.getByRole('row', { name: /^11 Lantern lit 0\.8 0\.8 \d+ \d+$/ })).toBeVisible()
  await expectAccessible(showPage)
  await look.getByRole('radio', { name: 'as it came' }).click()
  await expect(look.getByRole('status')).toHaveText(/, 0 links to palettes, 0 places tied to the stage/)
  await look.getByRole('radio', { name: 'linked and tied' }).click()
  await expect(look.getByRole('status')).not.toHaveText(/, 0 links/)
  await look.getByRole('button', { name: 'Take as a list' }).click()
  await expect(look).toBeHidden()
  await expect(showPage.getByRole('button', { name: /^Undo: take 43 cues as Touring/ })).toBeVisible()
})
