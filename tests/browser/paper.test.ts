/** Papers chosen, looked at page by page, saved; and what changed since is told in the next print. */
import { readFile } from 'node:fs/promises'
import { ensurePoppler, toldOf, wordsOfPage } from '../support/poppler'
import { drag, expect, expectAccessible, middle, targetMark, test } from './app'

test.beforeAll(ensurePoppler)

test('charts are chosen, previewed and saved; a moved set piece marks what is other in the next print', async ({
  showPage,
}) => {
  await showPage.getByRole('link', { name: 'Paper', exact: true }).click()
  const chosen = showPage.getByRole('complementary', { name: 'What is printed' })
  const preview = showPage.getByRole('region', { name: 'Preview' })
  const pages = preview.getByRole('region', { name: 'Pages' })
  const saving = preview.getByRole('button', { name: 'Save as PDF' })
  await expect(preview.getByRole('status')).toHaveText(/^21 pages$/)
  const numbers = chosen.getByLabel('Palettes')
  await numbers.fill('one to three')
  await numbers.press('Enter')
  await expect(chosen.getByRole('alert')).toHaveText('Write numbers like 1-12, 15; nothing is all.')
  await numbers.fill('1-3')
  await numbers.press('Enter')
  await expect(preview.getByRole('status')).toHaveText(/^3 pages$/)

  await chosen.getByRole('button', { name: 'Hook-up', exact: true }).click()
  await expect(preview.getByRole('status')).toHaveText(/^7 pages$/)
  await chosen.getByRole('button', { name: 'Hook-up earlier' }).click()
  const marks = preview.getByRole('navigation', { name: 'Bookmarks' })
  await expect(marks.getByRole('button').first()).toHaveText(/^Hook-up\s*1$/)
  await expect(marks.getByRole('button', { name: /^1 Dory bow/ })).toHaveText(/5$/)
  await marks.getByRole('button', { name: /^1 Dory bow/ }).click()
  await expect(pages.getByRole('img', { name: 'Page 5', exact: true })).toBeInViewport()
  await expect(pages.getByRole('img', { name: 'Page 5', exact: true })).toContainText('Dory bow')
  await expectAccessible(showPage)

  const download = showPage.waitForEvent('download')
  await saving.click()
  const pdf = await readFile(await (await download).path())
  expect(toldOf(pdf).get('Pages')).toBe('7')
  expect(wordsOfPage(pdf, 5)).toMatch(/Focus charts by palette\s+version 1/)
  const row = chosen.getByRole('listitem', { name: 'Focus charts by palette' })
  await expect(row).toContainText('version 1 of')
  await expect(showPage.getByRole('button', { name: /^Undo: print Hook-up and Focus charts by palette/ })).toBeVisible()

  await showPage.getByRole('link', { name: 'Focus', exact: true }).click()
  await showPage.keyboard.press('Alt+m')
  const bow = await middle(targetMark(showPage, 'Dory bow'))
  await drag(showPage, bow, { x: bow.x, y: bow.y - 40 })
  await showPage.keyboard.press('Enter')
  await expect(showPage.getByRole('button', { name: /^Undo: move Dory bow/ })).toBeEnabled()
  await showPage.getByRole('link', { name: 'Paper', exact: true }).click()
  const chart = pages.getByRole('img', { name: 'Page 5', exact: true })
  await marks.getByRole('button', { name: /^1 Dory bow/ }).click()
  await expect(chart).toContainText(/Since version 1 of .*: 6 lines other, heading or drawing other/)
  await marks.getByRole('button', { name: /^2 Dory stern/ }).click()
  await expect(pages.getByRole('img', { name: 'Page 6', exact: true })).toContainText(/version 2/)
})
