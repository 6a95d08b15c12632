/** The Travel view: what moves, how, and what can be done about it. */
import type { Page } from '@playwright/test'
import { expect, expectAccessible, test } from './app'

async function openTravel(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Cues' }).click()
  await page.getByRole('radio', { name: 'Travel' }).click()
  await expect(page.getByRole('group', { name: 'Plan of the moves' })).toBeVisible()
}
const detail = (page: Page, number: number) => page.getByRole('complementary', { name: `Cue ${number}` })

test('shows where the light of a cue goes, and runs through it by hand and by itself', async ({ showPage }) => {
  await openTravel(showPage)
  await expect(detail(showPage, 14)).toContainText('12 fixtures move while lit, in 6 s.')
  await expect(detail(showPage, 14)).toContainText('they end the other way round')
  const slider = showPage.getByRole('slider', { name: 'Instant of the move' })
  await slider.focus()
  await showPage.keyboard.press('End')
  await expect(slider).toHaveAttribute('aria-valuetext', '6.0 of 6.0 seconds')
  await showPage.getByRole('button', { name: 'Play the move' }).click()
  await expect(slider).not.toHaveAttribute('aria-valuetext', '6.0 of 6.0 seconds')

  await showPage.getByRole('radio', { name: 'Space' }).click()
  await expect(showPage.getByRole('img', { name: /^The stage in space, \d+ lights$/ })).toBeVisible()
  await showPage.getByRole('radiogroup', { name: 'View of the moves' }).getByRole('radio', { name: 'Plan' }).click()

  const chart = showPage.getByRole('slider', { name: /turn$/ })
  await slider.fill('1')
  await chart.focus()
  await showPage.keyboard.press('ArrowRight')
  await expect(chart).toHaveAttribute('aria-valuetext', /^1\.1 s; pan, fixture \d+: \d+ of \d+ °\/s; tilt/)
  await expectAccessible(showPage)

  await showPage
    .getByRole('list', { name: 'Cues' })
    .getByRole('button', { name: /^14\.5/ })
    .click()
  await expect(showPage.getByRole('slider', { name: 'How fast 31-38 turn' })).toBeVisible()
  await showPage.getByRole('main').press('ArrowRight')
  await expect(detail(showPage, 15)).toBeVisible()
})

test('tells of light that passes through what is kept clear, and what would help', async ({ showPage }) => {
  await openTravel(showPage)
  await showPage.getByRole('button', { name: /cues sweep$/ }).click()
  const list = showPage.getByRole('list', { name: 'Sweeps' })
  await expectAccessible(showPage)
  await list.getByRole('button', { name: /Down to the jetty/ }).click()
  const sweeps = detail(showPage, 8).getByRole('region', { name: 'Sweeps what is kept clear' })
  await sweeps.getByRole('button', { name: /^41 Front rows, 1\.\d to 2\.\d s/ }).click()
  await expect(showPage.getByRole('slider', { name: 'How fast 41 turn' })).toHaveAttribute('aria-valuenow', /^[12]\./)

  const help = detail(showPage, 8).getByRole('region', { name: 'What would help' })
  const see = help.getByRole('button', { name: 'See it: By angle instead of straight' })
  await see.click()
  await expect(showPage.getByText('As it would be: By angle instead of straight')).toBeVisible()
  await see.click()
  await expect(showPage.getByText(/^As it would be/)).toBeHidden()
  await help.getByRole('button', { name: /^Do it: Light \d\.\d s later/ }).click()
  await expect(sweeps.getByRole('button')).toHaveCount(4)
  await showPage.keyboard.press('Control+z')
  await expect(sweeps.getByRole('button')).toHaveCount(6)

  await sweeps.getByRole('button', { name: 'Accept with a reason …' }).click()
  await showPage.keyboard.type('The front rows stay empty')
  await showPage.keyboard.press('Enter')
  await expect(sweeps).toBeHidden()
  await expect(showPage.getByRole('button', { name: '1 accepted' })).toBeVisible()
  await expect(showPage.getByRole('button', { name: '11 cues sweep' })).toBeVisible()
  await expectAccessible(showPage)
  await showPage.getByRole('radio', { name: 'Carry sheet' }).click()
  await expect(
    showPage.getByRole('button', { name: /^Cue 8 Down to the jetty, 6 too fast, \d lit on the way$/ }),
  ).toBeVisible()
  await detail(showPage, 8).getByRole('button', { name: 'Judge again: Front rows: The front rows stay empty' }).click()
  await expect(showPage.getByRole('button', { name: '12 cues sweep' })).toBeVisible()
})

test('a zone is kept clear up to its height', async ({ showPage }) => {
  await showPage.getByRole('link', { name: 'Cues' }).click()
  const before = showPage.getByRole('button', { name: '12 cues sweep' })
  await expect(before).toBeVisible()
  await showPage.getByRole('link', { name: 'Rig' }).click()
  await showPage.getByRole('button', { name: 'Change the venue' }).click()
  const height = showPage.getByRole('group', { name: 'Keep-clear zone Front rows' }).getByLabel('Clear up to')
  await height.fill('7')
  await height.press('Enter')
  await expect(showPage.getByText('Front rows, keep clear to 7 m')).toBeVisible()
  await showPage.getByRole('link', { name: 'Cues' }).click()
  await expect(before).toBeHidden()
  await expect(showPage.getByRole('button', { name: /^\d+ cues sweep$/ })).toBeVisible()
})
