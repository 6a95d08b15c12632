/** The everyday jobs, each in no more gestures than it may take; `npm run gestures` prints the counts. */
import { GestureCounter } from '../../scripts/gestures/counter'
import { JOBS } from '../../scripts/gestures/jobs'
import { readSnapshot } from '../../app/session/responses'
import { expect, select, test } from './app'

for (const { name, room, wanted, play, check } of JOBS)
  test(`${name}, in ${wanted} gestures`, async ({ showPage, url }) => {
    if (room !== 'focus') await showPage.getByRole('link', { name: 'Cues', exact: true }).click()
    const hand = new GestureCounter(showPage)
    await play(hand)
    const { origin, pathname } = new URL(url)
    const read = async () => {
      const response = await showPage.request.get(`${origin}/api/shows/${pathname.split('/')[2] ?? ''}`)
      return readSnapshot(await response.text()).show
    }
    await expect.poll(() => check(read)).toBeNull()
    expect(hand.total).toBeLessThanOrEqual(wanted)
  })

test('keys go through shelves and rooms, recall, take, bring home and clear', async ({ showPage }) => {
  const hand = showPage.getByRole('complementary', { name: 'In hand' })
  await showPage.keyboard.press('Shift+PageUp')
  await expect(showPage.getByRole('tab', { name: 'position' })).toHaveAttribute('aria-selected', 'true')
  await showPage.keyboard.press('Shift+PageDown')
  await expect(showPage.getByRole('tab', { name: 'focus' })).toHaveAttribute('aria-selected', 'true')
  await showPage.keyboard.press('Alt+Shift+Digit2')
  await expect(showPage.getByRole('button', { name: /^Palette 2 Dory stern, in hand/ })).toBeVisible()
  await showPage.keyboard.press('Alt+Shift+l')
  await expect(hand.getByText('nothing', { exact: true })).toBeVisible()
  await select(showPage, '11')
  await showPage.keyboard.press('Alt+Shift+o')
  await expect(showPage.getByRole('button', { name: /^Undo: .* of fixture 11 home/ })).toBeVisible()
  await showPage.keyboard.press('Alt+q')
  await expect(showPage.getByRole('form', { name: 'Record a cue' })).toBeVisible()
  await showPage.keyboard.press('Escape')
  await showPage.keyboard.press('Escape')
  await showPage.keyboard.press('Alt+Shift+q')
  await expect(showPage.getByRole('link', { name: 'Cues', exact: true })).toHaveAttribute('aria-current', 'page')
  await showPage.keyboard.press('Alt+Shift+r')
  await expect(showPage.getByRole('link', { name: 'Rig', exact: true })).toHaveAttribute('aria-current', 'page')
  await showPage.keyboard.press('Alt+Shift+c')
  await expect(showPage.getByRole('link', { name: 'Focus', exact: true })).toHaveAttribute('aria-current', 'page')
})
