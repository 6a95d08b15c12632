/** Light that was measured: looked at, put into a type, seen in lux, written and read again. */
import { readFileSync } from 'node:fs'
import { expect, expectAccessible, test } from './app'

test('a photometric file becomes a row of a zoom, and is written again', async ({ showPage }) => {
  await showPage.getByRole('link', { name: 'Rig', exact: true }).click()
  await showPage.getByRole('link', { name: 'Types' }).click()
  await showPage
    .getByRole('navigation', { name: 'Types' })
    .getByRole('button', { name: /Dunlin 400/ })
    .click()
  const type = showPage.getByRole('region', { name: 'Type' })
  await type.getByLabel('Open photometry').setInputFiles({
    name: 'list.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('apples and pears'),
  })
  await expect(type.getByRole('alert')).toHaveText(/list\.txt was not read\. .*no EULUMDAT/)
  await type.getByLabel('Open photometry').setInputFiles('tests/files/lopsided.ldt')
  const look = type.getByRole('region', { name: 'Light of lopsided.ldt' })
  await expect(look).toContainText('9,000 cd')
  await expect(look).toContainText('4 planes, 15 angles')
  await expect(look.getByRole('combobox', { name: 'It goes in' })).toHaveValue('2')
  await expectAccessible(showPage)
  await look.getByRole('button', { name: 'Put it in the table' }).click()
  await expect(look).toBeHidden()
  await expect(type.getByRole('img', { name: 'Light 35° to either side of the axis, as measured' })).toBeVisible()
  await expect(type.getByText('90 lux')).toBeVisible()
  await showPage.getByRole('button', { name: 'Keep changes' }).click()
  await expect(showPage.getByRole('button', { name: /^Undo/ })).toContainText('Dunlin 400')

  const download = showPage.waitForEvent('download')
  await type.getByRole('button', { name: /^Write the light of Dunlin 400 at 36/ }).click()
  await type.getByRole('menuitem', { name: 'Write as IES LM-63' }).click()
  const written = await (await download).path()
  expect(readFileSync(written, 'utf8')).toMatch(/^IESNA:LM-63-2002\r\n[\s\S]*TILT=NONE\r\n1 -1 1 91 25 1 2/)
  await type.getByLabel('Open photometry').setInputFiles({
    name: 'again.ies',
    mimeType: 'text/plain',
    buffer: readFileSync(written),
  })
  await expect(type.getByRole('region', { name: 'Light of again.ies' })).toContainText('9,000 cd')
  await type.getByRole('button', { name: 'Leave it' }).click()
  await type.getByRole('button', { name: /^Forget how the light at 36/ }).click()
  await expect(type.getByRole('img', { name: /as measured/ })).toBeHidden()
})
