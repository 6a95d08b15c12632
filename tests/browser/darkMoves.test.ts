/** Moves nobody is to see: planned, kept, played, and taken back. */
import type { Page } from '@playwright/test'
import { expect, expectAccessible, test } from './app'

const panel = (page: Page) => page.getByRole('complementary', { name: 'Moves in the dark' })
const lines = (page: Page) => page.getByRole('grid', { name: 'Moves in the dark' })
const line = (page: Page, words: string | RegExp) => lines(page).getByRole('row', { name: words })

async function openPlan(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Cues' }).click()
  await page.getByRole('button', { name: '9 cues lit on the way' }).click()
  await expect(line(page, /Lantern lit.*lit on the way/)).toBeVisible()
}

test('a plan of moves in the dark is seen before it is kept, and stripped again', async ({ showPage }) => {
  await openPlan(showPage)
  await panel(showPage).getByRole('button', { name: 'Show the plan' }).click()
  await expect(panel(showPage).getByRole('status')).toHaveText(/^It would be: \d cues in place before/)
  await expect(line(showPage, /Lantern lit.*in 6, after 12\.2 s.*in place before/)).toBeVisible()
  await expect(line(showPage, /Down to the jetty.*another list may light it/)).toBeVisible()
  await expectAccessible(showPage)

  await panel(showPage).getByRole('button', { name: 'colour' }).click()
  await expect(line(showPage, /Storm gathers.*colour.*live on purpose/)).toBeVisible()
  await panel(showPage).getByRole('button', { name: 'Put back' }).click()
  await expect(line(showPage, /Lantern lit.*lit on the way/)).toBeVisible()

  await panel(showPage).getByRole('button', { name: 'Show the plan' }).click()
  await panel(showPage).getByRole('button', { name: 'Keep' }).click()
  await expect(showPage.getByRole('button', { name: '1 cue lit on the way' })).toBeVisible()
  await expect(line(showPage, /Storm gathers.*live on purpose/)).toBeVisible()
  await panel(showPage).getByRole('button', { name: 'Strip all' }).click()
  await expect(line(showPage, /Storm gathers.*lit on the way/)).toBeVisible()
  await showPage.keyboard.press('Control+z')
  await expect(line(showPage, /Storm gathers.*live on purpose/)).toBeVisible()
})

test('one line can go in a cue that is named, or in one of its own', async ({ showPage }) => {
  await openPlan(showPage)
  await line(showPage, /Lantern lit/).click()
  await panel(showPage).getByRole('radio', { name: '1 line' }).click()
  await panel(showPage).getByRole('radio', { name: 'in a cue' }).click()
  await panel(showPage).getByLabel('In cue').selectOption({ label: '9 House to half' })
  await panel(showPage).getByRole('button', { name: 'Show the plan' }).click()
  await panel(showPage).getByRole('button', { name: 'Keep' }).click()
  await expect(line(showPage, /Lantern lit.*in 9.*in place before/)).toBeVisible()

  await panel(showPage).getByRole('button', { name: 'that comes by itself' }).click()
  await expect(line(showPage, /Lantern lit.*in 10\.5.*in place before/)).toBeVisible()
  await showPage.getByRole('radio', { name: 'Carry sheet' }).click()
  await expect(showPage.getByRole('button', { name: /^Cue 10\.5 Move in the dark/ })).toBeVisible()
})

test('what moves in the dark is in place when its cue comes', async ({ showPage }) => {
  await openPlan(showPage)
  await panel(showPage).getByRole('button', { name: 'Show the plan' }).click()
  await panel(showPage).getByRole('button', { name: 'Keep' }).click()
  // Lines grow together as the cues are looked through.
  await expect(showPage.getByRole('button', { name: '1 cue lit on the way' })).toBeVisible()
  await lines(showPage).getByRole('gridcell', { name: 'Lantern lit' }).click()
  await showPage.getByRole('button', { name: 'Dark moves', exact: true }).click()
  const detail = showPage.getByRole('complementary', { name: 'Cue 11' })
  await expect(detail).toContainText('No head turns in this cue.')
  await showPage.getByRole('main').press('ArrowLeft')
  for (let i = 0; i < 4; i++) await showPage.getByRole('main').press('ArrowLeft')
  await expect(showPage.getByRole('complementary', { name: 'Cue 6' })).toContainText('8 fixtures move in the dark.')

  await showPage.getByRole('button', { name: 'Whole cue' }).click()
  await showPage.getByRole('checkbox', { name: /^Quiet/ }).check()
  await showPage.getByRole('button', { name: 'Dark moves', exact: true }).click()
  await expect(line(showPage, /Lantern lit.*in 7.*in place before/)).toBeVisible()
})
