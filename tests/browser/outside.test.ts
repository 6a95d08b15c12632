/** What comes from outside: trackers that targets follow, and controls that are learnt. */
import { Client } from 'node-osc'
import { freePort } from '../../scripts/ports'
import { aimOf, expect, expectAccessible, select, test } from './app'

test('a target follows a tracker, and the light that is aimed at it with it', async ({ showPage }, {
  parallelIndex,
}) => {
  await select(showPage, '21')
  await showPage.getByRole('combobox', { name: 'Aim at a target' }).fill('shore m')
  await showPage.getByRole('option', { name: /Shore mark/ }).click()
  const pan = aimOf(showPage, 21).getByRole('cell').nth(1)
  const before = await pan.innerText()

  await showPage.getByRole('link', { name: 'Output', exact: true }).click()
  await showPage.getByRole('radio', { name: 'Trackers' }).click()
  await expect(showPage.getByText('No target follows a tracker yet.')).toBeVisible()
  await showPage.getByRole('combobox', { name: 'Another' }).selectOption({ label: 'Shore mark' })
  const panel = showPage.getByRole('complementary', { name: 'Trackers' })
  // Others walk on this machine too.
  const number = panel.getByRole('region', { name: 'How Shore mark follows' }).getByLabel('Tracker')
  await number.fill(String(71 + parallelIndex))
  await number.press('Enter')
  const row = showPage.getByRole('region', { name: 'Targets that follow' }).getByRole('row', { name: /Shore mark/ })
  await expect(row).toContainText('off')
  await panel.getByRole('switch', { name: 'Off' }).click()
  await expect(row).toContainText('not heard')
  await panel.getByRole('button', { name: 'Let it walk' }).click()
  await expect(row).toContainText('follows')
  await expect(panel.getByRole('row', { name: new RegExp(`${71 + parallelIndex} Walker`) })).toBeVisible()
  await expectAccessible(showPage)
  await showPage.getByRole('link', { name: 'Focus', exact: true }).click()
  await expect(pan).not.toHaveText(before)

  await showPage.getByRole('link', { name: 'Output', exact: true }).click()
  await panel.getByRole('button', { name: 'Stop it' }).click()
  await expect(row).toContainText('lost')
  await panel.getByRole('radio', { name: 'goes back' }).click()
  await expect(row).toContainText('0.00   0.45   0.00')
  await row.getByRole('button', { name: 'Shore mark follows no more' }).click()
  await expect(showPage.getByText('No target follows a tracker yet.')).toBeVisible()
  await showPage.getByRole('button', { name: /^Undo: Shore mark: no tracker/ }).click()
  await expect(row).toBeVisible()
})

test('controls act on what is selected in the window, and one is learnt by moving it', async ({ showPage }, {
  parallelIndex,
}) => {
  const port = await freePort(47_000 + parallelIndex * 100)
  await select(showPage, '31-33')
  await showPage.getByRole('link', { name: 'Output', exact: true }).click()
  await showPage.getByRole('radio', { name: 'Controls' }).click()
  const panel = showPage.getByRole('complementary', { name: 'Controls' })
  await panel.getByLabel('Port', { exact: true }).fill('80')
  await panel.getByLabel('Port', { exact: true }).press('Enter')
  await panel.getByLabel('Port', { exact: true }).fill(String(port))
  await panel.getByLabel('Port', { exact: true }).press('Enter')
  await panel.getByRole('switch', { name: 'Off' }).click()
  await expect(panel.getByText('They act on the 3 that are selected.')).toBeVisible()
  const control = new Client('127.0.0.1', port)
  const messages = showPage.getByRole('region', { name: 'What controls say' })
  await control.send('/palette/3/recall', 1)
  await expect(
    messages.getByRole('row', { name: /palette\/3\/recall 1 recall Lantern gallery for 3 fixtures/ }),
  ).toBeVisible()
  await expect(showPage.getByText('In hand: 3 fixtures')).toBeVisible()

  await panel.getByRole('button', { name: 'Learn', exact: true }).click()
  await control.send('/strip/2/fader', 0.4)
  await expect(panel.getByLabel('Address')).toHaveValue('/strip/2/fader')
  await expect(messages.getByText('Nothing is known of /strip/2/fader.')).toBeVisible()
  await panel.getByRole('combobox', { name: 'It', exact: true }).selectOption({ label: 'is the master of' })
  await panel.getByRole('combobox', { name: 'Cue list' }).selectOption({ label: 'Main' })
  await panel.getByRole('button', { name: 'Keep' }).click()
  const learnt = showPage.getByRole('region', { name: 'Learnt controls' })
  await expect(learnt.getByRole('row', { name: '/strip/2/fader is the master of Main' })).toBeVisible()
  // A page shows what was learnt before the server obeys it; a fader that is moved says so again and again.
  await expect(async () => {
    await control.send('/strip/2/fader', 0.4)
    await expect(messages.getByText('master of Main at 40 %').first()).toBeVisible({ timeout: 2000 })
  }).toPass()
  await expectAccessible(showPage)
  await learnt.getByRole('button', { name: 'Forget /strip/2/fader' }).click()
  await expect(showPage.getByText('No control was learnt.')).toBeVisible()
  await showPage.getByRole('button', { name: /^Undo: forget \/strip\/2\/fader/ }).click()
  await expect(learnt.getByRole('row', { name: /strip/ })).toBeVisible()
  await control.close()
})
